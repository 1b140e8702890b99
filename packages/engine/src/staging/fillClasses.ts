import { blur, clonePicture, connected, Random, resample, type Picture } from '@urbild/core';
import { upsampleGuided, type Carried } from '../synthesis/guidedUpsampling';
import { threadKernel } from '../synthesis/kernel';
import { PatchLevel } from '../synthesis/patchLevel';

/** A picture and the class of each of its pixels: 0..254, or {@link NOTHING}. */
export interface ClassedPicture {
  readonly picture: Picture;
  readonly classes: Uint8Array;
}

/** The class of what is not to be used. */
export const NOTHING = 255;
/** Longest side that is filled patch by patch, px; larger pictures are enlarged from there. */
const LONGEST = 768;
const PARTS = [1 / 4, 1 / 2, 1];

/** Values at the pixel that lies nearest, at another size. */
export function nearestOf(values: Uint8Array, w: number, h: number, tw: number, th: number): Uint8Array {
  const out = new Uint8Array(tw * th);
  for (let y = 0; y < th; y++)
    for (let x = 0; x < tw; x++)
      out[y * tw + x] = values[Math.floor(((y + 0.5) * h) / th) * w + Math.floor(((x + 0.5) * w) / tw)];
  return out;
}

/** How far the pieces that were set count for the colours that are wanted, against what each class looks like on the whole. */
const PLACED = 0.7;

function between(a: Picture, b: Picture, t: number): Picture {
  const out = clonePicture(a);
  out.planes.forEach((plane, c) => plane.forEach((v, i) => (plane[i] = v + t * (b.planes[c][i] - v))));
  return out;
}

const scaled = ({ picture, classes }: ClassedPicture, w: number, h: number): ClassedPicture => ({
  picture: resample(picture, w, h),
  classes: nearestOf(classes, picture.width, picture.height, w, h),
});

/**
 * Fills the classes of `wanted` with patches of `sources` (all of the same size as it) that are of the same class, as whole pieces
 * where they fit, in about the colours of `wanted`. `weight` is what one step from a class to the next counts against colours.
 */
export function fillClasses(
  sources: readonly ClassedPicture[],
  wanted: ClassedPicture,
  weight: number,
  seed: number,
  checkpoint: () => void,
): Picture {
  const { width, height } = wanted.picture;
  const kernel = threadKernel();
  kernel.seed(Math.imul(seed || 1, 0x9e3779b1) >>> 0);
  const random = new Random(seed || 1);
  const places = (classes: Uint8Array) => Float32Array.from(classes, (c) => weight * c);
  const most = Math.min(1, LONGEST / Math.max(width, height));
  let before: Carried | undefined;
  let current = wanted.picture;
  for (const part of PARTS) {
    const [w, h] = [width, height].map((s) => Math.max(16, Math.round(s * part * most)));
    const from = sources.map((s) => scaled(s, w, h));
    const to = scaled(wanted, w, h);
    const level = new PatchLevel(kernel, {
      width: w,
      height: h,
      references: from.map((s) => s.picture),
      guides: from.map((s) => blur(s.picture, 1)),
      places: from.map((s) => places(s.classes)),
    });
    checkpoint();
    if (before) upsampleGuided(before, level);
    else placePieces(level, from, to.classes, random);
    current = level.vote(0, 1.5);
    level.setGuide(
      blur(between(to.picture, current, PLACED), 0.8),
      places(to.classes),
      new Float32Array(w * h).fill(1),
    );
    const last = part === 1;
    for (let round = 0; round < 2; round++) {
      level.match(
        current,
        {
          guide: 1,
          texture: 1.2,
          usage: 0.0003,
          quota: 0,
          shares: from.map(() => 1 / from.length),
          passes: 2,
          probes: last ? 3 : 6,
          phase: round,
        },
        checkpoint,
      );
      current = level.vote(1, 1.5);
      checkpoint();
    }
    const { rects, atlasWidth } = level;
    before = { width: w, height: h, rects, atlasWidth, field: level.field.slice(), cost: level.cost.slice() };
  }
  return resample(current, width, height);
}

/** The pixels of a class in a source, and the foot of its largest piece. */
interface Stock {
  readonly source: number;
  readonly pixels: readonly number[];
  readonly foot: readonly [x: number, y: number];
}

/**
 * What every pixel is drawn from at first: each piece of a class is set onto the largest piece of it in the sources, foot on foot,
 * so that whole trees and houses come over; what falls outside is drawn from anywhere in the class.
 */
function placePieces(level: PatchLevel, from: readonly ClassedPicture[], wanted: Uint8Array, random: Random): void {
  const { width: w, height: h, field, rects, atlasWidth } = level;
  const stocks = new Map<number, Stock | undefined>();
  const stockOf = (c: number): Stock | undefined => {
    if (!stocks.has(c)) stocks.set(c, findStock(from, c, w, h));
    return stocks.get(c);
  };
  const { part, areas } = connected(wanted, w, h);
  const feet = footsOf(part, areas.length, w);
  for (let i = 0; i < field.length; i++) {
    const c = wanted[i];
    const stock = stockOf(c);
    let source = 0;
    let at = i;
    if (stock) {
      source = stock.source;
      const x = (i % w) + stock.foot[0] - feet[part[i]][0];
      const y = Math.floor(i / w) + stock.foot[1] - feet[part[i]][1];
      at = y * w + x;
      if (x < 0 || x >= w || y < 0 || y >= h || from[source].classes[at] !== c)
        at = stock.pixels[Math.floor(random.next() * stock.pixels.length)];
    }
    const r = rects[source];
    const x = Math.min(r.x1 - 1, Math.max(r.x0, r.x0 - 3 + (at % w)));
    const y = Math.min(r.y1 - 1, Math.max(r.y0, Math.floor(at / w)));
    field[i] = y * atlasWidth + x;
  }
}

function findStock(from: readonly ClassedPicture[], c: number, w: number, h: number): Stock | undefined {
  let best: Stock | undefined;
  from.forEach(({ classes }, source) => {
    const pixels: number[] = [];
    classes.forEach((k, i) => k === c && pixels.push(i));
    if (pixels.length <= (best?.pixels.length ?? 0)) return;
    const { part, areas } = connected(classes, w, h);
    let largest = part[pixels[0]];
    for (const i of pixels) if (areas[part[i]] > areas[largest]) largest = part[i];
    best = { source, pixels, foot: footsOf(part, areas.length, w)[largest] };
  });
  return best;
}

/** The middle of the foot of every piece, px. */
function footsOf(part: Int32Array, count: number, w: number): [x: number, y: number][] {
  const left = new Int32Array(count).fill(w);
  const right = new Int32Array(count).fill(-1);
  const low = new Int32Array(count);
  part.forEach((k, i) => {
    left[k] = Math.min(left[k], i % w);
    right[k] = Math.max(right[k], i % w);
    low[k] = Math.floor(i / w);
  });
  return Array.from({ length: count }, (_, k) => [(left[k] + right[k]) >> 1, low[k]]);
}
