import { adjustLch, mixLch, type Lch } from '@urbild/core';
import { capsule, ribbon, spline, wobble } from '../geometry/curve';
import { ellipse, type Point } from '../geometry/point';
import type { Blade } from '../scene/displayList';
import { isSnowy } from '../light/environment';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';

/** How reeds grow; parts are probabilities 0..1, lengths px. */
export interface ReedStyle {
  readonly spread?: number;
  readonly wind?: number;
  readonly width?: number;
  readonly heads?: number;
  readonly plumes?: number;
  readonly lit?: number;
  readonly straight?: boolean;
}

/** A tuft of `count` reeds on (x, y) px, about `height` px tall. */
export function reeds(
  scene: Scene,
  {
    x,
    y,
    count,
    height,
    colour,
    depth,
    style = {},
  }: {
    readonly x: number;
    readonly y: number;
    readonly count: number;
    readonly height: number;
    readonly colour: Lch;
    readonly depth: number;
    readonly style?: ReedStyle;
  },
): void {
  const { random: r, light: e } = scene;
  const pen = scene.pen({ region: REGION.foliage, depth });
  const base = pen.colour(colour);
  const wind = style.wind ?? 0.25;
  const width = style.width ?? 2.2;
  const near = Math.exp(-depth * 2);
  const blades: Blade[] = [];
  for (let i = 0; i < count; i++) {
    const bx = x + r.bell() * (style.spread ?? 20);
    const by = y + r.bell() * 2;
    const h = height * r.range(0.55, 1.1);
    const lean = (r.bell() * 0.16 + wind) * h;
    const bend = !style.straight && r.chance(0.14) ? r.range(0.25, 0.5) * h : 0;
    const tip: Point = [bx + lean + bend * Math.sign(wind || 1), by - h + bend * 0.75];
    const w = width * r.range(0.6, 1.2);
    let c = adjustLch(base, r.bell() * 0.05, 1 + r.bell() * 0.15, r.bell() * 9);
    if (r.chance(style.lit ?? 0.28)) c = mixLch(c, e.light, 0.38 * near);
    else if (r.chance(0.4)) c = mixLch(c, e.shadow, 0.4 * near);
    blades.push({ path: ribbon([[bx, by], [bx + lean * 0.35, by - h * 0.58], tip], [w, w * 0.8, 0.25], 6), colour: c });
    if (style.heads && r.chance(style.heads)) {
      const hh = h * 0.13;
      const q: Point = [tip[0] - lean * 0.02, tip[1] + hh * 0.4];
      blades.push({
        path: capsule([[q[0] - lean * 0.06, q[1] + hh], q], [width * 2.1, width * 1.8]),
        colour: pen.colour([0.38, 0.065, 50]),
      });
    }
    if (style.plumes && r.chance(style.plumes)) {
      blades.push({
        path: ribbon(
          [
            [tip[0] - lean * 0.1, tip[1] + h * 0.12],
            [tip[0] + h * 0.03, tip[1]],
            [tip[0] + h * 0.12, tip[1] + h * 0.03],
          ],
          [1, width * 2.6, 0.4],
        ),
        colour: mixLch(pen.colour([0.72, 0.05, 70]), e.light, 0.25),
      });
    }
  }
  pen.blades(blades);
}

/** Reeds along a shore: `shore(x)` gives the foot in px, `scale(x)` 0..1 the height. */
export function reedBank(
  scene: Scene,
  {
    x0,
    x1,
    shore,
    height,
    colour,
    depth,
    style = {},
  }: {
    readonly x0: number;
    readonly x1: number;
    readonly shore: (x: number) => number;
    readonly height: number;
    readonly colour: Lch;
    readonly depth: number;
    readonly style?: ReedStyle & {
      readonly step?: number;
      readonly count?: number;
      readonly scale?: (x: number) => number;
    };
  },
): void {
  const step = (style.step ?? 9) * scene.unit;
  for (let x = x0; x < x1; x += step) {
    const h = height * scene.random.range(0.75, 1.15) * (style.scale?.(x) ?? 1);
    reeds(scene, {
      x,
      y: shore(x),
      count: style.count ?? 7,
      height: h,
      colour,
      depth,
      style: { spread: step * 0.7, ...style },
    });
  }
}

/** Short grass and flowers scattered between two heights (px), larger towards the viewer. */
export function meadowFlecks(
  scene: Scene,
  {
    y0,
    y1,
    count,
    colour,
    depth,
    flowers = 0.4,
  }: {
    readonly y0: number;
    readonly y1: number;
    readonly count: number;
    readonly colour: Lch;
    readonly depth: number;
    readonly flowers?: number;
  },
): void {
  const { random: r, width: W, unit: u } = scene;
  const pen = scene.pen({ region: REGION.foliage, depth });
  for (let i = 0; i < count; i++) {
    const near = Math.pow(r.next(), 1.2);
    const y = y0 + (y1 - y0) * near;
    const x = r.next() * W;
    reeds(scene, {
      x,
      y,
      count: 5,
      height: (8 + 16 * near) * u,
      colour: adjustLch(colour, r.bell() * 0.04, 1, r.bell() * 10),
      depth: depth * (1 - near),
      style: {
        spread: (6 + 6 * near) * u,
        width: (1.1 + near) * u,
        wind: 0.12,
        straight: true,
      },
    });
    if (isSnowy(scene.light) || !r.chance(flowers)) continue;
    const c = r.pick<Lch>([
      [0.92, 0.09, 95],
      [0.88, 0.05, 350],
      [0.94, 0.02, 90],
      [0.76, 0.13, 50],
    ]);
    pen.shape(ellipse(x + r.bell() * 20 * u, y - 7 * u, (1.1 + 1.6 * near) * u, (1 + 1.4 * near) * u, 0, 8), c, {
      plain: true,
    });
  }
}

/** A tree standing on (x, y) px, `size` px tall; bare in snow, coloured in autumn, in blossom in spring. */
export function tree(scene: Scene, x: number, y: number, size: number, depth: number): void {
  if (!scene.allows('thing: tree')) return;
  const { random: r, light: e } = scene;
  const wood = scene.pen({ region: REGION.wood, depth });
  const lean = r.bell() * 0.12 * size;
  const top: Point = [x + lean, y - size * 0.62];
  wood.shape(
    wobble(
      ribbon([[x, y + 2], [x + lean * 0.3, y - size * 0.3], top], [size * 0.1, size * 0.06, size * 0.03]),
      0.8,
      9,
      x,
    ),
    [0.34, 0.04, 50],
  );
  const ends: Point[] = [];
  for (let i = 0; i < 6; i++) {
    const t = r.range(0.35, 0.95);
    const from: Point = [x + lean * t, y - size * 0.62 * t];
    const a = -Math.PI / 2 + r.range(-1.1, 1.1);
    const l = size * r.range(0.22, 0.42);
    const to: Point = [from[0] + Math.cos(a) * l, from[1] + Math.sin(a) * l];
    ends.push(to);
    wood.shape(
      ribbon(
        [from, [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2 - size * 0.02], to],
        [size * 0.035, size * 0.022, size * 0.006],
      ),
      [0.34, 0.04, 50],
      { texture: 0.3 },
    );
  }
  if (isSnowy(e) || e.season === 'winter') {
    for (const end of ends)
      for (let i = 0; i < 5; i++) {
        const a = -Math.PI / 2 + r.range(-1.2, 1.2);
        const l = size * r.range(0.1, 0.2);
        wood.line([end, [end[0] + Math.cos(a) * l, end[1] + Math.sin(a) * l]], size * 0.01, [0.36, 0.03, 50], {
          taper: [0, 0.15],
        });
      }
    return;
  }
  const green: Lch =
    e.season === 'autumn'
      ? r.pick<Lch>([
          [0.62, 0.13, 55],
          [0.55, 0.14, 38],
          [0.7, 0.12, 80],
        ])
      : e.season === 'spring'
        ? [0.74, 0.1, 125]
        : [0.46, 0.08, 140];
  const leaves = scene.pen({ region: REGION.foliage, depth });
  const crowns: Point[] = [
    ...ends,
    [top[0], top[1] - size * 0.12],
    [top[0] - size * 0.12, top[1] + size * 0.05],
    [top[0] + size * 0.14, top[1] + size * 0.02],
  ];
  crowns.sort((a, b) => a[1] - b[1]);
  for (const [cx, cy] of crowns) {
    const radius = size * r.range(0.14, 0.24);
    const outline: Point[] = Array.from({ length: 11 }, (_, i) => {
      const a = (i / 11) * Math.PI * 2;
      const k = r.range(0.8, 1.15);
      return [cx + Math.cos(a) * radius * k * 1.15, cy + Math.sin(a) * radius * k * 0.9];
    });
    leaves.shape(wobble(spline(outline), 2.2, 5, cx), adjustLch(green, r.bell() * 0.03, 1, r.bell() * 8), {
      volume: 1,
      shade: 1.2,
      strokes: -0.6,
      texture: 1.2,
      mottled: true,
    });
    leaves.blades(
      Array.from({ length: 14 }, () => {
        const a = r.next() * 7;
        const k = Math.sqrt(r.next()) * radius;
        return {
          path: ellipse(
            cx + Math.cos(a) * k,
            cy + Math.sin(a) * k * 0.8,
            size * 0.012 * r.range(0.7, 1.6),
            size * 0.008,
            r.next() * 3,
            7,
          ),
          colour: leaves.colour(mixLch(green, r.chance(0.5) ? e.light : e.shadow, 0.35)),
        };
      }),
    );
  }
}
