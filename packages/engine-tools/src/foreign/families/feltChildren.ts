import type { SKRSContext2D } from '@napi-rs/canvas';
import type { Random } from '@urbild/core';
import { AreaNotes, chanceOf, css, hsl, onCanvas, type ForeignFamily, type Rgb } from './family';

const W = 420;
const H = 300;

/** A wobbly felt-pen line. */
function pen(g: SKRSContext2D, r: Random, colour: Rgb, width: number, points: readonly (readonly [number, number])[]) {
  g.strokeStyle = css(colour, 0.9);
  g.lineWidth = width;
  g.beginPath();
  for (let k = 0; k + 1 < points.length; k++) {
    const [[ax, ay], [bx, by]] = [points[k], points[k + 1]];
    for (let t = 0; t <= 1; t += 0.1) {
      const [x, y] = [ax + (bx - ax) * t + r.normal() * 1.2, ay + (by - ay) * t + r.normal() * 1.2];
      if (k === 0 && t === 0) g.moveTo(x, y);
      else g.lineTo(x, y);
    }
  }
  g.stroke();
}
const round = (x: number, y: number, rx: number, ry = rx) =>
  Array.from({ length: 20 }, (_, k) => [x + Math.cos((k / 19) * 6.4) * rx, y + Math.sin((k / 19) * 6.4) * ry] as const);
/** A fill of strokes to and fro that does not reach the edges everywhere. */
function scribble(g: SKRSContext2D, r: Random, colour: Rgb, [x, y, w, h]: readonly [number, number, number, number]) {
  const points: (readonly [number, number])[] = [];
  for (let k = 0; k < h / 5; k++) points.push([x + (k % 2 ? w : 0) + r.normal() * 4, y + k * 5 + r.normal() * 1.5]);
  pen(g, r, colour, 5, points);
}

/** Drawings as of a child: felt pens, wrong proportions, fills that leave paper. */
export const feltChildren: ForeignFamily = {
  name: "children's felt pens",
  technique: 'wobbly felt-pen lines and scribbled fills in wrong proportions',
  heldOut: true,
  make({ who: n, seed }) {
    const m = chanceOf(this.name, 'who', n);
    const pens = Array.from({ length: 5 }, () => hsl(m.range(0, 360), m.range(0.6, 0.95), m.range(0.35, 0.55)));
    const width = m.range(3, 5.5);
    const big = m.range(0.8, 1.4);
    const r = chanceOf(this.name, 'sheet', seed);
    const people = r.integer(0, 3);
    const notes = new AreaNotes(W, H, 'sky');
    const rgba = onCanvas(W, H, (g) => {
      g.fillStyle = css([250, 249, 245]);
      g.fillRect(0, 0, W, H);
      scribble(g, r, pens[0], [0, 262, W, 32]);
      notes.lay('ground', [
        [0, 262],
        [W, 262],
        [W, H],
        [0, H],
      ]);
      const sun = r.chance(0.5) ? 50 : W - 50;
      pen(g, r, pens[1], width, round(sun, 46, 24));
      notes.lay('sun or moon', round(sun, 46, 24));
      for (let k = 0; k < 9; k++)
        pen(g, r, pens[1], width, [
          [sun + Math.cos(k * 0.7) * 30, 46 + Math.sin(k * 0.7) * 30],
          [sun + Math.cos(k * 0.7) * 46, 46 + Math.sin(k * 0.7) * 46],
        ]);
      const hx = r.range(60, 260);
      const [hw, hh] = [r.range(70, 120), r.range(60, 100)];
      scribble(g, r, pens[2], [hx, 262 - hh, hw, hh]);
      notes.lay('building', [
        [hx, 262],
        [hx, 262 - hh],
        [hx + hw / 2, 262 - hh - 50],
        [hx + hw, 262 - hh],
        [hx + hw, 262],
      ]);
      pen(g, r, pens[3], width, [
        [hx, 262],
        [hx, 262 - hh],
        [hx + hw / 2, 262 - hh - 50],
        [hx + hw, 262 - hh],
        [hx + hw, 262],
        [hx, 262],
      ]);
      pen(g, r, pens[3], width, [
        [hx, 262 - hh],
        [hx + hw, 262 - hh],
      ]);
      for (let k = 0; k < people; k++) {
        const x = r.range(30, W - 30);
        const s = 20 * big;
        pen(g, r, pens[4], width, round(x, 180, s));
        notes.lay('person', round(x, 180, s));
        pen(g, r, pens[4], width, [
          [x, 180 + s],
          [x, 232],
        ]);
        pen(g, r, pens[4], width, [
          [x - 24, 205],
          [x + 24, 205 + r.range(-14, 14)],
        ]);
        pen(g, r, pens[4], width, [
          [x - 14, 266],
          [x, 232],
          [x + 14, 266],
        ]);
        for (const side of [-1, 1]) pen(g, r, pens[4], width, round(x + side * 7, 176, 2));
        pen(g, r, pens[1], width, [
          [x - 9, 188],
          [x, 193],
          [x + 9, 188],
        ]);
        for (let h = -4; h <= 4; h++)
          pen(g, r, pens[3], width * 0.7, [
            [x + h * 4, 181 - s],
            [x + h * 5, 170 - s],
          ]);
      }
      for (let k = 0; k < 5; k++) {
        const x = r.range(10, W - 10);
        pen(g, r, pens[0], width, [
          [x, 266],
          [x, 240],
        ]);
        pen(g, r, pens[(k + 1) % 5], width, round(x, 236, 7));
      }
    });
    return {
      name: `${this.name} ${n}.${seed}`,
      width: W,
      height: H,
      rgba,
      truth: { kind: 'scene', people, ground: 'plain', areas: notes.done() },
    };
  },
};
