import type { SKRSContext2D } from '@napi-rs/canvas';
import type { Random } from '@urbild/core';
import { between, chanceOf, css, hsl, onCanvas, type ForeignFamily, type Rgb } from './family';

const W = 420;
const H = 300;

type P = readonly [number, number];

interface Paper {
  readonly colour: Rgb;
  /** How far its edge is torn, px. */
  readonly torn: number;
  readonly print: 'none' | 'lines' | 'dots';
}

/** Lays a torn sheet: its shadow, its white fibres, itself with print and grain. */
function laySheet(g: SKRSContext2D, r: Random, points: readonly P[], { colour, torn, print }: Paper): void {
  const edge = points.flatMap(([ax, ay], k) => {
    const [bx, by] = points[(k + 1) % points.length];
    const steps = Math.max(2, Math.hypot(bx - ax, by - ay) / 6);
    return Array.from({ length: Math.ceil(steps) }, (_, i): P => [
      ax + ((bx - ax) * i) / steps + r.normal() * torn,
      ay + ((by - ay) * i) / steps + r.normal() * torn,
    ]);
  });
  const lay = (dx: number, dy: number, fill: string, grow: number) => {
    g.fillStyle = fill;
    g.strokeStyle = fill;
    g.lineWidth = grow;
    g.beginPath();
    edge.forEach(([x, y], k) => (k ? g.lineTo(x + dx, y + dy) : g.moveTo(x + dx, y + dy)));
    g.closePath();
    g.fill();
    g.stroke();
  };
  lay(3, 4, 'rgba(0, 0, 0, 0.22)', 2);
  lay(0, 0, css(between(colour, [255, 255, 250], 0.8)), 3);
  lay(0, 0, css(colour), 0.01);
  g.save();
  g.clip();
  g.fillStyle = css(between(colour, [0, 0, 0], 0.4), 0.25);
  if (print === 'lines') for (let y = r.range(0, 9); y < H; y += 9) g.fillRect(0, y, W, 2);
  if (print === 'dots')
    for (let y = 0; y < H; y += 10) for (let x = (y % 20) / 2; x < W; x += 10) g.fillRect(x, y, 3, 3);
  g.fillStyle = css(between(colour, [255, 255, 255], 0.5), 0.3);
  for (let k = 0; k < 400; k++) g.fillRect(r.range(0, W), r.range(0, H), 1.2, 1.2);
  g.restore();
}

/** Boats and hills of torn paper: white fibres at the edges, print and grain on the sheets. */
export const collages: ForeignFamily = {
  name: 'torn paper',
  technique: 'torn sheets laid over each other, each with a pale edge, a shadow and its own grain',
  heldOut: false,
  make({ who: n, seed }) {
    const m = chanceOf(this.name, 'who', n);
    const papers = Array.from({ length: 6 }, () => hsl(m.range(0, 360), m.range(0.05, 0.6), m.range(0.3, 0.85)));
    const torn = m.range(1.5, 5);
    const print = m.pick(['none', 'lines', 'dots'] as const);
    const r = chanceOf(this.name, 'sheet', seed);
    const rgba = onCanvas(W, H, (g) => {
      g.fillStyle = css(papers[0]);
      g.fillRect(0, 0, W, H);
      const sheet = (points: readonly P[], colour: Rgb) => laySheet(g, r, points, { colour, torn, print });
      const horizon = r.range(120, 170);
      for (let k = 0; k < 3; k++) {
        const x = r.range(-60, W);
        sheet(
          [
            [x - 120, horizon + 6],
            [x - 30, horizon - r.range(30, 90)],
            [x + 60, horizon - r.range(10, 60)],
            [x + 170, horizon + 6],
          ],
          papers[1 + (k % 2)],
        );
      }
      sheet(
        [
          [-10, horizon],
          [W + 10, horizon + r.range(-6, 6)],
          [W + 10, H + 10],
          [-10, H + 10],
        ],
        papers[3],
      );
      for (let k = 0; k < r.integer(1, 3); k++) {
        const [x, y, s] = [r.range(60, W - 60), r.range(horizon + 40, H - 40), r.range(30, 60)];
        sheet(
          [
            [x - s, y - s * 0.3],
            [x + s, y - s * 0.3],
            [x + s * 0.7, y + s * 0.2],
            [x - s * 0.7, y + s * 0.2],
          ],
          papers[4],
        );
        sheet(
          [
            [x, y - s * 0.4],
            [x, y - s * 1.9],
            [x + s * 0.8, y - s * 0.5],
          ],
          papers[5],
        );
      }
      const sun = [r.range(40, W - 40), r.range(30, 70), r.range(16, 34)] as const;
      sheet(
        Array.from(
          { length: 14 },
          (_, k) => [sun[0] + Math.cos(k * 0.449) * sun[2], sun[1] + Math.sin(k * 0.449) * sun[2]] as const,
        ),
        papers[5],
      );
    });
    return {
      name: `${this.name} ${n}.${seed}`,
      width: W,
      height: H,
      rgba,
      truth: { kind: 'scene', people: 0, ground: 'busy' },
    };
  },
};
