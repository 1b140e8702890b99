import type { SKRSContext2D } from '@napi-rs/canvas';
import type { Random } from '@urbild/core';
import {
  chanceOf,
  CLOTH_PATTERNS,
  css,
  DRESSED,
  hsl,
  onCanvas,
  PATTERNED,
  type ForeignFamily,
  type PersonTruth,
  type Rgb,
} from './family';

const W = 480;
const H = 360;

/** How somebody looks, in a few flat colours. */
function personOf(who: number) {
  const r = chanceOf('flat people', 'who', who);
  return {
    skin: hsl(r.range(18, 30), 0.5, r.range(0.3, 0.82)),
    hair: r.pick<Rgb>([hsl(25, 0.4, 0.1), hsl(22, 0.55, 0.3), hsl(40, 0.7, 0.55), hsl(12, 0.7, 0.42), hsl(0, 0, 0.85)]),
    clothes: hsl(r.range(0, 360), r.range(0.4, 0.8), r.range(0.35, 0.65)),
    legs: hsl(r.range(0, 360), 0.3, r.range(0.15, 0.5)),
    bun: r.chance(0.4),
    skirt: r.chance(0.4),
    wide: r.range(0.8, 1.25),
  };
}

/** How somebody wears the hair, and what else is on the head. */
function wornBy(who: number, bun: boolean): PersonTruth {
  const r = chanceOf('flat people', 'worn', who);
  if (who < DRESSED) return { worn: bun ? 'up' : 'short', beard: false, glasses: false, headwear: 'none' };
  const worn = bun
    ? 'up'
    : r.pick<PersonTruth['worn']>(['bald', 'short', 'short', 'bob', 'bob', 'long', 'long', 'long']);
  return { worn, beard: r.chance(0.3), glasses: r.chance(0.3), headwear: !bun && r.chance(0.3) ? 'hat' : 'none' };
}

/** What is printed on somebody's clothes. */
function printOf(who: number) {
  const r = chanceOf('flat people', 'print', who);
  return {
    pattern: who < PATTERNED ? ('plain' as const) : r.pick(CLOTH_PATTERNS),
    second: r.chance(0.4) ? hsl(0, 0, r.range(0.85, 1)) : hsl(r.range(0, 360), r.range(0.3, 0.8), r.range(0.15, 0.85)),
    size: r.range(0.12, 0.26),
    upright: r.chance(0.5),
  };
}

function blob(g: SKRSContext2D, colour: Rgb, points: readonly (readonly [number, number])[]) {
  g.fillStyle = css(colour);
  g.beginPath();
  points.forEach(([x, y], k) => (k ? g.lineTo(x, y) : g.moveTo(x, y)));
  g.closePath();
  g.fill();
}
function disc(g: SKRSContext2D, colour: Rgb, x: number, y: number, rx: number, ry = rx) {
  g.fillStyle = css(colour);
  g.beginPath();
  g.ellipse(x, y, rx, ry, 0, 0, Math.PI * 2);
  g.fill();
}
function limb(g: SKRSContext2D, colour: Rgb, width: number, ...points: readonly (readonly [number, number])[]) {
  g.strokeStyle = css(colour);
  g.lineWidth = width;
  g.beginPath();
  points.forEach(([x, y], k) => (k ? g.lineTo(x, y) : g.moveTo(x, y)));
  g.stroke();
}

/** Prints a pattern into an outline; `s` px a head. */
function printed(
  g: SKRSContext2D,
  { pattern, second, size, upright }: ReturnType<typeof printOf>,
  outline: readonly (readonly [number, number])[],
  s: number,
) {
  if (pattern === 'plain') return;
  g.save();
  g.beginPath();
  outline.forEach(([x, y], k) => (k ? g.lineTo(x, y) : g.moveTo(x, y)));
  g.clip();
  g.fillStyle = css(second);
  const [left, top] = outline[0];
  const step = 2 * size * s;
  for (let a = -20 * step; a < 20 * step; a += step) {
    if (pattern !== 'dots' && (upright || pattern === 'checks')) g.fillRect(left + a, top - 9 * s, step * 0.45, 20 * s);
    if (pattern !== 'dots' && (!upright || pattern === 'checks'))
      g.fillRect(left - 9 * s, top + a, 20 * s, step * 0.45);
    for (let b = -20 * step; pattern === 'dots' && b < 20 * step; b += step)
      disc(g, second, left + a + (Math.round(b / step) % 2 ? step / 2 : 0), top + b, 0.27 * step);
  }
  g.restore();
}

/** Somebody standing on (x, y), `s` px a head. */
function person(
  g: SKRSContext2D,
  who: ReturnType<typeof personOf> & PersonTruth & { readonly print: ReturnType<typeof printOf> },
  x: number,
  y: number,
  s: number,
  r: Random,
) {
  const [hip, neck] = [y - 2.6 * s, y - 4.6 * s];
  const w = 0.7 * s * who.wide;
  for (const side of [-1, 1])
    limb(g, who.legs, 0.42 * s, [x + side * 0.3 * s, hip], [x + side * r.range(0.3, 0.6) * s, y]);
  const hem = who.skirt ? hip + 0.9 * s : hip + 0.15 * s;
  const flare = who.skirt ? 1.3 : 1;
  const trunk = [
    [x - w, neck],
    [x + w, neck],
    [x + w * flare, hem],
    [x - w * flare, hem],
  ] as const;
  blob(g, who.clothes, trunk);
  printed(g, who.print, trunk, s);
  for (const side of [-1, 1]) {
    const hand = [x + side * r.range(0.9, 1.6) * s, neck + r.range(0.2, 2) * s] as const;
    limb(g, who.clothes, 0.34 * s, [x + side * w * 0.9, neck + 0.2 * s], [x + side * 1.1 * s, neck + 1.1 * s], hand);
    disc(g, who.skin, hand[0], hand[1], 0.2 * s);
  }
  limb(g, who.skin, 0.35 * s, [x, neck], [x, neck - 0.35 * s]);
  const falls = { long: 1.1, bob: 0.3 }[who.worn as 'long'];
  if (falls !== undefined) disc(g, who.hair, x, neck - 0.8 * s + falls * 0.5 * s, 0.62 * s, (0.6 + falls * 0.5) * s);
  if (who.worn === 'long') limb(g, who.skin, 0.35 * s, [x, neck + 0.1 * s], [x, neck - 0.35 * s]);
  if (who.worn !== 'bald') disc(g, who.hair, x, neck - 0.95 * s, 0.62 * s, 0.66 * s);
  if (who.bun) disc(g, who.hair, x, neck - 1.7 * s, 0.28 * s);
  disc(g, who.skin, x, neck - 0.8 * s, 0.5 * s, 0.52 * s);
  for (const side of [-1, 1]) disc(g, [30, 25, 25], x + side * 0.2 * s, neck - 0.82 * s, 0.055 * s);
  if (who.beard) disc(g, who.hair, x, neck - 0.46 * s, 0.4 * s, 0.26 * s);
  limb(g, [150, 60, 55], 0.05 * s, [x - 0.14 * s, neck - 0.55 * s], [x + 0.14 * s, neck - 0.55 * s]);
  if (who.glasses)
    for (const side of [-1, 1]) {
      g.strokeStyle = css([25, 25, 30]);
      g.lineWidth = 0.045 * s;
      g.beginPath();
      g.arc(x + side * 0.2 * s, neck - 0.82 * s, 0.15 * s, 0, 7);
      g.stroke();
    }
  if (who.headwear === 'none') return;
  limb(g, who.legs, 0.16 * s, [x - 0.75 * s, neck - 1.15 * s], [x + 0.75 * s, neck - 1.15 * s]);
  disc(g, who.legs, x, neck - 1.3 * s, 0.5 * s, 0.45 * s);
}

type Backdrop = (g: SKRSContext2D, r: Random) => void;
const BACKDROPS: readonly Backdrop[] = [
  // a park
  (g, r) => {
    blob(g, hsl(200, 0.5, 0.82), [
      [0, 0],
      [W, 0],
      [W, H],
      [0, H],
    ]);
    blob(g, hsl(100, 0.4, 0.6), [
      [0, 230],
      [W, 210],
      [W, H],
      [0, H],
    ]);
    for (let k = 0; k < 4; k++) {
      const x = r.range(20, W - 20);
      limb(g, hsl(28, 0.35, 0.35), 14, [x, 250], [x, 150]);
      disc(g, hsl(r.range(90, 150), 0.4, 0.4), x, 130, r.range(34, 60));
    }
  },
  // a street
  (g, r) => {
    blob(g, hsl(40, 0.6, 0.9), [
      [0, 0],
      [W, 0],
      [W, H],
      [0, H],
    ]);
    for (let x = 0; x < W; x += 80) {
      const top = r.range(30, 120);
      blob(g, hsl(r.range(0, 60), 0.4, r.range(0.55, 0.8)), [
        [x, top],
        [x + 78, top],
        [x + 78, 260],
        [x, 260],
      ]);
      for (let y = top + 15; y < 220; y += 40)
        for (const k of [14, 46])
          blob(g, hsl(205, 0.3, 0.4), [
            [x + k, y],
            [x + k + 18, y],
            [x + k + 18, y + 24],
            [x + k, y + 24],
          ]);
    }
    blob(g, hsl(0, 0, 0.62), [
      [0, 260],
      [W, 260],
      [W, H],
      [0, H],
    ]);
  },
  // a room
  (g, r) => {
    blob(g, hsl(r.range(20, 200), 0.25, 0.8), [
      [0, 0],
      [W, 0],
      [W, 270],
      [0, 270],
    ]);
    blob(g, hsl(28, 0.4, 0.5), [
      [0, 270],
      [W, 270],
      [W, H],
      [0, H],
    ]);
    blob(g, hsl(205, 0.6, 0.86), [
      [300, 50],
      [420, 50],
      [420, 170],
      [300, 170],
    ]);
    blob(g, hsl(12, 0.45, 0.45), [
      [30, 220],
      [190, 220],
      [190, 300],
      [30, 300],
    ]);
  },
];

/** People of flat shapes in front of flat places; a plain wall now and then. */
export const flatPeople: ForeignFamily = {
  name: 'flat people',
  technique: 'flat vector shapes without lines or shading',
  heldOut: false,
  wears: (who) => wornBy(who, personOf(who).bun),
  make({ who: n, seed }) {
    const own = personOf(n);
    const worn = wornBy(n, own.bun);
    const print = printOf(n);
    const who = { ...own, ...worn, print };
    const r = chanceOf(this.name, 'scene', seed);
    const backdrop = r.integer(0, BACKDROPS.length);
    const near = r.chance(0.35) || n >= DRESSED;
    const rgba = onCanvas(W, H, (g) => {
      if (backdrop < BACKDROPS.length) BACKDROPS[backdrop](g, r);
      else
        blob(g, hsl(r.range(0, 360), 0.2, 0.88), [
          [0, 0],
          [W, 0],
          [W, H],
          [0, H],
        ]);
      const s = near ? 74 : r.range(28, 44);
      person(g, who, r.range(0.3, 0.7) * W, near ? 620 : r.range(300, 340), s, r);
    });
    return {
      ...{ name: `${this.name} ${n}.${seed}`, width: W, height: H, rgba },
      truth: {
        ...{ kind: near ? 'portrait' : 'figure', people: 1, ground: backdrop < BACKDROPS.length ? 'busy' : 'plain' },
        ...{ hair: worn.worn === 'bald' ? undefined : who.hair, skin: who.skin, clothes: who.clothes },
        ...(print.pattern === 'plain' ? {} : { second: print.second }),
        person: n < PATTERNED ? worn : { ...worn, pattern: print.pattern },
      },
    };
  },
};
