import { pictureFromRgba } from '@urbild/core';
import { measureCloth, PATTERN_FEATURES } from './clothPattern';
import { headField, headSize } from './headField';
import type { HeadParts } from './headParts';

const SIDE = 420;
const FRAME = { eyes: [0.5, 0.12], chin: [0.5, 0.3], yaw: 0 } as const;
type Rgb = readonly [number, number, number];
const [RED, WHITE]: Rgb[] = [
  [170, 60, 50],
  [236, 232, 224],
];

/** Cloth that fills the picture below the chin, in one of two colours at each place, under a light from the left. */
function measured(isOther: (x: number, y: number) => boolean, { light = 0, noise = 0 } = {}) {
  const rgba = new Uint8ClampedArray(SIDE * SIDE * 4);
  for (let i = 0; i < SIDE * SIDE; i++) {
    const [x, y] = [i % SIDE, Math.floor(i / SIDE)];
    const k = 1 - light * (x / SIDE) + noise * (((i * 2654435761) % 997) / 997 - 0.5);
    rgba.set([...(isOther(x, y) ? WHITE : RED).map((v) => v * k), 255], 4 * i);
  }
  const picture = pictureFromRgba(rgba, SIDE, SIDE);
  const alpha = new Float32Array(SIDE * SIDE).fill(1);
  const field = headField(picture, FRAME, { width: SIDE, height: SIDE, alpha, from: 'hand' });
  const all = new Float32Array(headSize.columns * headSize.rows);
  const parts: HeadParts = { skin: all, hair: all, cloth: Float32Array.from(all, () => 1) };
  return measureCloth(picture, FRAME, field, parts)!;
}
/** At the finest scale: how far apart its colours are, and how far its edges lie in one direction, and in two. */
const told = (one: ReturnType<typeof measured>) => {
  const [spread, , , two, four] = one.features;
  return { spread, two, four };
};

const stripes = (x: number) => Math.floor(x / 13) % 2 === 0;
const checks = (x: number, y: number) => x % 30 < 10 || y % 30 < 10;
const dots = (x: number, y: number) => Math.hypot((x % 30) - 15, (y % 30) - 15) < 8;

test('plain cloth has one colour, whatever light lies over it', () => {
  expect(told(measured(() => false)).spread).toBeLessThan(0.02);
  expect(told(measured(() => false, { light: 0.6 })).spread).toBeLessThan(0.15);
  for (const pattern of [stripes, checks, dots]) expect(told(measured(pattern)).spread).toBeGreaterThan(0.4);
});

test('the edges of stripes lie in one direction, those of checks in two, those of dots in all', () => {
  for (const light of [0, 0.5]) {
    const [one, two, all] = [stripes, checks, dots].map((p) => told(measured(p, { light, noise: 0.1 })));
    expect(one.two).toBeGreaterThan(0.8);
    expect(two.two).toBeLessThan(0.2);
    expect(two.four).toBeGreaterThan(0.6);
    expect(Math.max(all.two, all.four)).toBeLessThan(0.5);
  }
});

test('stripes are stripes in any direction', () => {
  for (const lean of [0, 0.3, 0.8, 1.57]) {
    const leaning = (x: number, y: number) => stripes(x * Math.cos(lean) + y * Math.sin(lean) + 900);
    expect(told(measured(leaning)).two).toBeGreaterThan(0.75);
  }
});

test('its two colours are told apart, the more frequent one first', () => {
  const { most, other } = measured(dots);
  expect(most[0]).toBeLessThan(0.6);
  expect(other[0]).toBeGreaterThan(0.85);
  const reversed = measured((x, y) => !dots(x, y));
  expect(reversed.most[0]).toBeGreaterThan(0.85);
});

test('so many numbers are measured, all of them finite; too little cloth tells nothing', () => {
  for (const pattern of [() => false, stripes, checks, dots]) {
    const { features } = measured(pattern);
    expect(features).toHaveLength(PATTERN_FEATURES);
    expect([...features].every(Number.isFinite)).toBe(true);
  }
  const picture = pictureFromRgba(new Uint8ClampedArray(40 * 40 * 4), 40, 40);
  const field = headField(picture, FRAME, { width: 40, height: 40, alpha: new Float32Array(1600), from: 'hand' });
  const none = new Float32Array(headSize.columns * headSize.rows);
  expect(measureCloth(picture, FRAME, field, { skin: none, hair: none, cloth: none })).toBeUndefined();
});
