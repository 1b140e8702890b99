import { createPicture, Random, type Picture } from '@urbild/core';
import { composed } from '../painter/testing';
import { areaMap } from '../painter/scene/areas';
import { seenOf } from '../painter/scene/seen';
import { foundAgain } from './foundAgain';
import { looksOf } from './itemLook';

const [W, H] = [160, 120];
const scene = composed('a horse in the meadow', { width: W, height: H });
const seen = seenOf(scene, areaMap(scene), 'gouache');
const random = new Random(4);
const grain = Float32Array.from({ length: W * H }, () => random.bell());

/** A picture with the horse in one colour on ground of another; its lower half may be another one. */
function picture(horse: readonly number[], ground: readonly number[], noise = 0, lower = horse): Picture {
  const p = createPicture(W, H);
  const [, top, , bottom] = seen.items[0].box!;
  for (let i = 0; i < W * H; i++) {
    const is = seen.items[0].codes.includes(seen.map[i]);
    const low = Math.floor(i / W) > (top + bottom) / 2;
    for (let c = 0; c < 3; c++) p.planes[c][i] = (is ? (low ? lower : horse) : ground)[c] + noise * grain[i];
  }
  return p;
}
const control = looksOf(seen, picture([0.4, 0.08, 0.05], [0.7, -0.08, 0.06], 0, [0.3, 0.05, 0.05]))[0]!;
const found = (take: Picture) => foundAgain(control, looksOf(seen, take)[0]!).found;

test('a picture as it was is found whole', () => {
  expect(found(picture([0.4, 0.08, 0.05], [0.7, -0.08, 0.06], 0, [0.3, 0.05, 0.05]))).toBeCloseTo(1, 5);
});

test('other colours, and light for dark, are no loss', () => {
  expect(found(picture([0.3, -0.1, -0.1], [0.8, 0.1, 0.02], 0, [0.2, -0.1, -0.1]))).toBeGreaterThan(0.8);
  expect(found(picture([0.75, 0, 0], [0.35, 0, 0], 0, [0.85, 0, 0]))).toBeGreaterThan(0.8);
  expect(found(picture([0.3, 0, 0], [0.8, 0, 0], 0.05, [0.2, 0, 0]))).toBeGreaterThan(0.75);
});

test('what fades is found less the more it fades, and nothing of it is nothing', () => {
  const faded = [1, 0.6, 0.3, 0.1, 0].map((k) =>
    found(picture([0.7 - 0.3 * k, 0.08 * k, 0.05], [0.7, -0.08 * k, 0.06], 0.004, [0.7 - 0.4 * k, 0.05 * k, 0.05])),
  );
  for (let k = 1; k < faded.length; k++) expect(faded[k]).toBeLessThan(faded[k - 1]);
  expect(faded[4]).toBeLessThan(0.3);
});

test('another texture in its place is no horse', () => {
  expect(found(picture([0.5, 0, 0], [0.5, 0, 0], 0.2))).toBeLessThan(0.4);
});

test('among dabs as strong as its outline nobody finds it, on smooth ground everybody does', () => {
  const [horse, ground, lower] = [
    [0.55, 0.02, 0.03],
    [0.6, 0, 0.03],
    [0.57, 0.02, 0.03],
  ] as const;
  const alone = found(picture(horse, ground, 0.002, lower));
  const among = [0.05, 0.15, 0.3].map((noise) => found(picture(horse, ground, noise, lower)));
  expect(among[0]).toBeLessThan(alone);
  expect(among[1]).toBeLessThan(among[0]);
  expect(among[2]).toBeLessThan(0.4);
});

test('both parts of what is found lie in 0..1, near 1 for a take that is hardly changed', () => {
  const take = picture([0.4, 0.08, 0.05], [0.7, -0.08, 0.06], 0.02, [0.3, 0.05, 0.05]);
  const { outline, form } = foundAgain(control, looksOf(seen, take)[0]!);
  for (const part of [outline, form]) {
    expect(part).toBeGreaterThan(0.8);
    expect(part).toBeLessThanOrEqual(1);
  }
});

/** The lower horse of the control, of one colour with its ground, with a line of some other lightness along its outline, and the same lines on rows all over. */
function lined(line: number, rows = 0): Picture {
  const p = picture([0.8, 0, 0], [0.8, 0, 0], 0.01, [0.75, 0, 0]);
  const is = (i: number) => seen.items[0].codes.includes(seen.map[i]);
  for (let y = 2; y < H - 2; y++)
    for (let x = 2; x < W - 2; x++) {
      const i = y * W + x;
      const edge = [1, -1, W, -W].some((step) => is(i) !== is(i + step));
      if (edge) p.planes[0][i] += line;
      else if (rows && y % rows === 0) p.planes[0][i] += line;
    }
  return p;
}

test('a line along its outline is enough to find somebody who has the colour of the ground: dark or light', () => {
  const bare = found(lined(0));
  for (const line of [-0.4, 0.2]) expect(found(lined(line))).toBeGreaterThan(Math.max(0.6, bare + 0.2));
});

test('the fainter the line, the less is found; among lines that are everywhere, less than alone', () => {
  const lines = [-0.1, -0.05, -0.02, 0].map((line) => found(lined(line)));
  for (let k = 1; k < lines.length; k++) expect(lines[k]).toBeLessThanOrEqual(lines[k - 1]);
  expect(lines[0]).toBeGreaterThan(lines[3] + 0.2);
  expect(found(lined(-0.1, 3))).toBeLessThan(lines[0]);
});

test('rows of lines without an outline show nobody', () => {
  const p = picture([0.8, 0, 0], [0.8, 0, 0]);
  for (let i = 0; i < W * H; i++) if (Math.floor(i / W) % 4 === 0) p.planes[0][i] -= 0.4;
  expect(found(p)).toBeLessThan(0.4);
});

test('an item of a few pixels is not looked for', () => {
  const far = composed('a butterfly in the meadow', { width: 48, height: 36 });
  const small = seenOf(far, areaMap(far), 'gouache');
  expect(looksOf(small, createPicture(48, 36))).toHaveLength(small.items.length);
});
