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

/** A sheet that is drawn on, and what is noted of it. */
class Sheet {
  constructor(
    readonly g: SKRSContext2D,
    readonly r: Random,
    readonly notes: AreaNotes,
    readonly tone: Rgb,
    readonly paper: Rgb,
    readonly gap: number,
  ) {}

  line(points: Points, width = 1.8, gap = this.gap): void {
    draw(this.g, this.r, this.tone, points, { width, gap });
  }

  /** An outline that hides what lies behind it. */
  put(kind: AreaTruthKind, outline: Points, width = 1.8): void {
    this.g.fillStyle = css(this.paper);
    this.g.beginPath();
    outline.forEach(([x, y], k) => (k ? this.g.lineTo(x, y) : this.g.moveTo(x, y)));
    this.g.closePath();
    this.g.fill();
    this.notes.lay(kind, outline);
    this.line(closed(outline), width);
  }
}

/** Hills, perhaps, the horizon, and a road that runs to it. */
function land(sheet: Sheet, horizon: number): void {
  const { r, notes } = sheet;
  if (r.chance(0.7)) {
    const [a, b] = [r.range(0, 6), r.range(0, 6)];
    const hills = Array.from({ length: 50 }, (_, k) => {
      const x = (k / 49) * W;
      return [x, horizon - H * (0.13 + 0.1 * Math.sin(x / 85 + a) + 0.04 * Math.sin(x / 33 + b))] as const;
    });
    notes.lay('ground', [...hills, [W, horizon], [0, horizon]]);
    sheet.line(hills);
  }
  notes.lay('ground', [
    [0, horizon],
    [W, horizon],
    [W, H],
    [0, H],
  ]);
  sheet.line([
    [0, horizon],
    [W, horizon],
  ]);
  const roadX = r.range(0.35, 0.65) * W;
  const foot = [roadX - r.range(90, 150), roadX + r.range(90, 150)] as const;
  notes.lay('ground', [
    [roadX - 18, horizon],
    [roadX + 18, horizon],
    [foot[1], H],
    [foot[0], H],
  ]);
  sheet.line([
    [roadX - 18, horizon],
    [foot[0], H],
  ]);
  sheet.line([
    [roadX + 18, horizon],
    [foot[1], H],
  ]);
}

/** A house with a gable, a door and a window, at the left (-1) or the right (1). */
function house(sheet: Sheet, side: number, horizon: number): void {
  const { r } = sheet;
  const [w, h] = [r.range(78, 120), r.range(60, 95)];
  const x = side < 0 ? r.range(18, 60) : W - w - r.range(18, 60);
  const y = horizon + r.range(8, 34);
  sheet.put('building', [
    [x, y - h],
    [x + w, y - h],
    [x + w, y],
    [x, y],
  ]);
  sheet.put('building', [
    [x - 9, y - h],
    [x + w / 2, y - h - r.range(36, 58)],
    [x + w + 9, y - h],
  ]);
  const opening = (x0: number, x1: number, y0: number, y1: number) =>
    sheet.put(
      'building',
      [
        [x + w * x0, y - h * y0],
        [x + w * x1, y - h * y0],
        [x + w * x1, y - h * y1],
        [x + w * x0, y - h * y1],
      ],
      1.5,
    );
  opening(0.4, 0.62, 0.5, 0);
  opening(0.7, 0.9, 0.75, 0.5);
}

function tree(sheet: Sheet, left: boolean, horizon: number): void {
  const { r } = sheet;
  const x = left ? r.range(30, 90) : W - r.range(30, 90);
  const y = horizon + r.range(50, 80);
  const s = r.range(0.8, 1.2);
  sheet.put('plants', [
    [x - 7 * s, y - 70 * s],
    [x + 7 * s, y - 70 * s],
    [x + 8 * s, y],
    [x - 8 * s, y],
  ]);
  sheet.put('plants', round(x, y - 96 * s, 30 * s, 40 * s, 0.08));
}

/** Somebody of lines; their joints in parts of the sheet. */
function somebody(sheet: Sheet, horizon: number): Record<string, readonly [number, number]> {
  const { r, notes } = sheet;
  const x = r.range(0.36, 0.64) * W;
  const R = r.range(10, 14);
  const top = horizon + r.range(4, 24);
  const neck = top + 2 * R;
  const hip = neck + R * 3.2;
  const up = r.chance(0.5);
  const at = {
    head: [x, top + R],
    leftHand: [x - R * 2, neck + R * (up ? -1.4 : 2.4)],
    rightHand: [x + R * 2.1, neck + R * 2.3],
    leftFoot: [x - R * 1.4, hip + R * 3.2],
    rightFoot: [x + R * 1.5, hip + R * 3.2],
  } as const;
  const limb = (points: Points) => sheet.line(points, 2.4, 0);
  notes.lay('person', round(x, top + R, R + 1));
  limb(closed(round(x, top + R, R)));
  limb([
    [x, neck],
    [x, hip],
  ]);
  const shoulder = [x, neck + R * 0.7] as const;
  const elbow = ([hx, hy]: readonly [number, number], out: number) =>
    [(shoulder[0] + hx) / 2 + out, (shoulder[1] + hy) / 2 + R * 0.4] as const;
  limb([shoulder, elbow(at.leftHand, -R * 0.4), at.leftHand]);
  limb([shoulder, elbow(at.rightHand, R * 0.4), at.rightHand]);
  limb([[x, hip], at.leftFoot]);
  limb([[x, hip], at.rightFoot]);
  return Object.fromEntries(Object.entries(at).map(([name, [px, py]]) => [name, [px / W, py / H] as const]));
}

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
      const sheet = new Sheet(g, r, notes, tone, paper, gap);
      land(sheet, horizon);
      const sides = r.chance(0.6) ? [-1, 1] : [r.pick([-1, 1])];
      for (const side of sides) house(sheet, side, horizon);
      if (sides.length === 1 || r.chance(0.4)) tree(sheet, sides.includes(1), horizon);
      if (r.chance(0.5)) sheet.put('sun or moon', round(r.range(0.3, 0.7) * W, r.range(32, 60), r.range(15, 24)));
      if (r.chance(0.75)) joints = somebody(sheet, horizon);
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
