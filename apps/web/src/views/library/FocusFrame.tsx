import type { Reference } from '../../api/client';
import { GRIPS } from './focusBox';
import type { FocusBox } from './useFocusBox';

const percent = (v: number) => `${v * 100}%`;

/** The picture as it came with a box over what matters; what lies outside is darkened, corners and sides are grips. */
export function FocusFrame({ reference: r, focus }: { reference: Reference; focus: FocusBox }) {
  const { frame, shown, onDown, onKey, onMove, onUp } = focus;
  return (
    <div
      ref={frame}
      className="relative touch-none bg-booth select-none"
      onPointerMove={onMove}
      onPointerUp={onUp}
      onPointerCancel={onUp}
    >
      <img src={r.sourceUrl} alt={r.alt} draggable={false} className="block w-full" />
      <div
        aria-hidden
        className="pointer-events-none absolute inset-0 bg-scrim/55"
        style={{
          clipPath: `polygon(evenodd, 0 0, 100% 0, 100% 100%, 0 100%, 0 0, ${percent(shown.left)} ${percent(shown.top)}, ${percent(shown.right)} ${percent(shown.top)}, ${percent(shown.right)} ${percent(shown.bottom)}, ${percent(shown.left)} ${percent(shown.bottom)}, ${percent(shown.left)} ${percent(shown.top)})`,
        }}
      />
      <button
        type="button"
        aria-label="Focus: move it with the arrow keys"
        className="absolute cursor-move border-2 border-white mix-blend-normal shadow-[0_0_0_1px_#24211d]"
        style={{
          left: percent(shown.left),
          top: percent(shown.top),
          width: percent(shown.right - shown.left),
          height: percent(shown.bottom - shown.top),
        }}
        onPointerDown={(e) => onDown('all', e)}
        onKeyDown={(e) => onKey('all', e)}
      />
      {GRIPS.map(({ grip, x, y, name }) => (
        <button
          key={grip}
          type="button"
          aria-label={`Focus, ${name}: move it with the arrow keys`}
          className="absolute size-3.5 -translate-1/2 rounded-[2px] border border-ink bg-white"
          style={{
            left: percent(shown.left + (shown.right - shown.left) * x),
            top: percent(shown.top + (shown.bottom - shown.top) * y),
          }}
          onPointerDown={(e) => onDown(grip, e)}
          onKeyDown={(e) => onKey(grip, e)}
        />
      ))}
    </div>
  );
}
