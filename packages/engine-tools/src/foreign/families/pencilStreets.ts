import type { SKRSContext2D } from '@napi-rs/canvas';
import type { Random } from '@urbild/core';
import { AreaNotes, chanceOf, css, onCanvas, type AreaTruthKind, type ForeignFamily, type Rgb } from './family';

const W = 480;
const H = 340;
type Points = readonly (readonly [number, number])[];

/** A pencil line that drifts, grows lighter and darker, and leaves gaps. */
function draw(g: SKRSContext2D, r: Random, tone: Rgb, points: Points, { width = 1.8, gap = 6 } = {}): void {
  let [dx, dy, left, on] = [0, 0, r.range(50, 140), true];
  g.lineWidth = width;
  for (let k = 1; k < points.length; k++) {
    const [[ax, ay], [bx, by]] = [points[k - 1], points[k]];
    const length = Math.hypot(bx - ax, by - ay);
    const steps = Math.max(1, Math.round(length / 5));
    for (let i = 0; i < steps; i++) {
      const from = [ax + ((bx - ax) * i) / steps + dx, ay + ((by - ay) * i) / steps + dy];
      [dx, dy] = [dx * 0.8 + r.normal() * 0.25, dy * 0.8 + r.normal() * 0.25];
      const to = [ax + ((bx - ax) * (i + 1)) / steps + dx, ay + ((by - ay) * (i + 1)) / steps + dy];
      left -= length / steps;
      if (gap && left < 0) [on, left] = on ? [false, gap * r.range(0.5, 1.4)] : [true, r.range(50, 160)];
      if (!on) continue;
      g.strokeStyle = css(tone, r.range(0.7, 1));
      g.beginPath();
      g.moveTo(from[0], from[1]);
      g.lineTo(to[0], to[1]);
      g.stroke();
    }
  }
}

const closed = (p: Points): Points => [...p, p[0]];
const round = (x: number, y: number, rx: number, ry = rx, ragged = 0): Points =>
  Array.from({ length: 28 }, (_, k) => {
    const a = (k / 28) * Math.PI * 2;
    const s = 1 + ragged * Math.sin(k * 1.9);
    return [x + Math.cos(a) * rx * s, y + Math.sin(a) * ry * s] as const;
  });

/** Streets drawn with a pencil: outlines alone, a road that runs to the horizon, and gaps where the hand left the paper. */
export const pencilStreets: ForeignFamily = {
  name: 'pencil streets',
  technique: 'drifting pencil outlines with gaps on paper, nothing filled',
  heldOut: false,
  make({ who: n, seed }) {
    const m = chanceOf(this.name, 'who', n);
    const tone: Rgb = m.pick([
      [74, 74, 76],
      [60, 54, 50],
      [86, 70, 60],
    ]);
    const paper: Rgb = [m.range(240, 250), m.range(238, 248), m.range(230, 244)];
    const gap = m.range(3, 8);
    const r = chanceOf(this.name, 'street', seed);
    const notes = new AreaNotes(W, H, 'sky');
    const horizon = r.range(0.5, 0.66) * H;
    let joints: Record<string, readonly [number, number]> | undefined;
    const rgba = onCanvas(W, H, (g) => {
      g.fillStyle = css(paper);
      g.fillRect(0, 0, W, H);
      const put = (kind: AreaTruthKind, outline: Points, width = 1.8) => {
        g.fillStyle = css(paper);
        g.beginPath();
        outline.forEach(([x, y], k) => (k ? g.lineTo(x, y) : g.moveTo(x, y)));
        g.closePath();
        g.fill();
        notes.lay(kind, outline);
        draw(g, r, tone, closed(outline), { width, gap });
      };
      if (r.chance(0.7)) {
        const [a, b] = [r.range(0, 6), r.range(0, 6)];
        const hills = Array.from({ length: 50 }, (_, k) => {
          const x = (k / 49) * W;
          return [x, horizon - H * (0.13 + 0.1 * Math.sin(x / 85 + a) + 0.04 * Math.sin(x / 33 + b))] as const;
        });
        notes.lay('ground', [...hills, [W, horizon], [0, horizon]]);
        draw(g, r, tone, hills, { gap });
      }
      notes.lay('ground', [
        [0, horizon],
        [W, horizon],
        [W, H],
        [0, H],
      ]);
      draw(
        g,
        r,
        tone,
        [
          [0, horizon],
          [W, horizon],
        ],
        { gap },
      );
      const roadX = r.range(0.35, 0.65) * W;
      const foot = [roadX - r.range(90, 150), roadX + r.range(90, 150)] as const;
      notes.lay('ground', [
        [roadX - 18, horizon],
        [roadX + 18, horizon],
        [foot[1], H],
        [foot[0], H],
      ]);
      draw(
        g,
        r,
        tone,
        [
          [roadX - 18, horizon],
          [foot[0], H],
        ],
        { gap },
      );
      draw(
        g,
        r,
        tone,
        [
          [roadX + 18, horizon],
          [foot[1], H],
        ],
        { gap },
      );
      const sides = r.chance(0.6) ? [-1, 1] : [r.pick([-1, 1])];
      for (const side of sides) {
        const w = r.range(78, 120);
        const h = r.range(60, 95);
        const x = side < 0 ? r.range(18, 60) : W - w - r.range(18, 60);
        const y = horizon + r.range(8, 34);
        const box: Points = [
          [x, y - h],
          [x + w, y - h],
          [x + w, y],
          [x, y],
        ];
        put('building', box);
        put('building', [
          [x - 9, y - h],
          [x + w / 2, y - h - r.range(36, 58)],
          [x + w + 9, y - h],
        ]);
        put(
          'building',
          [
            [x + w * 0.4, y - h * 0.5],
            [x + w * 0.62, y - h * 0.5],
            [x + w * 0.62, y],
            [x + w * 0.4, y],
          ],
          1.5,
        );
        put(
          'building',
          [
            [x + w * 0.7, y - h * 0.75],
            [x + w * 0.9, y - h * 0.75],
            [x + w * 0.9, y - h * 0.5],
            [x + w * 0.7, y - h * 0.5],
          ],
          1.5,
        );
      }
      if (sides.length === 1 || r.chance(0.4)) {
        const x = sides.includes(1) ? r.range(30, 90) : W - r.range(30, 90);
        const y = horizon + r.range(50, 80);
        const s = r.range(0.8, 1.2);
        put('plants', [
          [x - 7 * s, y - 70 * s],
          [x + 7 * s, y - 70 * s],
          [x + 8 * s, y],
          [x - 8 * s, y],
        ]);
        put('plants', round(x, y - 96 * s, 30 * s, 40 * s, 0.08));
      }
      if (r.chance(0.5)) put('sun or moon', round(r.range(0.3, 0.7) * W, r.range(32, 60), r.range(15, 24)));
      if (r.chance(0.75)) {
        const x = r.range(0.36, 0.64) * W;
        const R = r.range(10, 14);
        const top = horizon + r.range(4, 24);
        const neck = top + 2 * R;
        const hip = neck + R * 3.2;
        const up = r.chance(0.5);
        const limbs = { width: 2.4, gap: 0 };
        joints = {
          head: [x / W, (top + R) / H],
          leftHand: [(x - R * 2) / W, (neck + R * (up ? -1.4 : 2.4)) / H],
          rightHand: [(x + R * 2.1) / W, (neck + R * 2.3) / H],
          leftFoot: [(x - R * 1.4) / W, (hip + R * 3.2) / H],
          rightFoot: [(x + R * 1.5) / W, (hip + R * 3.2) / H],
        };
        notes.lay('person', round(x, top + R, R + 1));
        draw(g, r, tone, closed(round(x, top + R, R)), limbs);
        draw(
          g,
          r,
          tone,
          [
            [x, neck],
            [x, hip],
          ],
          limbs,
        );
        const at = (name: string): readonly [number, number] => [joints![name][0] * W, joints![name][1] * H];
        const shoulder: readonly [number, number] = [x, neck + R * 0.7];
        const elbow = (hand: readonly [number, number], out: number): readonly [number, number] => [
          (shoulder[0] + hand[0]) / 2 + out,
          (shoulder[1] + hand[1]) / 2 + R * 0.4,
        ];
        draw(g, r, tone, [shoulder, elbow(at('leftHand'), -R * 0.4), at('leftHand')], limbs);
        draw(g, r, tone, [shoulder, elbow(at('rightHand'), R * 0.4), at('rightHand')], limbs);
        draw(g, r, tone, [[x, hip], at('leftFoot')], limbs);
        draw(g, r, tone, [[x, hip], at('rightFoot')], limbs);
      }
      const image = g.getImageData(0, 0, W, H);
      for (let i = 0; i < image.data.length; i += 4) {
        const grain = r.normal() * 4;
        for (let c = 0; c < 3; c++) image.data[i + c] = image.data[i + c] + grain;
      }
      g.putImageData(image, 0, 0);
    });
    return {
      name: `${this.name} ${n}.${seed}`,
      width: W,
      height: H,
      rgba,
      truth: { kind: 'scene', people: joints ? 1 : 0, ground: 'plain', joints, areas: notes.done() },
    };
  },
};
