import type { Point } from './point';

const known = new Map<string, readonly Point[]>();

/**
 * Reads an outline written as "x,y x,y! ...": numbers with commas between x and y, blanks between points, "!" after a
 * corner that a spline must not round. Throws a SyntaxError naming the point that cannot be read.
 */
export function outline(text: string): readonly Point[] {
  let points = known.get(text);
  if (!points) {
    points = text
      .trim()
      .split(/\s+/)
      .map((word): Point => {
        const corner = word.endsWith('!');
        const [x, y, ...rest] = (corner ? word.slice(0, -1) : word).split(',').map(Number);
        if (!Number.isFinite(x) || !Number.isFinite(y) || rest.length)
          throw new SyntaxError(`"${word}" is no point of an outline (x,y or x,y!)`);
        return corner ? [x, y, 1] : [x, y];
      });
    known.set(text, points);
  }
  return points;
}
