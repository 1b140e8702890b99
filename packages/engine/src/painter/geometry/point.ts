/** A point of a path in pixels (or figure units); a third entry of 1 marks a corner that a spline must not round. */
export type Point = readonly [x: number, y: number, corner?: 1];
export type Path = readonly Point[];
/** Left, top, right, bottom. */
export type Bounds = readonly [left: number, top: number, right: number, bottom: number];

/** The box around a path. */
export function boundsOf(path: Path): Bounds {
  let left = Infinity;
  let top = Infinity;
  let right = -Infinity;
  let bottom = -Infinity;
  for (const [x, y] of path) {
    if (x < left) left = x;
    if (x > right) right = x;
    if (y < top) top = y;
    if (y > bottom) bottom = y;
  }
  return [left, top, right, bottom];
}

/** Area of a closed path (shoelace formula), always positive. */
export function areaOf(path: Path): number {
  let sum = 0;
  for (let i = 0; i < path.length; i++) {
    const a = path[i];
    const b = path[(i + 1) % path.length];
    sum += a[0] * b[1] - b[0] * a[1];
  }
  return Math.abs(sum / 2);
}

export const rectangle = (x: number, y: number, w: number, h: number): Point[] => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
];

/** A closed ellipse of about one corner per 1.4 px of its mean radius, or `corners`. */
export function ellipse(x: number, y: number, rx: number, ry: number, turn = 0, corners = 0): Point[] {
  const n = corners || Math.max(12, Math.round((rx + ry) * 0.7));
  const c = Math.cos(turn);
  const s = Math.sin(turn);
  return Array.from({ length: n }, (_, i) => {
    const t = (i / n) * Math.PI * 2;
    const a = Math.cos(t) * rx;
    const b = Math.sin(t) * ry;
    return [x + a * c - b * s, y + a * s + b * c] as Point;
  });
}
