import { MEAN_FACE, shapeOf, type FacePoint, type FaceShape } from '@urbild/core';

type Side = 1 | -1;

/** A smooth line through points: each bend lies at a point, the line meets half way between. */
function lineThrough(points: readonly FacePoint[]): string {
  const [[x0, y0], ...rest] = points;
  const last = points[points.length - 1];
  const bends = rest.slice(0, -1).map(([x, y], k) => {
    const [nx, ny] = rest[k + 1];
    return `Q ${x} ${y} ${(x + nx) / 2} ${(y + ny) / 2}`;
  });
  return `M ${x0} ${y0} ${bends.join(' ')} L ${last[0]} ${last[1]}`;
}

const closed = (points: readonly FacePoint[]): string => `M ${points.map((p) => p.join(' ')).join(' L ')} Z`;

/** All lines of a face, both halves. */
function linesOf({ outline, brow, eye, nose, lips }: FaceShape): string {
  const [upper, peak, corner, lower, seam] = lips;
  return ([1, -1] as Side[])
    .flatMap((side) => {
      const at = (points: readonly FacePoint[]) => points.map(([x, y]): FacePoint => [side * x, y]);
      return [
        lineThrough(at(outline)),
        closed(at(brow)),
        closed(at(eye)),
        lineThrough(at(nose)),
        lineThrough(at([upper, peak, corner])),
        lineThrough(at([lower, [corner[0] * 0.6, (lower[1] + corner[1]) / 2], corner])),
        lineThrough(at([seam, corner])),
      ];
    })
    .join(' ');
}

/** The form of a face as the pictures of a sheet tell it together, over the usual one. */
export function FaceForm({ face }: { face: readonly number[] }) {
  return (
    <figure className="grid grid-cols-[auto_1fr] gap-x-4">
      <svg
        role="img"
        aria-label="The contours of the face from the front, over those of the usual face"
        viewBox="-1.45 -0.6 2.9 2.75"
        className="w-32 rounded border border-line bg-card"
        fill="none"
        strokeLinecap="round"
        strokeLinejoin="round"
      >
        <path d={linesOf(MEAN_FACE)} className="stroke-edge" strokeWidth={0.02} strokeDasharray="0.01 0.055" />
        <path d={linesOf(shapeOf(face))} className="stroke-ink" strokeWidth={0.03} />
      </svg>
      <figcaption className="self-center text-sm text-muted">
        The form of the face, from pictures that show it from the front. Dotted: the usual one.
      </figcaption>
    </figure>
  );
}
