import type { AreaForm } from './forms';
import type { Naming } from './naming';

const isFramed = ({ edge }: AreaForm): boolean => edge.left + edge.right + edge.top + edge.bottom > 0;

/** How much of its box what stands under a gable fills, and how wide it is against the gable, at least. */
const WALL = { fills: 0.7, width: 0.55 } as const;

/** Why an area is the crown or the stem of a tree, a gable, a door or a window. */
export const CROWN = 'a crown on a stem';
export const STEM = 'a stem under a crown';
export const GABLE = 'a triangle on a box';
export const OPENING_IN_HOUSE = 'inside a house';
/** Doors and windows are boxes of at most this part of the largest piece of their wall. */
const OPENING = 0.45;
/** A wall may stand out at the side of its gable by so much of the gable's width: hands drift. */
const ASIDE = 0.13;

/** A triangle that stands on a box is a house; the box may be in pieces, for doors and windows cut it up. */
export function nameHouses(naming: Naming): void {
  for (const [i, a] of naming.unnamed()) {
    if (!a.gable || a.edge.bottom || a.share < 0.003 || a.share > 0.15) continue;
    const wall = piecesUnder(naming, a).filter(([j]) => j !== i && !naming.named.has(j));
    if (!wall.length) continue;
    const [left, right] = [Math.min(...wall.map(([, b]) => b.left)), Math.max(...wall.map(([, b]) => b.right))];
    const [top, bottom] = [Math.min(...wall.map(([, b]) => b.top)), Math.max(...wall.map(([, b]) => b.bottom))];
    const size = wall.reduce((n, [, b]) => n + b.size, 0);
    const box = (right - left + 1) * (bottom - top + 1);
    if (right - left < WALL.width * a.width || size < WALL.fills * box || size < a.size * 0.3) continue;
    if (Math.abs(top - a.bottom) > Math.max(10, a.height * 0.25)) continue;
    naming.name(i, 'building', GABLE);
    const largest = Math.max(...wall.map(([, b]) => b.size));
    for (const [j, b] of wall)
      naming.name(j, 'building', b.boxy && b.size < OPENING * largest ? OPENING_IN_HOUSE : 'a box under a triangle');
  }
}

/** What lies straight under a gable, not wider than it, piece beside piece. */
function piecesUnder(naming: Naming, gable: AreaForm): (readonly [number, AreaForm])[] {
  const aside = Math.max(4, gable.width * ASIDE);
  const within = naming.all.filter(
    ([, b]) =>
      b.left >= gable.left - aside &&
      b.right <= gable.right + aside &&
      b.top >= gable.bottom - Math.max(10, gable.height * 0.25) &&
      b.bottom <= gable.bottom + 4 * gable.height &&
      !isFramed(b),
  );
  let reached = within.filter(([, b]) => Math.abs(b.top - gable.bottom) <= Math.max(10, gable.height * 0.25));
  for (let round = 0; round < 3; round++)
    reached = within.filter(([k]) => reached.some(([j, b]) => j === k || b.beside.has(k)));
  return reached;
}

/** Doors and windows: what lies within a house. */
export function nameInsideHouses(naming: Naming): void {
  for (const [i, a] of naming.all) {
    if (naming.kindOf(i) !== 'building') continue;
    for (const [j, b] of naming.unnamed())
      if (
        b.left >= a.left - 2 &&
        b.right <= a.right + 2 &&
        b.top >= a.top - 2 &&
        b.bottom <= a.bottom + 3 &&
        b.size < a.size
      )
        naming.name(j, 'building', OPENING_IN_HOUSE);
  }
}

/** A box of at least this part of the picture that stands free is larger than a thing. */
const LARGE = 0.012;

/** Large boxes are buildings, but in photographs, where anything is a box. */
export function nameLargeBoxes(naming: Naming): void {
  if (naming.grounds.drawnBy === 'photograph') return;
  for (const [k, a] of naming.unnamed())
    if (a.boxy && a.outerFills > 0.8 && a.share > LARGE && a.share < 0.3 && a.roundness < 0.8 && !isFramed(a))
      naming.name(k, 'building', 'a large box');
}

/** A bright or warm disc in the upper half whose neighbour is the sky is the sun or the moon. */
export function nameSun(naming: Naming): void {
  const { h, drawnBy } = naming.grounds;
  const lines = drawnBy === 'lines';
  for (const [i, a] of naming.unnamed()) {
    const yellow = a.hue > 50 && a.hue < 110 && a.chroma > 25;
    const round = a.roundness > 0.78 || (a.disc > 0.55 && yellow);
    if (
      !round ||
      a.share > 0.06 ||
      a.share < 0.002 ||
      a.edge.bottom ||
      a.y > h * 0.5 ||
      Math.abs(a.width / a.height - 1) > 0.4
    )
      continue;
    const around = naming.form([...a.beside].sort((p, q) => q[1] - p[1])[0]?.[0] ?? -1);
    if (!around) continue;
    const inSky = around.edge.top > 0;
    const warm = (a.hue < 110 || a.hue > 340) && a.chroma > 15 && a.lab[0] > 45;
    if (lines ? inSky : warm || (a.lab[0] > around.lab[0] + 5 && (a.hue < 120 || a.chroma < 8))) {
      naming.name(i, 'sun or moon', 'a disc high up in the sky');
      for (const [j, b] of naming.unnamed())
        if (b.beside.has(i) && !isFramed(b) && b.share < 0.08 && Math.hypot(b.x - a.x, b.y - a.y) < a.width)
          naming.name(j, 'sun or moon', 'rays around the sun');
    }
  }
}

/** A blob that stands on a stem is a tree. */
export function nameStems(naming: Naming): void {
  const lines = naming.grounds.drawnBy === 'lines';
  for (const [i, a] of naming.unnamed()) {
    if (a.height < a.width * 1.8 || a.share > 0.03 || a.fills < 0.5) continue;
    for (const [j, b] of naming.unnamed()) {
      if (j === i || Math.abs(b.bottom - a.top) > Math.max(12, b.height * 0.3)) continue;
      if (b.width < 1.5 * a.width || b.width > 9 * a.width || b.size <= a.size || b.share > 0.12) continue;
      if (a.x < b.left + b.width * 0.2 || a.x > b.right - b.width * 0.2) continue;
      const crown = b.gable ? !lines || !isOnBox(naming, b, i) : b.fills < 0.9 && b.roundness > 0.3;
      const green = b.hue > 80 && b.hue < 200 && b.chroma > 6;
      if (!crown || isFramed(a) || !(lines || green)) continue;
      naming.name(i, 'plants', STEM);
      naming.name(j, 'plants', CROWN);
    }
  }
}

/** A box as wide as a gable lies under it. */
const isOnBox = (naming: Naming, gable: AreaForm, except: number): boolean =>
  naming.all.some(
    ([k, b]) => k !== except && b.boxy && Math.abs(b.top - gable.bottom) < 8 && b.width > 0.55 * gable.width,
  );
