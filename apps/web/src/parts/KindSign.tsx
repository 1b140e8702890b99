import type { Hue } from '../theme/kinds';
import { HUES } from '../theme/kinds';

const SHAPES: Readonly<Record<Hue, React.ReactNode>> = {
  style: <path d="M2.5 11.5c2.2-5.4 4.4-5.4 5.5-2.2s2.6 3.4 5.5-3.8" />,
  character: (
    <>
      <circle cx="8" cy="3.6" r="1.9" />
      <path d="M8 6.2v4.2M4.6 7.6h6.8M8 10.4l-2.2 4M8 10.4l2.2 4" />
    </>
  ),
  face: (
    <>
      <ellipse cx="8" cy="8" rx="4.8" ry="6" />
      <path d="M6.2 6.9v.6M9.8 6.9v.6M6.3 10.6c1 .9 2.4.9 3.4 0" />
    </>
  ),
  image: (
    <>
      <rect x="2" y="3.2" width="12" height="9.6" rx="1" />
      <path d="M2.2 10.2l3.6-2.6 2.8 1.7 2.2-2 3 2.6" />
    </>
  ),
  words: <path d="M2.5 4.5h11M2.5 8h11M2.5 11.5h6.5" />,
};

/** The sign of a kind (or of the words): hue and shape together, never colour alone. */
export function KindSign({ kind, size = 16, colour }: { kind: Hue; size?: number; colour?: string }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 16 16"
      fill="none"
      stroke={colour ?? HUES[kind]}
      strokeWidth="1.5"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
      className="shrink-0"
    >
      {SHAPES[kind]}
    </svg>
  );
}
