import type { Random } from '@urbild/core';
import { AreaNotes, chanceOf, css, hsl, onCanvas, type AreaTruthKind, type ForeignFamily, type Rgb } from './family';

const W = 480;
const H = 340;
type Points = readonly (readonly [number, number])[];

const oval = (x: number, y: number, rx: number, ry = rx): Points =>
  Array.from({ length: 36 }, (_, k) => {
    const a = (k / 36) * Math.PI * 2;
    return [x + Math.cos(a) * rx, y + Math.sin(a) * ry] as const;
  });

/** The colours by which a poster is known again. */
function coloursOf(m: Random) {
  const dusk = m.chance(0.4);
  return {
    sky: dusk ? hsl(m.range(12, 40), 0.8, m.range(0.68, 0.8)) : hsl(m.range(195, 220), 0.5, m.range(0.68, 0.85)),
    sun: hsl(m.range(40, 52), 0.9, m.range(0.8, 0.9)),
    far: dusk ? hsl(m.range(260, 300), 0.25, m.range(0.4, 0.5)) : hsl(m.range(200, 240), 0.2, m.range(0.45, 0.6)),
    water: hsl(m.range(190, 215), m.range(0.4, 0.6), m.range(0.36, 0.5)),
    shore: hsl(m.range(36, 90), m.range(0.35, 0.6), m.range(0.45, 0.6)),
    wall: hsl(m.range(28, 46), 0.5, m.range(0.82, 0.9)),
    roof: hsl(m.range(0, 22), 0.55, m.range(0.36, 0.5)),
    dark: hsl(m.range(10, 30), 0.35, 0.26),
    leaf: hsl(m.range(100, 160), 0.4, m.range(0.26, 0.36)),
    coat: hsl(m.range(0, 360), 0.6, 0.45),
    skin: hsl(27, 0.55, m.range(0.55, 0.75)),
  };
}
type Put = (kind: AreaTruthKind, colour: Rgb, outline: Points) => void;
type Colours = ReturnType<typeof coloursOf>;

/** Mountains, perhaps a lake, and the near shore; where the shore begins, px. */
function land(put: Put, r: Random, colours: Colours, seed: number): number {
  const horizon = r.range(0.56, 0.66) * H;
  const peaks = Array.from(
    { length: 7 },
    (_, k) => [(k / 6) * W, horizon - (k % 2 ? r.range(60, 140) : r.range(10, 60))] as const,
  );
  put('ground', colours.far, [...peaks, [W, horizon + 8], [0, horizon + 8]]);
  const lake = r.chance(0.75);
  const near = horizon + r.range(50, 80);
  if (lake)
    put('water', colours.water, [
      [0, horizon],
      [W, horizon],
      [W, near + 20],
      [0, near + 20],
    ]);
  const bank = Array.from(
    { length: 9 },
    (_, k) => [(k / 8) * W, (lake ? near : horizon) + 10 * Math.sin(k * 1.3 + seed)] as const,
  );
  put('ground', colours.shore, [...bank, [W, H], [0, H]]);
  return near;
}

/** A house on one side, a tree on the other. */
function houseAndTree(put: Put, r: Random, colours: Colours, near: number): void {
  const left = r.chance(0.5);
  const [w, h] = [r.range(70, 110), r.range(60, 95)];
  const x = left ? r.range(30, 90) : W - w - r.range(30, 90);
  const y = near + r.range(8, 26);
  put('building', colours.wall, [
    [x, y - h],
    [x + w, y - h],
    [x + w, y],
    [x, y],
  ]);
  put('building', colours.roof, [
    [x - 12, y - h + 1],
    [x + w / 2, y - h - r.range(38, 56)],
    [x + w + 12, y - h + 1],
  ]);
  put('building', colours.dark, [
    [x + w * 0.35, y - h * 0.5],
    [x + w * 0.6, y - h * 0.5],
    [x + w * 0.6, y],
    [x + w * 0.35, y],
  ]);
  const tx = left ? W - r.range(50, 110) : r.range(50, 110);
  const ty = near + r.range(30, 60);
  put('plants', colours.dark, [
    [tx - 6, ty - 70],
    [tx + 6, ty - 70],
    [tx + 7, ty],
    [tx - 7, ty],
  ]);
  if (r.chance(0.5)) put('plants', colours.leaf, oval(tx, ty - 100, r.range(32, 46), r.range(44, 60)));
  else
    put('plants', colours.leaf, [
      [tx, ty - 170],
      [tx + 40, ty - 48],
      [tx - 40, ty - 48],
    ]);
}

function somebody(put: Put, r: Random, colours: Colours): void {
  const x = r.range(0.42, 0.58) * W;
  const s = r.range(0.8, 1.1);
  const y = H - r.range(14, 30);
  put('person', colours.dark, [
    [x - 14 * s, y - 46 * s],
    [x + 14 * s, y - 46 * s],
    [x + 11 * s, y],
    [x + 3 * s, y],
    [x, y - 36 * s],
    [x - 3 * s, y],
    [x - 11 * s, y],
  ]);
  put('person', colours.coat, [
    [x - 13 * s, y - 96 * s],
    [x + 13 * s, y - 96 * s],
    [x + 20 * s, y - 44 * s],
    [x - 20 * s, y - 44 * s],
  ]);
  put('person', colours.skin, oval(x, y - 110 * s, 11 * s));
}

/** Landscapes cut of flat colours without lines: sky, sun, mountains, a lake, a shore with houses, trees and somebody. */
export const posters: ForeignFamily = {
  name: 'posters',
  technique: 'flat areas of one colour each with sharp edges, no lines',
  heldOut: false,
  make({ who: n, seed }) {
    const colours = coloursOf(chanceOf(this.name, 'who', n));
    const r = chanceOf(this.name, 'place', seed);
    const notes = new AreaNotes(W, H, 'sky');
    let people = 0;
    const rgba = onCanvas(W, H, (g) => {
      g.fillStyle = css(colours.sky);
      g.fillRect(0, 0, W, H);
      const put: Put = (kind, colour, outline) => {
        g.fillStyle = css(colour);
        g.beginPath();
        outline.forEach(([x, y], k) => (k ? g.lineTo(x, y) : g.moveTo(x, y)));
        g.closePath();
        g.fill();
        notes.lay(kind, outline);
      };
      if (r.chance(0.7))
        put('sun or moon', colours.sun, oval(r.range(0.15, 0.85) * W, r.range(50, 110), r.range(24, 46)));
      houseAndTree(put, r, colours, land(put, r, colours, seed));
      people = r.chance(0.7) ? 1 : 0;
      if (people) somebody(put, r, colours);
    });
    return {
      name: `${this.name} ${n}.${seed}`,
      width: W,
      height: H,
      rgba,
      truth: { kind: 'scene', people, ground: 'busy', areas: notes.done() },
    };
  },
};
