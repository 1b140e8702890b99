import type { SKRSContext2D } from '@napi-rs/canvas';
import type { Random } from '@urbild/core';
import {
  AreaNotes,
  between,
  chanceOf,
  css,
  hsl,
  onCanvas,
  type AreaTruthKind,
  type ForeignFamily,
  type Rgb,
} from './family';

const W = 440;
const H = 320;
type Points = readonly (readonly [number, number])[];

/** A view that is sprayed: every area a gradient with a fine spatter, edges a little soft. */
class Spray {
  constructor(
    readonly g: SKRSContext2D,
    readonly r: Random,
    readonly notes: AreaNotes,
  ) {}

  put(kind: AreaTruthKind, [from, to]: readonly [Rgb, Rgb], outline: Points, across = false): void {
    const xs = outline.map((p) => p[0]);
    const ys = outline.map((p) => p[1]);
    const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    const fill = across ? this.g.createLinearGradient(x0, 0, x1, 0) : this.g.createLinearGradient(0, y0, 0, y1);
    fill.addColorStop(0, css(from));
    fill.addColorStop(1, css(to));
    this.g.save();
    this.g.beginPath();
    outline.forEach(([x, y], k) => (k ? this.g.lineTo(x, y) : this.g.moveTo(x, y)));
    this.g.closePath();
    this.g.fillStyle = fill;
    this.g.fill();
    this.g.clip();
    const count = ((x1 - x0) * (y1 - y0)) / 60;
    for (let k = 0; k < count; k++) {
      this.g.fillStyle = css(this.r.chance(0.5) ? [255, 255, 255] : [0, 0, 0], 0.07);
      this.g.fillRect(this.r.range(x0, x1), this.r.range(y0, y1), 1.5, 1.5);
    }
    this.g.restore();
    this.notes.lay(kind, outline);
  }
}

/** Ridges one behind the other, paler the farther off, with a lake or a plain before them; where the near shore begins, px. */
function land(spray: Spray, grass: Rgb, haze: Rgb): number {
  const { r } = spray;
  const horizon = r.range(0.5, 0.62) * H;
  for (const far of [0.75, 0.45]) {
    const [a, b] = [r.range(0, 6), r.range(0, 6)];
    const height = r.range(24, 60) * (1.4 - far);
    const ridge = Array.from({ length: 40 }, (_, k) => {
      const x = (k / 39) * W;
      return [x, horizon - 6 - height * (0.6 + 0.4 * Math.sin(x / 70 + a) + 0.2 * Math.sin(x / 24 + b))] as const;
    });
    const tone = between(grass, haze, far);
    spray.put('ground', [tone, between(tone, haze, 0.4)], [...ridge, [W, horizon + 4], [0, horizon + 4]]);
  }
  const near = horizon + r.range(34, 60);
  if (r.chance(0.6))
    spray.put(
      'water',
      [between([60, 110, 150], haze, 0.5), [40, 90, 130]],
      [
        [0, horizon],
        [W, horizon],
        [W, near + 14],
        [0, near + 14],
      ],
    );
  else
    spray.put(
      'ground',
      [between(grass, haze, 0.3), grass],
      [
        [0, horizon],
        [W, horizon],
        [W, near + 14],
        [0, near + 14],
      ],
    );
  const bank = Array.from({ length: 12 }, (_, k) => [(k / 11) * W, near + 7 * Math.sin(k * 0.9)] as const);
  spray.put('ground', [grass, between(grass, [20, 30, 10], 0.45)], [...bank, [W, H], [0, H]]);
  return near;
}

/** A house seen over its corner: two walls in light and shade under a roof. */
function house(spray: Spray, x: number, y: number, s: number, wall: Rgb, roof: Rgb): void {
  const dark = between(wall, [40, 30, 40], 0.4);
  spray.put(
    'building',
    [wall, between(wall, dark, 0.3)],
    [
      [x, y - 50 * s],
      [x + 60 * s, y - 50 * s],
      [x + 60 * s, y],
      [x, y],
    ],
  );
  spray.put(
    'building',
    [dark, between(dark, [20, 15, 20], 0.3)],
    [
      [x + 60 * s, y - 50 * s],
      [x + 92 * s, y - 46 * s],
      [x + 92 * s, y - 6 * s],
      [x + 60 * s, y],
    ],
  );
  spray.put(
    'building',
    [roof, between(roof, [30, 10, 10], 0.4)],
    [
      [x - 6 * s, y - 48 * s],
      [x + 14 * s, y - 84 * s],
      [x + 80 * s, y - 80 * s],
      [x + 98 * s, y - 44 * s],
      [x + 62 * s, y - 50 * s],
    ],
  );
}

/** Views as of an airbrush: gradients with spatter, ridges in haze, houses over the corner. */
export const airbrush: ForeignFamily = {
  name: 'airbrushed views',
  technique: 'gradients with spatter and soft edges, nothing outlined',
  heldOut: true,
  make({ who: n, seed }) {
    const m = chanceOf(this.name, 'who', n);
    const haze = m.pick([hsl(210, 0.4, 0.85), hsl(28, 0.7, 0.8), hsl(270, 0.25, 0.78)]);
    const sky = m.pick([hsl(212, 0.6, 0.55), hsl(240, 0.35, 0.45), hsl(195, 0.45, 0.6)]);
    const grass = hsl(m.range(70, 130), m.range(0.25, 0.45), m.range(0.3, 0.42));
    const [wall, roof] = [hsl(m.range(20, 60), 0.35, 0.8), hsl(m.range(-10, 30), 0.45, 0.4)];
    const r = chanceOf(this.name, 'view', seed);
    const sun = { shown: r.chance(0.6), x: r.range(60, W - 60), y: r.range(36, 80), s: r.range(16, 28) };
    const notes = new AreaNotes(W, H, 'sky');
    const rgba = onCanvas(W, H, (g) => {
      const spray = new Spray(g, r, notes);
      spray.put(
        'sky',
        [sky, haze],
        [
          [0, 0],
          [W, 0],
          [W, H],
          [0, H],
        ],
      );
      const disc = Array.from({ length: 30 }, (_, k) => {
        const a = (k / 15) * Math.PI;
        return [sun.x + Math.cos(a) * sun.s, sun.y + Math.sin(a) * sun.s] as const;
      });
      if (sun.shown)
        spray.put(
          'sun or moon',
          [
            [255, 250, 225],
            [255, 236, 190],
          ],
          disc,
        );
      const near = land(spray, grass, haze);
      const left = r.chance(0.5);
      house(
        spray,
        left ? r.range(30, 90) : W - r.range(150, 200),
        near + r.range(26, 50),
        r.range(0.8, 1.1),
        wall,
        roof,
      );
      const [tx, ty] = [left ? W - r.range(60, 110) : r.range(60, 110), near + r.range(40, 70)];
      spray.put(
        'plants',
        [
          [92, 66, 48],
          [58, 40, 30],
        ],
        [
          [tx - 6, ty - 60],
          [tx + 6, ty - 60],
          [tx + 8, ty],
          [tx - 8, ty],
        ],
        true,
      );
      const crown = Array.from({ length: 26 }, (_, k) => {
        const a = (k / 13) * Math.PI;
        const s = 1 + 0.12 * Math.sin(k * 2.3);
        return [tx + Math.cos(a) * 36 * s, ty - 88 + Math.sin(a) * 42 * s] as const;
      });
      spray.put('plants', [between(grass, [230, 240, 160], 0.25), between(grass, [10, 30, 10], 0.5)], crown);
    });
    return {
      name: `${this.name} ${n}.${seed}`,
      width: W,
      height: H,
      rgba,
      truth: { kind: 'scene', people: 0, ground: 'busy', areas: notes.done() },
    };
  },
};
