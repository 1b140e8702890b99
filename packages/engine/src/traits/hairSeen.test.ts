import { pictureFromRgba, srgbToLab, type Lab } from '@urbild/core';
import { matteOf } from '../understand/matte/matte';
import { clothSeen } from './clothSeen';
import { headField } from './headField';
import { hairSeen } from './hairSeen';

type Rgb = readonly [number, number, number];
const SIDE = 240;
const [SKIN, BLACK, BLOND, COAT, HAT]: Rgb[] = [
  [222, 172, 140],
  [24, 20, 22],
  [214, 178, 110],
  [40, 110, 120],
  [170, 40, 50],
];
/** Eyes at (120, 100), the chin 40 px below. */
const FRAME = { eyes: [0.5, 100 / SIDE], chin: [0.5, 140 / SIDE], yaw: 0 } as const;
const UNIT = 40;

interface Wish {
  readonly ground?: Rgb;
  readonly hair?: Rgb;
  /** How far down it hangs beside the face, in distances from eyes to chin; nothing of it when absent. */
  readonly to?: number;
  readonly hat?: boolean;
}

/** A head on shoulders, drawn by formulas. */
function look({ ground = [150, 160, 170], hair = BLACK, to, hat = false }: Wish) {
  const at = (a: number, b: number): Rgb => {
    const aside = Math.abs(a);
    if (hat && b < -0.55 && Math.hypot(a / 1.1, (b + 0.6) / 0.8) < 1) return HAT;
    const face = Math.hypot(a / 0.72, (b - 0.17) / 0.85) < 1;
    if (face && b > -0.5) return SKIN;
    if (to !== undefined) {
      if (Math.hypot(a / 0.95, (b + 0.2) / 1.05) < 1 && b < 0.1) return hair;
      if (aside > 0.6 && aside < 1 && b > -0.4 && b < to) return hair;
    }
    if (face || (aside < 0.35 && b > 0.8 && b < 1.6)) return SKIN;
    return b > 1.5 && aside < 2 ? COAT : ground;
  };
  const rgba = new Uint8ClampedArray(SIDE * SIDE * 4);
  for (let i = 0; i < SIDE * SIDE; i++)
    rgba.set([...at(((i % SIDE) - 120) / UNIT, (Math.floor(i / SIDE) - 100) / UNIT), 255], i * 4);
  const picture = pictureFromRgba(rgba, SIDE, SIDE);
  const field = headField(picture, FRAME, matteOf(picture, FRAME));
  const skin = labOf(SKIN);
  return { field, skin, hair: hairSeen(field, skin, hat) };
}
const labOf = (rgb: Rgb): Lab => srgbToLab(...(rgb as [number, number, number]));
const gap = (a: Lab, b: Rgb) => Math.hypot(...labOf(b).map((v, k) => v - a[k]));

test.each([
  ['black hair before grey', BLACK, [150, 150, 150]],
  ['black hair before white', BLACK, [245, 245, 245]],
  ['blond hair before black', BLOND, [20, 20, 24]],
  ['blond hair before green', BLOND, [60, 120, 60]],
] as const)('%s has its own colour, not the ground’s', (_, hair, ground) => {
  expect(gap(look({ hair, ground, to: 0.2 }).hair.colour!, hair)).toBeLessThan(0.02);
});

test('the longer hair hangs, the lower it is found, and below the chin it has an area', () => {
  const [short, bob, long] = [0.1, 0.8, 2].map((to) => look({ to }).hair);
  expect(short.length!).toBeLessThan(0.3);
  expect(bob.length!).toBeGreaterThan(0.6);
  expect(bob.length!).toBeLessThan(1);
  expect(long.length!).toBeGreaterThan(1.7);
  expect([short.below, bob.below]).toEqual([0, 0]);
  expect(long.below).toBeGreaterThan(0.4);
});

test('without hair there is none', () => {
  const { colour, length, above } = look({}).hair;
  expect([colour, length, above]).toEqual([undefined, undefined, 0]);
});

test('under a hat the hair has the colour of what hangs beside the face', () => {
  expect(gap(look({ to: 1, hat: true }).hair.colour!, BLACK)).toBeLessThan(0.02);
});

test('clothes are what is below the neck, neither skin nor hair', () => {
  const { field, skin, hair } = look({ to: 2.2 });
  const cloth = clothSeen(field, skin, hair.parts)!;
  expect(gap(cloth.colour, COAT)).toBeLessThan(0.02);
  expect(cloth.part).toBeGreaterThan(0.9);
  const nothing = new Float32Array(field.alpha.length);
  expect(clothSeen(field, skin, { ...hair.parts, cloth: nothing })).toBeUndefined();
});
