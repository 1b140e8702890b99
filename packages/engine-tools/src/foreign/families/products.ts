import { between, byPixel, chanceOf, hsl, type ForeignFamily, type Rgb } from './family';

const W = 320;
const H = 320;

/** Turned things with a pattern on a white sheet, as in a shop. */
export const products: ForeignFamily = {
  name: 'products on white',
  technique: 'solids of revolution from a random profile, patterned, lit from one side, with a soft shadow on white',
  heldOut: true,
  make({ who: n, seed }) {
    const m = chanceOf(this.name, 'who', n);
    const knots = Array.from({ length: 6 }, (_, k) => (k === 5 ? m.range(0.05, 0.4) : m.range(0.25, 0.95)));
    const tall = m.range(0.45, 0.8);
    const [base, mark] = [
      hsl(m.range(0, 360), m.range(0.2, 0.8), m.range(0.3, 0.75)),
      hsl(m.range(0, 360), m.range(0.2, 0.8), m.range(0.2, 0.9)),
    ];
    const pattern = m.integer(0, 3);
    const count = m.integer(3, 9);
    const r = chanceOf(this.name, 'shot', seed);
    const size = r.range(0.75, 1.1);
    const light = r.range(-0.9, 0.9);
    const [cx, foot] = [0.5 + r.range(-0.06, 0.06), 0.86];
    const turn = r.range(0, 3);
    /** Half its width at a part of its height, 0 the foot. */
    const profile = (t: number) => {
      const k = Math.min(4, Math.floor(t * 5));
      const f = t * 5 - k;
      const s = f * f * (3 - 2 * f);
      return (knots[k] * (1 - s) + knots[k + 1] * s) * 0.3 * size;
    };
    const marked = (t: number, angle: number) => {
      if (pattern === 0) return false;
      if (pattern === 1) return Math.sin(t * count * 6.28) > 0.3;
      if (pattern === 2) return Math.sin(angle * count) > 0.35;
      return Math.sin(angle * count) * Math.sin(t * count * 6.28) > 0.4;
    };
    const rgba = byPixel(W, H, (u, v) => {
      const t = (foot - v) / (tall * size);
      const half = t >= 0 && t <= 1 ? profile(t) : 0;
      const x = half ? (u - cx) / half : 2;
      if (Math.abs(x) < 1) {
        const across = Math.asin(x);
        const lit = 0.35 + 0.65 * Math.max(0, Math.cos(across - light));
        const shine = Math.max(0, Math.cos((across - light * 0.8) * 3)) ** 24 * 0.6;
        const body: Rgb = marked(t, across + turn) ? mark : base;
        return between(between([0, 0, 0], body, lit), [255, 255, 255], shine);
      }
      const shadow = Math.exp(-(((u - cx + light * 0.12) / 0.26) ** 2) - ((v - foot) / 0.035) ** 2);
      return between([252, 252, 252], [120, 120, 125], shadow * 0.7);
    });
    return {
      name: `${this.name} ${n}.${seed}`,
      width: W,
      height: H,
      rgba,
      truth: { kind: 'thing', people: 0, ground: 'plain' },
    };
  },
};
