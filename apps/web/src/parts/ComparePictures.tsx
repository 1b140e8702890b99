import { useEffect, useState, type ReactNode } from 'react';
import { WipeEdge } from './WipeEdge';
import { useZoom, zoomStyle, type Zoom } from './zoom';

/** How pictures are held against each other. */
export const COMPARE_MODES = ['beside', 'wipe', 'flicker', 'difference'] as const;
export type CompareMode = (typeof COMPARE_MODES)[number];

export interface ComparedPicture {
  readonly url: string | undefined;
  readonly label: string;
  readonly alt: string;
  /** Width by height. */
  readonly aspect: number;
  /** A place in it that is marked: left, top, right, bottom, in its parts. */
  readonly mark?: readonly number[];
}

const FLICKER = 700;

interface Props {
  readonly pictures: readonly ComparedPicture[];
  readonly mode: CompareMode;
  /** What lies over the first picture, as far as that is seen. */
  readonly over?: (zoom: Zoom) => ReactNode;
}

/** Two or more pictures under one zoom: beside each other, or the first two under a wipe, in turn, or subtracted. */
export function ComparePictures({ pictures, mode, over }: Props) {
  const { zoom, handlers } = useZoom();
  const [at, setAt] = useState(0.5);
  const [turn, setTurn] = useState(0);
  const flickers = mode === 'flicker' && pictures.length > 1;
  useEffect(() => {
    if (!flickers) return;
    const timer = setInterval(() => setTurn((t) => t + 1), FLICKER);
    return () => clearInterval(timer);
  }, [flickers]);
  const frame = { zoom, handlers };
  const [first, second] = pictures;
  if (!first) return null;
  if (mode === 'beside' || !second)
    return (
      <div
        className="grid h-full w-full gap-3"
        style={{
          gridTemplateColumns: `repeat(${columnsFor(pictures.length)}, minmax(0, 1fr))`,
          gridAutoRows: 'minmax(0, 1fr)',
        }}
      >
        {pictures.map((p, k) => (
          <Frame key={k} {...frame} aspect={p.aspect} label={p.label} mark={p.mark}>
            <Layer picture={p} zoom={zoom} />
            {k === 0 && over?.(zoom)}
          </Frame>
        ))}
      </div>
    );
  if (mode === 'flicker') {
    const shown = turn % 2 ? second : first;
    return (
      <Frame {...frame} aspect={first.aspect} label={shown.label}>
        <Layer picture={first} zoom={zoom} />
        <Layer picture={second} zoom={zoom} hidden={turn % 2 === 0} />
      </Frame>
    );
  }
  if (mode === 'difference')
    return (
      <Frame {...frame} aspect={first.aspect} label={`what differs between ${first.label} and ${second.label}`}>
        <div className="absolute inset-0 isolate bg-black" style={{ filter: 'brightness(2.4)' }}>
          <Layer picture={first} zoom={zoom} />
          <Layer picture={second} zoom={zoom} blend />
        </div>
      </Frame>
    );
  return (
    <Frame {...frame} aspect={first.aspect} label={`${first.label} | ${second.label}`}>
      <Layer picture={second} zoom={zoom} />
      <div className="absolute inset-0" style={{ clipPath: `inset(0 ${(1 - at) * 100}% 0 0)` }}>
        <Layer picture={first} zoom={zoom} />
        {over?.(zoom)}
      </div>
      <WipeEdge label="Edge of the wipe" at={at} onMove={setAt} />
    </Frame>
  );
}

/** As many columns as show the pictures largest on a wide table. */
const columnsFor = (count: number) => (count <= 3 ? count : count <= 4 ? 2 : count <= 9 ? 3 : 4);

interface FrameProps extends Pick<ReturnType<typeof useZoom>, 'zoom' | 'handlers'> {
  readonly aspect: number;
  readonly label: string;
  readonly mark?: readonly number[];
  readonly children: ReactNode;
}

function Frame({ aspect, label, mark, handlers, zoom, children }: FrameProps) {
  return (
    <figure className="grid h-full min-h-0 w-full min-w-0 place-content-center" style={{ containerType: 'size' }}>
      <div
        role="group"
        tabIndex={0}
        aria-label={`${label}; plus and minus zoom, arrows move`}
        {...handlers}
        className={`relative touch-none overflow-hidden bg-black/15 ${zoom.scale > 1 ? 'cursor-grab active:cursor-grabbing' : ''}`}
        style={{ aspectRatio: aspect, width: `min(100cqw, ${aspect * 100}cqh - ${aspect * 1.5}rem)` }}
      >
        {children}
        {mark && <Mark box={mark} zoom={zoom} />}
      </div>
      <figcaption className="pt-0.5 text-center text-sm text-caption">
        {label}
        {zoom.scale > 1.01 && <span className="figures"> · {zoom.scale.toFixed(1)} x</span>}
      </figcaption>
    </figure>
  );
}

function Layer({
  picture,
  zoom,
  hidden = false,
  blend = false,
}: {
  picture: ComparedPicture;
  zoom: Zoom;
  hidden?: boolean;
  blend?: boolean;
}) {
  if (!picture.url) return null;
  return (
    <img
      src={picture.url}
      alt={picture.alt}
      draggable={false}
      className="absolute inset-0 h-full w-full object-contain select-none"
      style={{
        ...zoomStyle(zoom),
        visibility: hidden ? 'hidden' : 'visible',
        mixBlendMode: blend ? 'difference' : undefined,
        imageRendering: zoom.scale > 5 ? 'pixelated' : undefined,
      }}
    />
  );
}

/** A frame around a place of a picture, seen on dark and on light. */
function Mark({ box: [left, top, right, bottom], zoom }: { box: readonly number[]; zoom: Zoom }) {
  return (
    <div aria-hidden className="pointer-events-none absolute inset-0" style={zoomStyle(zoom)}>
      <div
        className="absolute border-2 border-cinnabar outline-2 outline-white"
        style={{
          left: `${left * 100}%`,
          top: `${top * 100}%`,
          width: `${(right - left) * 100}%`,
          height: `${(bottom - top) * 100}%`,
        }}
      />
    </div>
  );
}

/** The choice of a mode. */
export function CompareModes({ mode, onMode }: { mode: CompareMode; onMode: (mode: CompareMode) => void }) {
  return (
    <fieldset aria-label="How they are compared" className="flex gap-1">
      {COMPARE_MODES.map((m) => (
        <button
          key={m}
          type="button"
          aria-pressed={mode === m}
          onClick={() => onMode(m)}
          className={`rounded px-2 py-0.5 text-sm whitespace-nowrap ${mode === m ? 'bg-card text-ink' : 'text-caption hover:bg-caption/15'}`}
        >
          {m}
        </button>
      ))}
    </fieldset>
  );
}
