import { ValueNoise } from '@urbild/core';
import {
  between,
  byPixel,
  chanceOf,
  CLOTH_PATTERNS,
  DRESSED,
  hsl,
  PATTERNED,
  type ForeignFamily,
  type PersonTruth,
  type Rgb,
} from './family';

type V = readonly [number, number, number];

const W = 200;
const H = 240;
const dot = (a: V, b: V) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const norm = (a: V): V => {
  const l = Math.hypot(...a) || 1;
  return [a[0] / l, a[1] / l, a[2] / l];
};
/** Distance to an ellipsoid with half axes a, b, c at the origin, by its gradient. */
const ellipsoid = (x: number, y: number, z: number, a: number, b: number, c: number) => {
  const k0 = Math.hypot(x / a, y / b, z / c);
  const k1 = Math.hypot(x / (a * a), y / (b * b), z / (c * c));
  return k1 > 0 ? (k0 * (k0 - 1)) / k1 : -Math.min(a, b, c);
};
const blend = (a: number, b: number, k: number) => {
  const h = Math.max(k - Math.abs(a - b), 0) / k;
  return Math.min(a, b) - (h * h * k) / 4;
};

/** The shape and colours of somebody. */
function personOf(who: number) {
  const r = chanceOf('marched heads', 'who', who);
  const dark = r.next();
  const hairs: readonly Rgb[] = [
    hsl(28, 0.35, 0.08),
    hsl(24, 0.5, 0.22),
    hsl(18, 0.65, 0.38),
    hsl(42, 0.55, 0.6),
    hsl(0, 0, 0.78),
  ];
  return {
    skin: between(hsl(24, 0.6, 0.8), hsl(20, 0.5, 0.28), dark),
    hair: hairs[r.integer(0, dark > 0.6 ? 1 : hairs.length - 1)],
    clothes: hsl(r.range(0, 360), r.range(0.25, 0.75), r.range(0.25, 0.6)),
    width: r.range(0.72, 0.86),
    jaw: r.range(0.42, 0.62),
    nose: r.range(0.1, 0.2),
    eyes: r.range(0.24, 0.33),
    long: r.chance(0.5) ? r.range(0.5, 1.1) : 0,
    fringe: r.range(-0.02, 0.14),
    bald: r.chance(0.1),
    curl: r.range(0.01, 0.07),
    noise: new ValueNoise(who + 1),
  };
}
type Person = ReturnType<typeof personOf> & ReturnType<typeof wornBy>;

/** What somebody wears on head and face. */
function wornBy(who: number) {
  const r = chanceOf('marched heads', 'worn', who);
  const dressed = who >= DRESSED;
  return {
    beard: dressed && r.chance(0.3),
    glasses: dressed && r.chance(0.3),
    hat: dressed && r.chance(0.3),
    brim: r.chance(0.5),
    felt: hsl(r.range(0, 360), r.range(0.2, 0.7), r.range(0.2, 0.6)),
  };
}

/** The iris of somebody. */
const irisOf = (who: number): Rgb =>
  who < PATTERNED
    ? [52, 40, 32]
    : chanceOf('marched heads', 'iris', who).pick<Rgb>([
        [52, 40, 32],
        [110, 72, 40],
        [70, 110, 160],
        [86, 124, 78],
        [120, 128, 134],
      ]);

/** The weave of somebody's clothes: how it changes over the body. */
function weaveOf(who: number) {
  const r = chanceOf('marched heads', 'weave', who);
  return {
    pattern: who < PATTERNED ? ('plain' as const) : r.pick(CLOTH_PATTERNS),
    yarn: r.chance(0.5) ? hsl(40, 0.2, r.range(0.8, 0.95)) : hsl(r.range(0, 360), r.range(0.3, 0.8), r.range(0.1, 0.7)),
    wave: r.range(9, 20),
    lean: r.pick([0, 0, Math.PI / 2, 0.7]),
  };
}

/** True where the other yarn shows at a place of the cloth. */
function isOtherYarn({ pattern, wave, lean }: ReturnType<typeof weaveOf>, x: number, y: number): boolean {
  const [u, v] = [x * Math.sin(lean) + y * Math.cos(lean), x * Math.cos(lean) - y * Math.sin(lean)].map(
    (p) => p * wave,
  );
  switch (pattern) {
    case 'stripes':
      return Math.sin(u) > 0.2;
    case 'checks':
      return Math.sin(u) > 0.55 || Math.sin(v) > 0.55;
    case 'dots':
      return Math.sin(u) + Math.sin(v) > 0.95;
    default:
      return false;
  }
}

type Material = 'skin' | 'hair' | 'clothes' | 'eye' | 'lips' | 'felt' | 'rims';

/** Nearest surface of somebody from a point (x, y, z), in head radii, and what it is made of. */
class Body {
  /** Of the surface that was nearest last. */
  material: Material = 'skin';
  private near = 0;

  constructor(private readonly who: Person) {}

  distance(x: number, y: number, z: number): number {
    const { who } = this;
    this.near = Infinity;
    this.take(Math.max(this.face(x, y, z), 0.02 - this.sockets(x, y, z)), 'skin');
    const side = Math.abs(x) - who.eyes;
    this.take(Math.hypot(side, y - 0.07, z - 0.66) - 0.15, 'eye');
    this.take(ellipsoid(x, y + 0.52, z - 0.76, 0.22, 0.075, 0.12), 'lips');
    this.take(ellipsoid(x, y + 2.3, z + 0.15, 1.5, 0.95, 0.75), 'clothes');
    if (!who.bald) this.take(this.hair(x, y, z), 'hair');
    if (who.beard) this.take(ellipsoid(x, y + 0.82, z - 0.4, who.jaw + 0.1, 0.4, 0.5), 'hair');
    if (who.glasses) this.take(Math.hypot(Math.hypot(side, y - 0.07) - 0.21, z - 0.86) - 0.028, 'rims');
    if (who.hat) this.take(this.worn(x, y, z), 'felt');
    return this.near;
  }

  /** A cap drawn over the hair, or one with a brim. */
  private worn(x: number, y: number, z: number): number {
    const { width, brim } = this.who;
    const dome = Math.max(ellipsoid(x, y - 0.3, z + 0.08, width + 0.24, 1.12, 1.14), 0.42 - y + 0.1 * z);
    return brim ? Math.min(dome, ellipsoid(x, y - 0.5 + 0.1 * z, z + 0.05, 1.5, 0.07, 1.5)) : dome;
  }

  private take(distance: number, material: Material): void {
    if (distance >= this.near) return;
    this.near = distance;
    this.material = material;
  }

  private face(x: number, y: number, z: number): number {
    const { who } = this;
    const skull = ellipsoid(x, y - 0.15, z + 0.05, who.width, 0.95, 0.9);
    const jaw = ellipsoid(x, y + 0.5, z - 0.12, who.jaw, 0.55, 0.62);
    const nose = ellipsoid(x, y + 0.12, z - 0.86, 0.1, 0.2, who.nose);
    const neck = Math.max(Math.hypot(x, z + 0.1) - 0.36, y + 0.5, -2 - y);
    return blend(blend(blend(skull, jaw, 0.3), nose, 0.16), neck, 0.2);
  }

  private sockets(x: number, y: number, z: number): number {
    return ellipsoid(Math.abs(x) - this.who.eyes, y - 0.08, z - 0.86, 0.17, 0.1, 0.14);
  }

  /** A shell over the skull behind the hairline, and what falls behind the ears. */
  private hair(x: number, y: number, z: number): number {
    const { who } = this;
    const strands = who.curl * who.noise.at(x * 9, y * 4 + z * 9);
    const cap = ellipsoid(x, y - 0.2, z + 0.1, who.width + 0.15, 1.06, 1.04) + strands;
    const hairline = who.fringe - (0.8 * y - 0.6 * z);
    if (!who.long) return Math.max(cap, hairline);
    const fall = ellipsoid(x, y + who.long * 0.5, z + 0.42, who.width + 0.22, 1 + who.long * 0.7, 0.52) + strands;
    return Math.min(Math.max(cap, hairline), Math.max(fall, z - 0.1));
  }
}

/** What is to be seen of what somebody wears. */
const wearsOf = ({ bald, long, beard, glasses, hat, brim }: Person): PersonTruth => ({
  worn: bald ? 'bald' : long > 0.75 ? 'long' : long ? 'bob' : 'short',
  ...{ beard, glasses, headwear: hat ? (brim ? 'hat' : 'knit cap') : 'none' },
});

/** Heads with shoulders, ray-marched. */
export const marchedHeads: ForeignFamily = {
  name: 'marched heads',
  technique: 'signed distances, ray-marched under three lights; hair is a displaced shell',
  heldOut: false,
  wears: (who) => wearsOf({ ...personOf(who), ...wornBy(who) }),
  make({ who: n, seed }) {
    const who = { ...personOf(n), ...wornBy(n) };
    const r = chanceOf(this.name, 'view', seed);
    const yaw = r.range(-0.7, 0.7);
    const plain = r.chance(0.5);
    const [backdrop, other] = [
      hsl(r.range(0, 360), 0.25, r.range(0.3, 0.85)),
      hsl(r.range(0, 360), 0.4, r.range(0.2, 0.7)),
    ];
    const clutter = new ValueNoise(seed + 7);
    const lights: readonly (readonly [V, number])[] = [
      [norm([r.range(-1, 1), r.range(0.2, 0.9), 0.8]), r.range(0.65, 0.95)],
      [norm([r.range(-1, 1), 0.1, 0.6]), 0.25],
      [norm([0, 0.6, -1]), 0.3],
    ];
    const body = new Body(who);
    const weave = weaveOf(n);
    const irisColour = irisOf(n);
    const [cos, sin] = [Math.cos(yaw), Math.sin(yaw)];
    const distance = (x: number, y: number, z: number) => body.distance(x * cos + z * sin, y, z * cos - x * sin);
    const colours: Readonly<Record<Material, Rgb>> = {
      ...{ skin: who.skin, hair: who.hair, clothes: who.clothes },
      ...{ eye: [235, 232, 226], felt: who.felt, rims: [30, 26, 28] },
      lips: between(who.skin, [165, 50, 55], 0.6),
    };
    const seen = (x: number, y: number, z: number, d: number): Rgb => {
      const { material } = body;
      const e = 0.01;
      const normal = norm([distance(x + e, y, z) - d, distance(x, y + e, z) - d, distance(x, y, z + e) - d]);
      const lit = lights.reduce((s, [l, power]) => s + power * Math.max(0, dot(normal, l)), 0.16);
      const iris = material === 'eye' && Math.hypot(Math.abs(x * cos + z * sin) - who.eyes, y - 0.07) < 0.075;
      const worn = material === 'clothes' && isOtherYarn(weave, x * cos + z * sin, y) ? weave.yarn : colours[material];
      return between([0, 0, 0], iris ? irisColour : worn, Math.min(1.15, lit));
    };
    const ground = (u: number, v: number): Rgb => {
      if (plain) return between(backdrop, [255, 255, 255], 0.25 * (1 - v));
      const patch = Math.sign(clutter.at(u * 7, v * 9)) * Math.min(1, Math.abs(clutter.at(u * 23, v * 19)) + 0.4);
      return between(backdrop, other, 0.5 + 0.5 * patch);
    };
    const rgba = byPixel(W, H, (u, v) => {
      const [dx, dy, dz] = norm([(u - 0.5) * 0.72, (0.42 - v) * 0.86, -1]);
      for (let i = 0, t = 3.2; i < 48 && t < 7; i++) {
        const [x, y, z] = [dx * t, dy * t - 0.35, 5 + dz * t];
        const d = distance(x, y, z);
        if (d <= 0.006) return seen(x, y, z, d);
        t += d * 0.9;
      }
      return ground(u, v);
    });
    return {
      ...{ name: `${this.name} ${n}.${seed}`, width: W, height: H, rgba },
      truth: {
        ...{ kind: 'portrait', people: 1, ground: plain ? 'plain' : 'busy', yaw: (yaw * 180) / Math.PI },
        ...{ hair: who.bald ? undefined : who.hair, skin: who.skin, clothes: who.clothes },
        ...(weave.pattern === 'plain' ? {} : { second: weave.yarn }),
        ...(n < PATTERNED ? {} : { eyes: irisColour }),
        person: n < PATTERNED ? wearsOf(who) : { ...wearsOf(who), pattern: weave.pattern },
      },
    };
  },
};
