import { clonePicture, createPicture, describeLayout, layoutLikeness, Random, type Picture } from '@urbild/core';
import { REGION } from '../painter/scene/region';
import { evenHues, takeStraysBack } from './figureGuard';
import { holdForm } from './holdForm';
import { closeOnPalette } from './palette';
import type { PaletteShare } from './paletteShare';
import { prepareReference } from './reference';

const SIDE = 128;

/** Grain over a plain colour, and whatever `change` makes of some pixels. */
function picture(
  colour: readonly [number, number, number],
  change?: (x: number, y: number) => readonly [number, number, number] | undefined,
  grain = 0.01,
): Picture {
  const random = new Random(5);
  const p = createPicture(SIDE, SIDE);
  for (let y = 0, i = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++, i++) {
      const c = change?.(x, y) ?? colour;
      for (let k = 0; k < 3; k++) p.planes[k][i] = c[k] + grain * random.bell();
    }
  return p;
}
const at = (x: number, y: number) => y * SIDE + x;
const within = (x: number, y: number, cx: number, cy: number, r: number) => Math.hypot(x - cx, y - cy) < r;

describe('forms of the stage under a look', () => {
  // a house and its pond on the stage; the look hardly shows the house, no pond, and a patch of its own
  const house = (x: number, y: number) => x > 30 && x < 60 && y > 40 && y < 80;
  const pond = (x: number, y: number) => within(x, y, 90, 90, 14);
  const stage = picture([0.7, 0, 0], (x, y) => (house(x, y) ? [0.35, 0, 0] : pond(x, y) ? [0.5, 0, 0] : undefined));
  const patch = (x: number, y: number) => within(x, y, 95, 35, 12);
  const look = () =>
    picture(
      [0.5, 0.05, 0.02],
      (x, y) => (house(x, y) ? [0.46, 0.05, 0.02] : patch(x, y) ? [0.6, 0.05, 0.02] : undefined),
      0.03,
    );
  const likeness = (amount: number) => {
    const p = look();
    holdForm(p, stage, amount);
    return layoutLikeness(describeLayout(p), describeLayout(stage));
  };

  test('come back the more, the more they are held', () => {
    const all = [0, 0.25, 0.5, 0.75].map(likeness);
    for (let k = 1; k < all.length; k++) expect(all[k]).toBeGreaterThan(all[k - 1]);
    expect(all[0]).toBeLessThan(0.75);
    expect(all[3]).toBeGreaterThan(0.85);
  });

  test('leave its colours, its masses and its grain as they are', () => {
    const before = look();
    const after = clonePicture(before);
    holdForm(after, stage, 1);
    expect(after.planes.slice(1)).toEqual(before.planes.slice(1));
    const mean = (p: Picture) => p.planes[0].reduce((s, v) => s + v, 0) / p.planes[0].length;
    expect(mean(after)).toBeCloseTo(mean(before), 1);
    const grainAt = (p: Picture) => {
      // neighbours in a corner where nothing stands
      let sum = 0;
      for (let y = 2; y < 20; y++)
        for (let x = 2; x < 20; x++) sum += Math.abs(p.planes[0][at(x, y)] - p.planes[0][at(x + 1, y)]);
      return sum;
    };
    expect(grainAt(after) / grainAt(before)).toBeCloseTo(1, 1);
  });

  test('are not touched by amount 0', () => {
    const before = look();
    const after = clonePicture(before);
    holdForm(after, stage, 0);
    expect(after).toEqual(before);
  });
});

describe('accents of a look', () => {
  const red = [0.5, 0.16, 0.1] as const;
  const sun = (x: number, y: number) => within(x, y, 64, 40, 12);
  const guide = picture([0.5, 0.02, 0.02]);
  const matched = () => picture([0.5, 0.02, 0.02], (x, y) => (sun(x, y) ? red : undefined));

  test('that the guide does not have are taken back, nearly whole on figures', () => {
    const away = (figures?: Float32Array) => {
      const p = matched();
      takeStraysBack(p, guide, 1, figures);
      return p.planes[1][at(64, 40)] - 0.02;
    };
    expect(away()).toBeLessThan(0.05);
    expect(away(new Float32Array(SIDE * SIDE).fill(0.9))).toBeLessThan(0.02);
  });

  test('that the guide has stay', () => {
    const p = matched();
    takeStraysBack(p, matched(), 1, undefined);
    expect(p).toEqual(matched());
  });

  test('do not fall on a part of one head of hair, but may on a garment', () => {
    const stage = picture([0.5, 0.05, 0.05]);
    const moved = (region: number) => {
      const p = matched();
      evenHues(stage, p, new Uint8Array(SIDE * SIDE).fill(region));
      return p.planes[1][at(64, 40)];
    };
    expect(moved(REGION.hair)).toBeLessThan(0.09);
    expect(moved(REGION.garment)).toBeGreaterThan(0.12);
  });
});

describe('what a picture misses of its palette', () => {
  const reference = prepareReference(
    'half light, half dark',
    picture([0.85, 0.06, 0.1], (x) => (x < 64 ? [0.25, 0.1, 0] : undefined)),
    SIDE,
  );
  const stage = picture([0.6, -0.04, -0.04], (_, y) => (y > 70 ? [0.4, -0.05, 0] : undefined));
  const finished = picture([0.6, 0, 0], (_, y) => (y > 70 ? [0.45, 0, 0] : undefined));
  const meanOf = (p: Picture, c: number) => p.planes[c].reduce((s, v) => s + v, 0) / p.planes[c].length;
  const closed = (share: number, amount: number, figures?: Float32Array) => {
    const palette: PaletteShare[] = [{ reference, share }];
    return closeOnPalette(finished, { stage, stageKey: 'a stage of two halves', palette, amount, figures });
  };

  test('is made up towards the references as far as they rule the colours, else towards the stage', () => {
    const target = (share: number) => share * meanOf(reference.picture, 1) + (1 - share) * meanOf(stage, 1);
    for (const share of [0.2, 0.9]) {
      const before = Math.abs(meanOf(finished, 1) - target(share));
      expect(Math.abs(meanOf(closed(share, 1), 1) - target(share))).toBeLessThan(before);
    }
  });

  test('is left to figures, and where no look rules', () => {
    const held = closed(0.9, 1, new Float32Array(SIDE * SIDE).fill(0.9));
    const most = Math.max(
      ...held.planes.map((p, c) => p.reduce((m, v, i) => Math.max(m, Math.abs(v - finished.planes[c][i])), 0)),
    );
    expect(most).toBeLessThan(1e-5);
    expect(closed(0, 1)).toBe(finished);
    expect(closed(0.5, 0)).toBe(finished);
  });
});
