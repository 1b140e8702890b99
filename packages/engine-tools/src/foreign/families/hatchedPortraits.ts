import type { SKRSContext2D } from '@napi-rs/canvas';
import type { Random } from '@urbild/core';
import {
  chanceOf,
  CLOTH_PATTERNS,
  css,
  DRESSED,
  onCanvas,
  PATTERNED,
  type ClothPattern,
  type ForeignFamily,
  type PersonTruth,
  type Rgb,
} from './family';

const W = 320;
const H = 400;
type P = readonly [number, number];

/** The features of somebody, px. */
function personOf(who: number) {
  const p = chanceOf('hatched portraits', 'who', who);
  return {
    ...{
      w: p.range(62, 82),
      h: p.range(92, 112),
      jaw: p.range(0.55, 0.85),
      eyes: p.range(26, 36),
      nose: p.range(20, 36),
    },
    ...{ dark: p.range(0.25, 1), long: p.chance(0.5), part: p.range(-0.5, 0.5), coat: p.range(0.1, 0.9) },
  };
}

/** What somebody wears on head and face. */
function wornBy(who: number) {
  const p = chanceOf('hatched portraits', 'worn', who);
  const dressed = who >= DRESSED;
  return {
    beard: dressed && p.chance(0.3),
    glasses: dressed && p.chance(0.3),
    hat: dressed && p.chance(0.3),
    bald: dressed && p.chance(0.15),
    pattern: who < PATTERNED ? ('plain' as ClothPattern) : p.pick(CLOTH_PATTERNS),
    pitch: p.range(18, 30),
  };
}

/** A face on its sheet. */
interface Face extends ReturnType<typeof personOf>, ReturnType<typeof wornBy> {
  readonly cx: number;
  readonly cy: number;
  /** How far it looks aside, px. */
  readonly turn: number;
  /** Where the light comes from: 1 the left. */
  readonly light: number;
}

/** Half the width of the face at a part of its height from the eyes, -1..1. */
const half = ({ w, jaw }: Face, v: number): number =>
  w * Math.sqrt(Math.max(0, 1 - v * v)) * (v > 0 ? 1 - (1 - jaw) * v : 1);

function inHair({ cx, cy, w, h, long, part, beard, bald }: Face, x: number, y: number): boolean {
  const beside = Math.abs(x - cx);
  if (beard && y > cy + 40 && Math.hypot(beside / (w * 0.8), (y - cy - 50) / 60) < 1 && Math.abs(y - cy - 56) > 6)
    return true;
  if (bald) return false;
  if (long && y > cy - 20 && y < cy + 130 && beside > w * 0.82 && beside < w + 26) return true;
  const q = Math.hypot((x - cx) / (w + 16), (y - cy + 12) / (h + 18));
  return q < 1 && y < cy - h * (0.42 + 0.2 * Math.cos((x - cx) / 50 + part * 3));
}

/** A hat with a brim sits where the forehead ends. */
function inHat({ cx, cy, w, h, hat }: Face, x: number, y: number): boolean {
  const [aside, foot] = [Math.abs(x - cx), cy - 0.5 * h];
  return hat && ((y > foot - 12 && y < foot && aside < w * 1.5) || (y > foot - 70 && y < foot && aside < w * 0.95));
}

/** How dark a place is, 0..1. */
function tone(face: Face, x: number, y: number): number {
  const { cx, cy, w, h, light, dark, coat } = face;
  if (inHat(face, x, y)) return 0.35 + 0.5 * coat;
  if (inHair(face, x, y)) return dark * (0.75 + 0.25 * Math.sin(x / 3 + y / 40));
  if (Math.abs(x - cx) < half(face, (y - cy) / h)) return Math.max(0, 0.55 * ((light * (x - cx)) / w) + 0.12);
  if (!(y > cy + h + 26 - 18 * Math.cos((x - cx) / 120)) || !(Math.abs(x - cx) < 140)) return 0;
  return isFigured(face, x - cx, y - cy) ? (coat > 0.5 ? 0.05 : 0.9) : coat;
}

/** Where a cloth is figured, it is left light or made dark. */
function isFigured({ pattern, pitch }: Face, x: number, y: number): boolean {
  const [across, down] = [x / pitch - Math.floor(x / pitch), y / pitch - Math.floor(y / pitch)];
  if (pattern === 'stripes') return across < 0.5;
  if (pattern === 'checks') return across < 0.32 || down < 0.32;
  return pattern === 'dots' && Math.hypot(across - 0.5, down - 0.5) < 0.3;
}

/** Hatching in three directions, each where it is dark enough. */
function hatch(g: SKRSContext2D, r: Random, face: Face): void {
  const directions = [
    [0.7, 0.14],
    [-0.9, 0.42],
    [1.5, 0.68],
  ];
  for (const [angle, from] of directions)
    for (let d = -400; d < 500; d += 5.5) {
      let drawing = false;
      g.beginPath();
      for (let t = -60; t < 520; t += 3) {
        const x = Math.cos(angle) * t - Math.sin(angle) * d + r.range(-0.5, 0.5);
        const y = Math.sin(angle) * t + Math.cos(angle) * d + r.range(-0.5, 0.5);
        const on = x > 0 && x < W && y > 0 && y < H && tone(face, x, y) > from;
        if (on && drawing) g.lineTo(x, y);
        else if (on) g.moveTo(x, y);
        drawing = on;
      }
      g.stroke();
    }
}

function stroke(g: SKRSContext2D, width: number, points: readonly P[]): void {
  g.lineWidth = width;
  g.beginPath();
  points.forEach(([x, y], k) => (k ? g.lineTo(x, y) : g.moveTo(x, y)));
  g.stroke();
}

/** The contour of the face and the shoulders, drawn twice. */
function contour(g: SKRSContext2D, r: Random, face: Face): void {
  const { cx, cy, h } = face;
  for (let twice = 0; twice < 2; twice++)
    for (const side of [-1, 1]) {
      const edge = Array.from({ length: 40 }, (_, k): P => {
        const v = -0.55 + (1.55 * k) / 39;
        return [cx + side * half(face, v) + r.range(-1, 1), cy + v * h];
      });
      stroke(g, 1.6, edge);
    }
  for (const side of [-1, 1]) {
    const [neck, shoulder]: P[] = [
      [cx + side * 26, cy + h - 8],
      [cx + side * 120, cy + h + 60],
    ];
    stroke(g, 1.8, [neck, [cx + side * 30, cy + h + 24], shoulder]);
  }
}

// prettier-ignore
function features(g: SKRSContext2D, { cx, cy, eyes, nose, turn, glasses }: Face, ink: Rgb): void {
  const mid = cx + turn;
  for (const side of [-1, 1]) {
    const ex = mid + side * eyes;
    stroke(g, 1.5, [[ex - 11, cy - 8], [ex, cy - 14], [ex + 11, cy - 8], [ex, cy - 3], [ex - 11, cy - 8]]);
    g.fillStyle = css(ink);
    g.beginPath();
    g.arc(ex + turn * 0.2, cy - 8, 3.4, 0, 7);
    g.fill();
    if (glasses) stroke(g, 2.6, Array.from({ length: 25 }, (_, k): P => [ex + 21 * Math.cos(k / 3.8), cy - 8 + 19 * Math.sin(k / 3.8)]));
    stroke(g, 2.4, [[ex - 14, cy - 24], [ex, cy - 29], [ex + 14, cy - 24]]);
  }
  stroke(g, 1.6, [[mid + turn * 0.2, cy - 4], [mid + turn * 0.6 + 6, cy + nose], [mid - 5, cy + nose + 3]]);
  stroke(g, 2, [[mid - 18, cy + 56], [mid, cy + 53], [mid + 18, cy + 56]]);
  stroke(g, 1.2, [[mid - 9, cy + 63], [mid + 9, cy + 63]]);
}

/** What is to be seen of what somebody wears. */
const wearsOf = ({
  bald,
  long,
  beard,
  glasses,
  hat,
}: Pick<Face, 'bald' | 'long' | 'beard' | 'glasses' | 'hat'>): PersonTruth => ({
  worn: bald ? 'bald' : long ? 'long' : 'short',
  ...{ beard, glasses, headwear: hat ? 'hat' : 'none' },
});

/** Faces of ink lines: a contour drawn twice, and hatching that grows denser where it is darker. */
export const hatchedPortraits: ForeignFamily = {
  name: 'hatched portraits',
  technique: 'pen lines: a contour drawn twice and hatching in up to three directions',
  heldOut: true,
  wears: (who) => wearsOf({ ...personOf(who), ...wornBy(who) }),
  make({ who: n, seed }) {
    const who = personOf(n);
    const r = chanceOf(this.name, 'sheet', seed);
    const paper: Rgb = [r.range(238, 252), r.range(234, 248), r.range(218, 244)];
    const ink: Rgb = r.chance(0.5) ? [28, 28, 40] : [70, 46, 34];
    const face: Face = {
      ...{ ...who, ...wornBy(n) },
      ...{ turn: r.range(-14, 14), light: r.chance(0.5) ? 1 : -1 },
      ...{ cx: W / 2 + r.range(-12, 12), cy: 165 + r.range(-10, 10) },
    };
    const rgba = onCanvas(W, H, (g) => {
      g.fillStyle = css(paper);
      g.fillRect(0, 0, W, H);
      g.strokeStyle = css(ink, 0.85);
      g.lineWidth = 1;
      hatch(g, r, face);
      contour(g, r, face);
      features(g, face, ink);
    });
    return {
      ...{ name: `${this.name} ${n}.${seed}`, width: W, height: H, rgba },
      truth: {
        ...{ kind: 'portrait', people: 1, ground: 'plain' },
        person: n < PATTERNED ? wearsOf(face) : { ...wearsOf(face), pattern: face.pattern },
      },
    };
  },
};
