import { ValueNoise } from '@urbild/core';
import {
  between,
  chanceOf,
  CLOTH_PATTERNS,
  css,
  hsl,
  onCanvas,
  PATTERNED,
  type ForeignFamily,
  type PersonTruth,
  type Rgb,
} from './family';

const W = 360;
const H = 420;

/** Somebody to be painted: colours, proportions, what is worn. */
function sitterOf(who: number) {
  const r = chanceOf('painted busts', 'sitter', who);
  const worn = r.pick<PersonTruth['worn']>(['bald', 'short', 'short', 'bob', 'long', 'long', 'up']);
  const tan = r.next();
  return {
    skin: between(hsl(28, 0.55, 0.8), hsl(18, 0.45, 0.27), tan),
    hair: r.pick<Rgb>([
      hsl(20, 0.3, 0.09),
      hsl(26, 0.45, 0.24),
      hsl(15, 0.6, 0.36),
      ...(tan < 0.6 ? [hsl(44, 0.6, 0.6), hsl(30, 0.04, 0.72)] : []),
    ]),
    coat: hsl(r.range(0, 360), r.range(0.2, 0.7), r.range(0.2, 0.65)),
    felt: hsl(r.range(0, 360), r.range(0.2, 0.6), r.range(0.15, 0.5)),
    wide: r.range(0.86, 1.1),
    jaw: r.range(0.68, 0.92),
    apart: r.range(0.9, 1.12),
    ...{ worn, beard: r.chance(0.3), glasses: r.chance(0.3), hat: worn !== 'up' && r.chance(0.3) },
  };
}

/** The colour in which somebody's eyes are painted. */
function gazeOf(who: number): Rgb {
  if (who < PATTERNED) return [44, 34, 30];
  const r = chanceOf('painted busts', 'gaze', who);
  return r.pick<Rgb>([
    [44, 34, 30],
    hsl(26, 0.5, 0.3),
    hsl(210, 0.45, 0.45),
    hsl(110, 0.25, 0.38),
    hsl(200, 0.08, 0.5),
  ]);
}

/** The stuff that somebody's coat is of. */
function stuffOf(who: number) {
  const r = chanceOf('painted busts', 'stuff', who);
  const pattern = who < PATTERNED ? ('plain' as const) : r.pick(CLOTH_PATTERNS);
  const other = r.chance(0.5) ? hsl(45, 0.25, r.range(0.75, 0.92)) : hsl(r.range(0, 360), 0.5, r.range(0.12, 0.6));
  return { pattern, other, every: r.range(0.16, 0.26), slant: r.range(-0.5, 0.5) };
}

/** True where a place of the coat has the other colour; in face heights. */
function isOther({ pattern, every, slant }: ReturnType<typeof stuffOf>, x: number, y: number): boolean {
  const down = Math.abs((y + slant * x) / every) % 1;
  const along = Math.abs((x - slant * y) / every + 100) % 1;
  if (pattern === 'dots') return (down - 0.5) ** 2 + (along - 0.5) ** 2 < 0.085;
  return pattern === 'stripes' ? down > 0.52 : pattern === 'checks' && (down > 0.66 || along > 0.66);
}

/** Where a sitter is on the canvas: the middle of the face in px, and how far features are turned aside. */
interface Pose {
  readonly cx: number;
  readonly cy: number;
  readonly s: number;
  readonly turn: number;
}
type Sitter = ReturnType<typeof sitterOf>;
type Part = 'skin' | 'hair' | 'coat' | 'felt' | 'ground';

/** What is at a place, in face heights from the middle of the face: x to the right, y down. */
function partAt(who: Sitter, x: number, y: number): Part {
  const aside = Math.abs(x);
  if (who.hat && y < -0.34 && (Math.hypot(x / (0.42 * who.wide), (y + 0.42) / 0.42) < 1 || (y > -0.44 && aside < 0.66)))
    return 'felt';
  const half = 0.37 * who.wide * (y > 0 ? 1 - (1 - who.jaw) * (y / 0.5) ** 1.6 : 1);
  const face = Math.abs(y) < 0.5 && aside < half * Math.sqrt(1 - (y / 0.5) ** 2 * 0.92);
  if (
    who.beard &&
    y > 0.2 &&
    Math.hypot(x / 0.3, (y - 0.4) / 0.24) < 1 &&
    !(Math.hypot(x / 0.13, (y - 0.27) / 0.035) < 1)
  )
    return 'hair';
  const fringe = y < -0.27 + 0.06 * Math.cos(x * 9);
  if (face && (who.worn === 'bald' || !fringe)) return 'skin';
  if (who.worn === 'up' && Math.hypot(x, y + 0.72) < 0.17) return 'hair';
  const cap = Math.hypot(x / (0.47 * who.wide), (y + 0.1) / 0.52) < 1 && y < 0.02;
  const falls = { long: 0.95, bob: 0.42 }[who.worn as 'bob'] ?? -1;
  if (who.worn !== 'bald' && (cap || (y < falls && y > -0.1 && aside > 0.2 && aside < 0.5 * who.wide + 0.06 * y)))
    return 'hair';
  if (aside < 0.16 && y > 0.3 && y < 0.72) return 'skin';
  return y > 0.6 + 0.5 * aside ** 2 && aside < 1.05 ? 'coat' : 'ground';
}

/** What is to be seen of what somebody wears. */
const wearsOf = ({ worn, beard, glasses, hat }: Sitter): PersonTruth => ({
  worn,
  beard,
  glasses,
  headwear: hat ? 'hat' : 'none',
});

/** Busts painted with dabs of a flat brush that follow the form, over a ground of loose dabs. */
export const paintedBusts: ForeignFamily = {
  name: 'painted busts',
  technique: 'dabs of a flat brush with broken colour, laid along the form',
  heldOut: false,
  wears: (who) => wearsOf(sitterOf(who)),
  make({ who: n, seed }) {
    const who = sitterOf(n);
    const r = chanceOf(this.name, 'sitting', seed);
    const pose: Pose = {
      cx: W * r.range(0.42, 0.58),
      cy: H * r.range(0.38, 0.46),
      s: r.range(150, 185),
      turn: r.range(-0.09, 0.09),
    };
    const [light, warm] = [r.chance(0.5) ? 1 : -1, r.range(-1, 1)];
    const grounds: readonly Rgb[] = [0, 1, 2].map(() => hsl(r.range(0, 360), r.range(0.1, 0.45), r.range(0.25, 0.8)));
    const loose = r.chance(0.5);
    const noise = new ValueNoise(seed + 11);
    const stuff = stuffOf(n);
    const colours: Readonly<Record<Exclude<Part, 'ground'>, Rgb>> = {
      skin: who.skin,
      hair: who.hair,
      coat: who.coat,
      felt: who.felt,
    };
    const at = (x: number, y: number) => [(x - pose.cx) / pose.s, (y - pose.cy) / pose.s] as const;
    const colourAt = (x: number, y: number): Rgb => {
      const [fx, fy] = at(x, y);
      const part = partAt(who, fx, fy);
      if (part === 'ground')
        return loose ? grounds[Math.min(2, Math.floor((0.5 + 0.5 * noise.at(x / 46, y / 60)) * 3))] : grounds[0];
      const lit =
        0.86 + 0.24 * light * fx + (part === 'hair' ? 0.1 * noise.at(x / 6, y / 40) : 0) - 0.12 * Math.max(0, fy);
      const colour = part === 'coat' && isOther(stuff, fx, fy) ? stuff.other : colours[part];
      const own = between([0, 0, 0], colour, Math.min(1.08, lit));
      return between(own, warm > 0 ? [250, 210, 150] : [150, 180, 230], 0.07 * Math.abs(warm));
    };
    const rgba = onCanvas(W, H, (g) => {
      g.fillStyle = css(grounds[0]);
      g.fillRect(0, 0, W, H);
      for (const [count, size] of [
        [2600, 11],
        [9000, 6],
        [9000, 3.6],
      ] as const)
        for (let k = 0; k < count; k++) {
          const [x, y] = [r.range(0, W), r.range(0, H)];
          const [fx, fy] = at(x, y);
          const near = partAt(who, fx, fy) !== 'ground';
          if (size < 6 && !near) continue;
          const jitter = r.range(0.93, 1.07);
          const [cr, cg, cb] = colourAt(x, y);
          g.strokeStyle = css([cr * jitter, cg * jitter, cb * jitter], 0.85);
          g.lineWidth = size * 0.6;
          const angle = near ? Math.atan2(fy, fx) + Math.PI / 2 + r.range(-0.3, 0.3) : r.range(0, Math.PI);
          const [dx, dy] = [(Math.cos(angle) * size) / 2, (Math.sin(angle) * size) / 2];
          g.beginPath();
          g.moveTo(x - dx, y - dy);
          g.lineTo(x + dx, y + dy);
          g.stroke();
        }
      features(g, { ...who, gaze: gazeOf(n), coloured: n >= PATTERNED }, pose, r.next());
    });
    return {
      ...{ name: `${this.name} ${n}.${seed}`, width: W, height: H, rgba },
      truth: {
        ...{ kind: 'portrait', people: 1, ground: loose ? 'busy' : 'plain' },
        ...{ hair: who.worn === 'bald' ? undefined : who.hair, skin: who.skin, clothes: who.coat },
        ...(stuff.pattern === 'plain' ? {} : { second: stuff.other }),
        ...(n < PATTERNED ? {} : { eyes: gazeOf(n) }),
        person: n < PATTERNED ? wearsOf(who) : { ...wearsOf(who), pattern: stuff.pattern },
      },
    };
  },
};

/** Eyes, brows, nose and mouth in a few strokes. */
function features(
  g: Parameters<Parameters<typeof onCanvas>[2]>[0],
  { gaze, coloured, ...who }: Sitter & { readonly gaze: Rgb; readonly coloured: boolean },
  { cx, cy, s, turn }: Pose,
  mood: number,
): void {
  const dark = between(who.skin, [30, 16, 16], 0.75);
  const to = (x: number, y: number) => [cx + (x + turn) * s, cy + y * s] as const;
  const stroke = (colour: Rgb, width: number, ...points: readonly (readonly [number, number])[]) => {
    g.strokeStyle = css(colour);
    g.lineWidth = width * s;
    g.beginPath();
    points.forEach(([x, y], k) => (k ? g.lineTo(...to(x, y)) : g.moveTo(...to(x, y))));
    g.stroke();
  };
  for (const side of [-1, 1]) {
    const x = side * 0.165 * who.apart;
    g.fillStyle = css([232, 228, 220]);
    g.beginPath();
    g.ellipse(...to(x, -0.03), 0.062 * s, 0.03 * s, 0, 0, 7);
    g.fill();
    g.fillStyle = css(gaze);
    g.beginPath();
    g.arc(...to(x + turn * 0.15, -0.03), 0.028 * s, 0, 7);
    g.fill();
    if (coloured) {
      g.fillStyle = css([20, 16, 18]);
      g.beginPath();
      g.arc(...to(x + turn * 0.15, -0.03), 0.011 * s, 0, 7);
      g.fill();
    }
    stroke(dark, 0.016, [x - 0.07, -0.03], [x, -0.065], [x + 0.07, -0.03]);
    stroke(between(dark, who.hair, 0.5), 0.026, [x - 0.08, -0.12], [x, -0.145], [x + 0.08, -0.12]);
    if (!who.glasses) continue;
    g.strokeStyle = css([28, 26, 34]);
    g.lineWidth = 0.018 * s;
    g.beginPath();
    g.arc(...to(x, -0.03), 0.115 * s, 0, 7);
    g.stroke();
  }
  if (who.glasses) stroke([28, 26, 34], 0.018, [-0.05, -0.05], [0.05, -0.05]);
  stroke(between(who.skin, dark, 0.6), 0.02, [turn * 0.3, 0], [0.035 + turn * 0.6, 0.13], [-0.03, 0.145]);
  stroke(between(who.skin, [150, 40, 50], 0.65), 0.034, [-0.1, 0.265], [0, 0.27 + 0.03 * (mood - 0.3)], [0.1, 0.265]);
}
