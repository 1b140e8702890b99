import { Dialog } from 'radix-ui';
import { Button } from '../../parts/Button';
import { Slider } from '../../shared/forms/Slider';
import type { Filling } from './fillings';

interface Props {
  readonly title: string;
  readonly erasing: boolean;
  readonly onErasing: (erasing: boolean) => void;
  /** Width in px of 512. */
  readonly brush: number;
  readonly onBrush: (brush: number) => void;
  readonly feather: number;
  readonly onFeather: (feather: number) => void;
  readonly invert: boolean;
  /** Neither a soft edge nor the opposite is asked for. */
  readonly plain: boolean;
  readonly onInvert: (invert: boolean) => void;
  readonly fills: readonly Filling[] | undefined;
  readonly onFill: (filling: Filling) => void;
  /** Paints everything, or takes everything away. */
  readonly onAll: (paint: boolean) => void;
  readonly onUndo: (() => void) | undefined;
  /** Part of the picture that the mask lets through. */
  readonly acts: number;
  /** Who is cut by the mask. */
  readonly cut: string | undefined;
  readonly busy: boolean;
  readonly onSave: () => void;
  readonly onClear: (() => void) | undefined;
}

const tool = (on = false) =>
  `rounded-lg border px-2.5 py-1 disabled:opacity-50 ${on ? 'border-ink bg-ink text-paper' : 'border-line bg-card hover:border-edge'}`;

/** The tools beside a mask that is painted. */
export function MaskTools(p: Props) {
  return (
    <aside className="flex min-h-0 flex-col gap-4 overflow-auto border-l border-line bg-paper p-4">
      <Dialog.Title className="font-title text-lg leading-snug font-semibold">{p.title}</Dialog.Title>
      <div className="flex gap-2">
        <button type="button" aria-pressed={!p.erasing} className={tool(!p.erasing)} onClick={() => p.onErasing(false)}>
          Brush
        </button>
        <button type="button" aria-pressed={p.erasing} className={tool(p.erasing)} onClick={() => p.onErasing(true)}>
          Eraser
        </button>
        <button type="button" className={tool()} disabled={!p.onUndo} onClick={p.onUndo}>
          Undo
        </button>
      </div>
      <div className="flex flex-col gap-1 text-sm">
        Brush, {p.brush} px
        <Slider label="Size of the brush, px" min={4} max={200} step={1} value={p.brush} onMove={p.onBrush} />
      </div>
      {!p.plain && <Edge {...p} />}
      <Fill fills={p.fills} onFill={p.onFill} onAll={p.onAll} />
      <p aria-live="polite" data-testid="mask-cover" className="figures text-sm text-muted">
        {Math.round(p.acts * 100)} % of the picture
      </p>
      {p.cut && (
        <p className="border-l-3 border-cinnabar bg-blush px-3 py-2">
          The mask is too tight for {p.cut}: part of it lies outside. Paint over all of it, or fill it from the list.
        </p>
      )}
      <div className="mt-auto flex flex-col gap-2">
        <Button look="main" disabled={p.busy || p.acts === 0} onClick={p.onSave}>
          Use this mask
        </Button>
        {p.onClear && <Button onClick={p.onClear}>Take the mask away</Button>}
        <Dialog.Close className="rounded-lg border border-line bg-card px-3 py-1.5 font-semibold">
          Leave it as it was
        </Dialog.Close>
      </div>
    </aside>
  );
}

/** How the mask ends, and which side of it acts. */
function Edge(p: Pick<Props, 'feather' | 'onFeather' | 'invert' | 'onInvert'>) {
  return (
    <>
      <div className="flex flex-col gap-1 text-sm">
        Soft edge, {Math.round(p.feather * 1000) / 10} % of the picture
        <Slider
          label="Soft edge, part of the picture"
          say={(v) => `${Math.round(v * 1000) / 10} %`}
          min={0}
          max={0.1}
          step={0.002}
          value={p.feather}
          onMove={p.onFeather}
        />
      </div>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={p.invert}
          onChange={(e) => p.onInvert(e.target.checked)}
          className="accent-ink"
        />
        everything but what is painted
      </label>
    </>
  );
}

function Fill({ fills, onFill, onAll }: Pick<Props, 'fills' | 'onFill' | 'onAll'>) {
  return (
    <div role="group" aria-label="Fill" className="flex flex-wrap gap-1.5">
      <span aria-hidden className="w-full text-sm">
        Fill at once
      </span>
      {fills ? (
        fills.map((filling) => (
          <button key={filling.name} type="button" className={tool()} onClick={() => onFill(filling)}>
            {filling.name}
          </button>
        ))
      ) : (
        <span aria-hidden className="h-8 w-full animate-pulse rounded-lg bg-shade" />
      )}
      <button type="button" className={tool()} onClick={() => onAll(true)}>
        All of it
      </button>
      <button type="button" className={tool()} onClick={() => onAll(false)}>
        Nothing
      </button>
    </div>
  );
}
