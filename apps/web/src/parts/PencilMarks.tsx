/**
 * The marks that are drawn on a contact sheet with a grease pencil: a keeper is ringed, a reject is crossed out, a rating is one to five
 * strokes. They take the colour of the text around them; over pictures a dark rim keeps them seen on every ground.
 */

/** No two strokes of a hand are the same: lean and length of each, in the measure of a box of 24. */
const STROKES = [
  'M5.2 20.5 7.4 3.8',
  'M9 20.9 10.8 4.4',
  'M12.6 20.2 14.6 3.2',
  'M16.4 21 17.9 4.6',
  'M19.8 20.3 21.9 3.6',
] as const;
/** The middle of each across. */
const MIDDLES = [6.3, 9.9, 13.6, 17.2, 20.9] as const;
/** Once around and a little over its own beginning. */
const RING =
  'M15.6 3.9C10.6 2.3 4.6 5 3.4 10.6 2.2 16.4 6.6 21 12.2 21.1 17.7 21.2 21.5 16.9 21.2 11.7 20.9 6.6 16.3 3.2 10.9 3.7';
const CROSS = ['M4.3 4.9C9.4 9.6 14.8 14.7 20 20.2', 'M19.6 3.9C14.9 9.3 9.6 14.8 4.6 19.6'] as const;

interface Props {
  /** Of the square that it is drawn in, px. */
  readonly size?: number;
  /** Drawn lightly: what could be marked, and is not. */
  readonly faint?: boolean;
  /** With a dark rim, for marks over pictures. */
  readonly rimmed?: boolean;
}

interface DrawnProps extends Props {
  readonly mark: string;
  readonly paths: readonly string[];
  /** Where its box begins across, and how wide it is; as high as the others. */
  readonly box?: readonly [left: number, width: number];
}

function Drawn({ paths, size = 18, faint, rimmed, mark, box: [left, width] = [0, 24] }: DrawnProps) {
  return (
    <svg
      aria-hidden
      data-mark={mark}
      width={(size * width) / 24}
      height={size}
      viewBox={`${left} 0 ${width} 24`}
      fill="none"
      strokeLinecap="round"
      strokeLinejoin="round"
      className={faint ? 'opacity-45' : ''}
    >
      {rimmed && paths.map((d) => <path key={d} d={d} stroke="#24211d" strokeWidth={6} />)}
      {paths.map((d) => (
        <path key={d} d={d} stroke="currentColor" strokeWidth={faint ? 1.6 : 3.2} />
      ))}
    </svg>
  );
}

/** A keeper. */
export const Ring = (props: Props) => <Drawn mark="ring" paths={[RING]} {...props} />;

/** A reject. */
export const Cross = (props: Props) => <Drawn mark="cross" paths={CROSS} {...props} />;

/** The stroke of a rating that has the number `nth`, 1..5, in the middle of a box of its own: where each is a button. */
export const Stroke = ({ nth, ...props }: Props & { nth: number }) => (
  <Drawn mark="stroke" paths={[STROKES[nth - 1]]} box={[MIDDLES[nth - 1] - 6, 12]} {...props} />
);

/** A rating of 1..5 as so many strokes. */
export const Strokes = ({ count, ...props }: Props & { count: number }) => (
  <Drawn mark={`${count} strokes`} paths={STROKES.slice(0, count)} {...props} />
);

/** A picture that is crossed out from corner to corner, whatever its shape; laid over it. */
export const CrossedOut = () => (
  <svg
    aria-hidden
    data-mark="crossed out"
    viewBox="0 0 24 24"
    preserveAspectRatio="none"
    fill="none"
    strokeLinecap="round"
    className="pointer-events-none absolute inset-0 h-full w-full"
  >
    {CROSS.map((d) => (
      <path key={`rim ${d}`} d={d} stroke="#24211d" strokeWidth={5} vectorEffect="non-scaling-stroke" />
    ))}
    {CROSS.map((d) => (
      <path key={d} d={d} stroke="#fffdf8" strokeWidth={2.5} vectorEffect="non-scaling-stroke" />
    ))}
  </svg>
);
