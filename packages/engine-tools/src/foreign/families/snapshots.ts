import { ValueNoise, type Random } from '@urbild/core';
import {
  between,
  byPixel,
  chanceOf,
  CLOTH_PATTERNS,
  hsl,
  PATTERNED,
  type ForeignFamily,
  type PersonTruth,
  type Rgb,
} from './family';

const W = 264;
const H = 324;

/** Somebody in front of the camera. */
function modelOf(who: number) {
  const r = chanceOf('snapshots', 'model', who);
  const deep = r.next();
  const worn = r.pick<PersonTruth['worn']>(['bald', 'short', 'short', 'short', 'bob', 'long', 'long', 'up']);
  return {
    skin: between(hsl(24, 0.5, 0.78), hsl(22, 0.42, 0.24), deep),
    hair: r.pick<Rgb>([
      hsl(30, 0.2, 0.07),
      hsl(25, 0.4, 0.18),
      hsl(22, 0.5, 0.3),
      ...(deep < 0.5 ? [hsl(40, 0.5, 0.56), hsl(14, 0.7, 0.36), hsl(35, 0.05, 0.7)] : []),
    ]),
    shirt: hsl(r.range(0, 360), r.range(0.1, 0.7), r.range(0.2, 0.75)),
    wool: hsl(r.range(0, 360), r.range(0.2, 0.7), r.range(0.2, 0.5)),
    wide: r.range(0.9, 1.1),
    jaw: r.range(0.6, 0.85),
    eyes: r.range(0.3, 0.36),
    ...{ worn, beard: r.chance(0.3), glasses: r.chance(0.3), hat: worn !== 'up' && r.chance(0.3) },
  };
}
type Model = ReturnType<typeof modelOf> & { readonly dye: ReturnType<typeof dyeOf> };

/** How a shirt is dyed. */
function dyeOf(who: number) {
  const r = chanceOf('snapshots', 'dye', who);
  return {
    iris:
      who < PATTERNED
        ? ([70, 52, 38] as Rgb)
        : r.pick<Rgb>([
            hsl(26, 0.3, 0.21),
            hsl(30, 0.45, 0.34),
            hsl(212, 0.4, 0.5),
            hsl(95, 0.22, 0.4),
            hsl(205, 0.06, 0.52),
          ]),
    pattern: who < PATTERNED ? ('plain' as const) : r.pick(CLOTH_PATTERNS),
    ink: r.chance(0.5) ? hsl(50, 0.1, r.range(0.8, 0.95)) : hsl(r.range(0, 360), r.range(0.2, 0.7), r.range(0.1, 0.6)),
    gap: r.range(0.24, 0.42),
    across: r.chance(0.5),
  };
}

/** The colour of a shirt at a place, its folds included. */
function shirtAt({ shirt, dye: { pattern, ink, gap, across } }: Model, x: number, y: number): Rgb {
  if (pattern === 'plain') return shirt;
  const down = y + 0.05 * Math.sin(x * 9) - 0.2 * x * x;
  const near = (p: number) => Math.abs(p / gap - Math.round(p / gap)) * 2;
  if (pattern === 'dots') return Math.hypot(near(x), near(down)) < 0.55 ? ink : shirt;
  const lines = [near(across ? down : x), ...(pattern === 'checks' ? [near(across ? x : down)] : [])];
  return lines.some((d) => d < (pattern === 'checks' ? 0.32 : 0.45)) ? ink : shirt;
}

/** A lit point: its colour, and how it bulges (slopes to the right and down, -1..1). */
interface Point {
  readonly colour: Rgb;
  readonly slope: readonly [number, number];
  /** Shine, 0..1. */
  readonly gloss: number;
}

const bump = (x: number, y: number, w: number, h: number) => Math.exp(-((x / w) ** 2) - (y / h) ** 2);

/** What the camera sees of somebody at (x, y), in half face heights from between the eyes and the nose; undefined where it sees past them. */
function pointAt(m: Model, x: number, y: number, aside: number, strands: ValueNoise): Point | undefined {
  const over = Math.abs(x);
  const turned = x - aside;
  if (m.hat && y < -0.62 && Math.hypot(x / (0.86 * m.wide), (y + 0.6) / 0.8) < 1)
    return {
      colour: between(m.wool, [0, 0, 0], 0.25 * Math.abs(Math.sin(x * 26))),
      slope: [x, (y + 0.6) / 0.8],
      gloss: 0,
    };
  const half = 0.74 * m.wide * (y > 0.1 ? 1 - (1 - m.jaw) * ((y - 0.1) / 0.9) ** 1.5 : 1);
  const inFace = Math.abs(y) < 1 && over < half * Math.sqrt(Math.max(0, 1 - Math.abs(y) ** 2.6));
  const hairline = y < -0.6 + 0.1 * Math.cos(turned * 5);
  const lock = {
    colour: between(m.hair, [0, 0, 0], 0.3 * Math.abs(strands.at(x * 22, y * 3))),
    slope: [x * 0.8, y * 0.6] as const,
    gloss: 0.35,
  };
  if (
    m.beard &&
    y > 0.42 &&
    Math.hypot(turned / 0.56, (y - 0.82) / 0.4) < 1 &&
    Math.hypot(turned / 0.26, (y - 0.54) / 0.07) > 1
  )
    return { ...lock, gloss: 0.05 };
  if (inFace && (m.worn === 'bald' || !hairline)) return faceAt(m, x, y, turned, half);
  if (m.worn === 'up' && Math.hypot(x, y + 1.42) < 0.34) return { ...lock, slope: [x * 2, (y + 1.42) * 2] };
  if (m.worn !== 'bald') {
    const crown = Math.hypot(x / (0.94 * m.wide), (y + 0.2) / 1.06) < 1 && y < 0.12;
    const falls = { long: 2.1, bob: 0.95 }[m.worn as 'bob'] ?? -1;
    if (crown || (y > -0.2 && y < falls && over > 0.45 && over < 0.96 * m.wide + 0.05 * y)) return lock;
  }
  if (over < 0.36 && y > 0.5 && y < 1.55)
    return { colour: between(m.skin, [0, 0, 0], 0.22), slope: [x, 0.2], gloss: 0.1 };
  return y > 1.2 + 0.34 * x * x && over < 2.2
    ? { colour: shirtAt(m, x, y), slope: [x * 0.4, 0.2 * Math.sin(x * 9)], gloss: 0 }
    : undefined;
}

function faceAt(m: Model, x: number, y: number, turned: number, half: number): Point {
  const nose = bump(turned - 0.03, y - 0.2, 0.12, 0.24);
  let colour = between(
    m.skin,
    between(m.skin, [205, 80, 70], 0.5),
    0.3 * (bump(Math.abs(turned) - 0.4, y - 0.28, 0.2, 0.16) + nose),
  );
  let gloss = 0.25;
  for (const side of [-1, 1]) {
    const [ex, ey] = [turned - side * m.eyes, y + 0.08];
    if (Math.hypot(ex / 0.15, (ey + 0.3) / 0.045) < 1) colour = between(m.skin, m.hair, 0.8);
    if (Math.hypot(ex / 0.14, ey / 0.07) < 1) {
      colour = Math.hypot(ex, ey) < 0.065 ? (Math.hypot(ex, ey) < 0.03 ? [12, 10, 10] : m.dye.iris) : [222, 216, 210];
      gloss = 0.6;
    } else if (Math.hypot(ex / 0.18, ey / 0.1) < 1) colour = between(colour, [40, 20, 18], 0.35);
    const rim = Math.hypot(ex / 0.24, ey / 0.2);
    if (m.glasses && rim > 0.86 && rim < 1.04) return { colour: [24, 22, 24], slope: [0, 0], gloss: 0.5 };
  }
  if (m.glasses && Math.abs(turned) < 0.1 && Math.abs(y + 0.1) < 0.022)
    return { colour: [24, 22, 24], slope: [0, 0], gloss: 0.5 };
  const lips = Math.hypot(turned / 0.24, (y - 0.54) / 0.075);
  if (lips < 1) colour = between(m.skin, [150, 44, 52], Math.abs(y - 0.54) < 0.012 ? 1 : 0.6);
  return { colour, slope: [x / half + turned * 3 * nose, 0.5 * y - 0.3 * nose], gloss };
}

/** Soft discs of light and leaves, out of focus. */
function behind(r: Random): (u: number, v: number) => Rgb {
  const [far, near] = [hsl(r.range(0, 360), 0.25, r.range(0.2, 0.75)), hsl(r.range(0, 360), 0.3, r.range(0.2, 0.7))];
  const discs = Array.from({ length: r.integer(0, 26) }, () => ({
    u: r.next(),
    v: r.next(),
    size: r.range(0.03, 0.1),
    colour: hsl(r.range(0, 360), 0.4, r.range(0.3, 0.85)),
  }));
  return (u, v) => {
    let colour = between(far, near, v);
    for (const d of discs) {
      const q = Math.hypot(u - d.u, (v - d.v) * 1.2) / d.size;
      if (q < 1.2) colour = between(colour, d.colour, 0.55 * Math.min(1, (1.2 - q) * 4));
    }
    return colour;
  };
}

/** What is to be seen of what somebody wears. */
const wearsOf = ({ worn, beard, glasses, hat }: ReturnType<typeof modelOf>): PersonTruth => ({
  worn,
  beard,
  glasses,
  headwear: hat ? 'knit cap' : 'none',
});

/** Portraits as a cheap camera takes them: shaded relief, a ground out of focus, soft edges, dark corners, grain of the sensor. */
export const snapshots: ForeignFamily = {
  name: 'snapshots',
  technique: 'shaded relief by slopes, taken four times per pixel, with grain and dark corners',
  heldOut: true,
  wears: (who) => wearsOf(modelOf(who)),
  make({ who: n, seed }) {
    const dye = dyeOf(n);
    const m = { ...modelOf(n), dye };
    const r = chanceOf(this.name, 'shot', seed);
    const [aside, tilt] = [r.range(-0.2, 0.2), r.range(-0.12, 0.12)];
    const [cx, cy, s] = [r.range(0.44, 0.56), r.range(0.38, 0.45), r.range(0.2, 0.25)];
    const [lx, ly, power] = [r.range(-0.8, 0.8), r.range(-0.7, -0.1), r.range(0.8, 1.1)];
    const ground = behind(r);
    const strands = new ValueNoise(n + 3);
    const one = (u: number, v: number): Rgb => {
      const [px, py] = [((u - cx) * W) / (s * H), (v - cy) / s];
      const point = pointAt(
        m,
        px * Math.cos(tilt) + py * Math.sin(tilt),
        py * Math.cos(tilt) - px * Math.sin(tilt),
        aside,
        strands,
      );
      if (!point) return ground(u, v);
      const [sx, sy] = point.slope;
      const facing = Math.sqrt(Math.max(0.05, 1 - 0.5 * (sx * sx + sy * sy)));
      const lit = 0.3 + power * Math.max(0, 0.62 * facing + 0.5 * (sx * lx + sy * ly));
      const shine = point.gloss * Math.max(0, sx * lx + sy * ly + 0.4 * facing - 0.55);
      return between(between([0, 0, 0], point.colour, Math.min(1.1, lit)), [255, 250, 240], Math.min(0.5, shine));
    };
    const d = 0.6;
    const rgba = byPixel(W, H, (u, v) => {
      const four = [
        [-d, -d],
        [d, -d],
        [-d, d],
        [d, d],
      ].map(([x, y]) => one(u + x / W, v + y / H));
      const dark = 1 - 0.45 * ((u - 0.5) ** 2 + (v - 0.5) ** 2) * 2;
      const grain = 7 * r.normal();
      const mean = (k: 0 | 1 | 2) => four.reduce((sum, c) => sum + c[k], 0) / 4;
      return [mean(0) * dark + grain, mean(1) * dark + grain + 2 * r.normal(), mean(2) * dark + grain + 4 * r.normal()];
    });
    return {
      ...{ name: `${this.name} ${n}.${seed}`, width: W, height: H, rgba },
      truth: {
        ...{ kind: 'portrait', people: 1, ground: 'busy' },
        ...{ hair: m.worn === 'bald' ? undefined : m.hair, skin: m.skin, clothes: m.shirt },
        ...(dye.pattern === 'plain' ? {} : { second: dye.ink }),
        ...(n < PATTERNED ? {} : { eyes: dye.iris }),
        person: n < PATTERNED ? wearsOf(m) : { ...wearsOf(m), pattern: dye.pattern },
      },
    };
  },
};
