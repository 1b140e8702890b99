import { pictureFromRgba, srgbToLab, type Lab } from '@urbild/core';
import { eyeSeen } from './eyeSeen';

const SIDE = 300;
const SKIN = [214, 160, 130] as const;
type Rgb = readonly [number, number, number];

/** Where the eyes are and how large: middle, radius of the iris. */
interface Drawn {
  readonly iris: Rgb;
  readonly radius?: number;
  /** How far the iris looks aside, px. */
  readonly aside?: number;
  readonly closed?: boolean;
  /** The pupil against the iris. */
  readonly pupil?: number;
}

/** Two eyes with white, iris, pupil, a light, a lid line; the mesh of them as a model would give it, its irises in the middle. */
function face({ iris, radius = 14, aside = 0, closed, pupil = 0.36 }: Drawn) {
  const rgba = new Uint8ClampedArray(SIDE * SIDE * 4);
  for (let i = 0; i < SIDE * SIDE; i++) {
    const [x, y] = [i % SIDE, Math.floor(i / SIDE)];
    let colour: Rgb = SKIN;
    for (const ex of [90, 210]) {
      const [dx, dy] = [x - ex, y - 150];
      if (closed || (dx / (2.3 * radius)) ** 2 + (dy / (1.15 * radius)) ** 2 > 1) {
        if (Math.abs(dy + 1.2 * radius) < 2 && Math.abs(dx) < 2 * radius) colour = [40, 24, 20];
        continue;
      }
      const d = Math.hypot(dx - aside, dy);
      colour = d < pupil * radius ? [14, 12, 14] : d < radius ? iris : [236, 232, 226];
      if (Math.hypot(dx - aside - 0.3 * radius, dy + 0.4 * radius) < 0.2 * radius) colour = [252, 252, 252];
    }
    rgba.set([...colour, 255], 4 * i);
  }
  const mesh = Array.from({ length: 478 }, (): [number, number] => [0.5, 0.5]);
  const put = (k: number, x: number, y: number) => (mesh[k] = [x / SIDE, y / SIDE]);
  for (const [ex, corners, lids, irises] of [
    [90, [33, 133], [159, 145], [473, 474, 475, 476, 477]],
    [210, [362, 263], [386, 374], [468, 469, 470, 471, 472]],
  ] as const) {
    put(corners[0], ex - 2.3 * radius, 150);
    put(corners[1], ex + 2.3 * radius, 150);
    const open = closed ? 0.1 : 1.1;
    put(lids[0], ex, 150 - open * radius);
    put(lids[1], ex, 150 + open * radius);
    put(irises[0], ex, 150);
    irises.slice(1).forEach((k, n) => put(k, ex + radius * [1, 0, -1, 0][n], 150 + radius * [0, 1, 0, -1][n]));
  }
  return { picture: pictureFromRgba(rgba, SIDE, SIDE), mesh };
}
const lab = ([r, g, b]: Rgb): Lab => srgbToLab(r, g, b);
const gap = (a: Lab, b: Lab) => Math.hypot(...a.map((v, k) => v - b[k]));
const seen = (drawn: Drawn) => {
  const { picture, mesh } = face(drawn);
  return eyeSeen(picture, mesh, lab(SKIN));
};

const BROWN: Rgb = [92, 58, 34];
test.each<[string, Rgb]>([
  ['brown', BROWN],
  ['blue', [70, 110, 160]],
  ['green', [86, 124, 78]],
  ['nearly black', [34, 26, 24]],
])('a %s iris is told from its pupil, the white and the light in it', (_, iris) => {
  expect(gap(seen({ iris })!.colour, lab(iris))).toBeLessThan(0.03);
});

test('the large pupils of a picture book are not taken for the iris', () => {
  for (const iris of [[96, 150, 104], [92, 130, 176], BROWN] as Rgb[])
    expect(gap(seen({ iris, pupil: 0.64, radius: 20 })!.colour, lab(iris))).toBeLessThan(0.05);
});

test('eyes that look aside are found where they look, and irises larger or smaller than the mesh says', () => {
  for (const aside of [-6, 6]) expect(gap(seen({ iris: BROWN, aside })!.colour, lab(BROWN))).toBeLessThan(0.05);
  const { picture, mesh } = face({ iris: [70, 110, 160], radius: 12 });
  for (const k of [469, 470, 471, 472, 474, 475, 476, 477])
    for (const axis of [0, 1] as const) {
      const middle = mesh[k < 473 ? 468 : 473][axis];
      mesh[k][axis] = middle + 1.25 * (mesh[k][axis] - middle);
    }
  expect(gap(eyeSeen(picture, mesh, lab(SKIN))!.colour, lab([70, 110, 160]))).toBeLessThan(0.05);
});

test('the smaller the eyes the less is believed, and closed ones tell nothing', () => {
  const clear = [14, 6, 3].map((radius) => seen({ iris: BROWN, radius })?.clear ?? 0);
  expect(clear[0]).toBe(1);
  expect(clear[2]).toBeLessThan(clear[1]);
  expect(seen({ iris: BROWN, closed: true })).toBeUndefined();
  expect(eyeSeen(face({ iris: BROWN }).picture, [], lab(SKIN))).toBeUndefined();
});
