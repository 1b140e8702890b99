import {
  applyGuided,
  clonePicture,
  fitGuided,
  joinBands,
  resampleToLongSide,
  smoothstep,
  splitBands,
  transportColours,
  type Picture,
} from '@urbild/core';

const PARTS = [1 / 16, 1 / 8, 1 / 4, 1 / 2, 1];

const sizesOf = ({ width, height }: Picture) =>
  PARTS.map((part) => ({
    width: Math.max(4, Math.round(width * part)),
    height: Math.max(4, Math.round(height * part)),
  }));

/**
 * The stage between a start picture and what the words would paint: its colours move first and steadily, its forms give way
 * from the middle on, broad ones first, so that never two pictures lie over each other for long. `change` 0 is the start, 1
 * the painted stage.
 */
export function stageBetween(start: Picture, painted: Picture, change: number): Picture {
  if (change >= 1) return painted;
  const colours = Math.min(1, change / 0.8);
  const out = clonePicture(start);
  if (colours > 0) {
    const small = resampleToLongSide(start, 96);
    const moved = transportColours(small, [resampleToLongSide(painted, 96)], [1], { heightWeight: 0.25 });
    const full = applyGuided(fitGuided(small, moved, 5, 2e-4), start);
    out.planes.forEach((plane, c) => {
      const to = full.planes[c];
      for (let i = 0; i < plane.length; i++) plane[i] += colours * (to[i] - plane[i]);
    });
  }
  return towards(out, painted, (l) => smoothstep(0.35 + 0.06 * l, 0.85 + 0.03 * l, change));
}

/** How strongly references act on a start picture: nothing without change, everything from half on. */
export const strengthOf = (change: number): number => Math.min(1, 2 * change);

/** From one picture to another, band by band. */
export function towards(from: Picture, to: Picture, amount: (level: number) => number): Picture {
  if (PARTS.every((_, l) => amount(l) <= 0)) return from;
  const sizes = sizesOf(from);
  const [a, b] = [splitBands(from, sizes), splitBands(to, sizes)];
  a.forEach((band, l) => {
    const by = amount(l);
    band.planes.forEach((plane, c) => {
      const other = b[l].planes[c];
      for (let i = 0; i < plane.length; i++) plane[i] += by * (other[i] - plane[i]);
    });
  });
  return joinBands(a);
}
