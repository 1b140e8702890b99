import type { SeenKind } from '@urbild/core';
import type { AreaForm } from './forms';
import type { Naming } from './naming';
import { CROWN } from './simpleForms';

const isWhite = ({ lab, chroma }: AreaForm): boolean => lab[0] > 90 && chroma < 9;
const sum = (values: Iterable<number>): number => [...values].reduce((a, b) => a + b, 0);

/** Before a plain ground there is the ground, which is nothing, and the subject. */
export function namePlainSubject(naming: Naming): void {
  for (const [k, { edge }] of naming.all) {
    if (edge.top + edge.bottom + edge.left + edge.right > naming.grounds.w * 0.4)
      naming.rename(k, 'nothing', 'the plain ground');
    else if (naming.kindOf(k) !== 'person') naming.rename(k, 'thing', 'before a plain ground');
  }
}

/** What touches the top is sky, and bright smooth bands near it. */
export function nameSky(naming: Naming): void {
  const { w, h, drawnBy } = naming.grounds;
  const lines = drawnBy === 'lines';
  const top = naming.all.filter(([, a]) => a.edge.top > w * 0.12);
  const light = top.length ? sum(top.map(([, a]) => a.lab[0] * a.size)) / sum(top.map(([, a]) => a.size)) : 0;
  const touchesSky = (a: AreaForm) => [...a.beside.keys()].some((j) => (naming.form(j)?.edge.top ?? 0) > 0);
  for (const [k, a] of naming.unnamed()) {
    const blue = a.hue > 230 && a.hue < 285;
    const band = !lines && a.top < h * 0.3 && (a.lab[0] > light - 6 || blue) && touchesSky(a);
    const cloud =
      band && a.spread < 9 && !a.edge.bottom && a.share > 0.004 && a.width > a.height * 1.1 && a.y < h * 0.45;
    if ((a.edge.top <= w * 0.05 && !cloud) || a.y > h * 0.55 || (!lines && a.lab[0] < 12)) continue;
    if (drawnBy === 'felt pen' && !isWhite(a) && a.hue < 220) continue;
    naming.name(k, 'sky', 'touches the top');
  }
}

/** The surface of water is level: near its top it is so wide already, in parts of its whole width. */
const FLAT = 0.45;

/** Blue bands in the lower part are water, green areas plants. */
export function nameByColour(naming: Naming): void {
  const { w, h, drawnBy, grey } = naming.grounds;
  if (drawnBy === 'lines' || grey) return;
  for (const [k, a] of naming.unnamed()) {
    // boxes are made by somebody, whatever their colour
    if (a.boxy && a.width < w * 0.5 && a.outerFills > 0.85 && (a.width < 1.5 * a.height || a.hue < 195)) continue;
    const wide = a.width > w * 0.12 || a.width > 2.2 * a.height;
    const low = a.y > h * 0.55 || (a.y > h * 0.33 && a.width > 3 * a.height);
    if (a.hue > 195 && a.hue < 290 && a.chroma > 6 && low && wide && a.upper > FLAT)
      naming.name(k, 'water', 'a blue band below the sky');
    else if (a.hue > 105 && a.hue < 175 && a.chroma > (a.lab[0] < 45 ? 6 : 10) && a.share > 0.002) {
      const field = a.edge.bottom > w * 0.3 || a.width > w * 0.6;
      naming.name(k, field ? 'ground' : 'plants', field ? 'a green field' : 'green');
    }
  }
}

/** So well a picture mirrors itself about the edge of still water, as a correlation. */
const MIRROR = 0.75;

/** Below the row about which a picture mirrors itself there is still water. */
export function nameBelowMirror(naming: Naming): void {
  const { mirror, w } = naming.grounds;
  if (!mirror || mirror.likeness < MIRROR) return;
  for (const [k, a] of naming.all)
    if (a.top > mirror.row - 6 && a.edge.bottom <= w * 0.1 && !['building', 'person'].includes(naming.kindOf(k) ?? ''))
      naming.rename(k, 'water', 'mirrors what is above it');
}

/** Sky grows downwards over what is smooth and hardly darker than it. */
export function spreadSky(naming: Naming): void {
  const { h, drawnBy } = naming.grounds;
  if (drawnBy === 'lines') return;
  const smooth = drawnBy === 'painted' ? 5 : 2.3;
  for (let round = 0; round < 6; round++)
    for (const [k, a] of naming.all) {
      const own = naming.kindOf(k);
      if ((own && own !== 'water') || a.edge.bottom || a.y > h * 0.55 || a.lab[0] < 50 || a.texture > smooth) continue;
      const skies = [...a.beside].filter(([j]) => naming.kindOf(j) === 'sky');
      const up = sum(skies.map(([, n]) => n));
      const light = sum(skies.map(([j, n]) => n * naming.form(j)!.lab[0])) / (up || 1);
      if (up > 0.3 * sum(a.beside.values()) && a.lab[0] >= light - 7) naming.rename(k, 'sky', 'smooth below the sky');
    }
}

/** Patches of land smaller than this part of the picture go with what lies around them; ragged ones are land of their own. */
const PATCH = 0.02;
const RAGGED = 0.35;

/** Colours this near are of one thing that something parts, in even steps. */
const ALIKE = 5;

/** What has the very colour of land, water or sky beside it, at the same height, is a piece of it that something stands before. */
export function namePieces(naming: Naming): void {
  for (const [k, a] of naming.unnamed())
    for (const [j, b] of naming.all) {
      const kind = naming.kindOf(j);
      if (!kind || !PARTED.includes(kind) || b.size < a.size) continue;
      const together = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 0.5 * a.height;
      const apart = Math.hypot(...a.lab.map((v, c) => v - b.lab[c]));
      if (together && apart < ALIKE) naming.name(k, kind, 'a piece of what is beside it');
    }
}

/** What touches the bottom, bands at the sides and wide ones are ground. */
export function nameGround(naming: Naming): void {
  const { w, h, drawnBy } = naming.grounds;
  for (const [k, a] of naming.unnamed()) {
    if (a.edge.bottom > w * 0.06) naming.name(k, 'ground', 'touches the bottom');
    else if ((a.edge.left || a.edge.right) && a.width > w * 0.12 && a.y > h * 0.25)
      naming.name(k, 'ground', 'a band at the side');
    else if (a.width > w * 0.3 && a.width > 2 * a.height && !(a.boxy && !a.edge.left && !a.edge.right))
      naming.name(k, 'ground', 'a wide band');
    else if (drawnBy === 'painted' && a.roundness < RAGGED && a.share > PATCH && !a.boxy && !a.gable && a.y > h * 0.3)
      naming.name(k, 'ground', 'a ragged patch of land');
    else if (drawnBy === 'photograph') naming.name(k, 'ground', 'a photograph shows land where nothing else is told');
  }
}

/** Small areas that lie in one large one of like colour are part of it. */
export function nameWithin(naming: Naming): void {
  const lines = naming.grounds.drawnBy === 'lines';
  for (const [k, a] of naming.unnamed()) {
    const [most] = [...a.beside].sort((p, q) => q[1] - p[1]);
    const around = most && naming.form(most[0]);
    const kind = most && naming.kindOf(most[0]);
    if (!around || !kind || a.gable || kind === 'person' || kind === 'sun or moon') continue;
    const apart = Math.hypot(...a.lab.map((v, c) => v - around.lab[c]));
    if (most[1] > 0.6 * sum(a.beside.values()) && (apart < 14 || (lines && a.share < 0.0015)))
      naming.name(k, kind, 'lies in it');
  }
}

const PARTED: readonly SeenKind[] = ['sky', 'water', 'ground'];
const LAND: readonly SeenKind[] = ['ground', 'plants', 'rock', 'water'];

/** In photographs and paintings, small patches among land are land of the kind that most of their border touches. */
export function nameSmallPatches(naming: Naming): void {
  const { drawnBy } = naming.grounds;
  if (drawnBy !== 'photograph' && drawnBy !== 'painted') return;
  for (let round = 0; round < 2; round++)
    for (const [k, a] of naming.all) {
      const own = naming.named.get(k);
      const patch = own && (own.kind === 'thing' || LAND.includes(own.kind)) && own.why !== CROWN;
      if (!patch || a.share > PATCH || a.boxy) continue;
      const borders = new Map<SeenKind, number>();
      for (const [j, n] of a.beside) {
        const kind = naming.kindOf(j);
        if (kind && LAND.includes(kind)) borders.set(kind, (borders.get(kind) ?? 0) + n);
      }
      const [most] = [...borders].sort((p, q) => q[1] - p[1]);
      if (most && most[1] > 0.5 * sum(a.beside.values())) naming.rename(k, most[0], 'a patch of the land around it');
    }
}
