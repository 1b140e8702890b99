import { createPicture, pictureFromRgba, Random, type LayoutMap, type Picture } from '@urbild/core';
import {
  DANCER,
  feltPenBoat,
  photographedHills,
  redKettle,
  signShape,
  type ForeignPicture,
} from '@urbild/engine-tools';
import { horizonOf } from './horizon';
import { placesOfPlan } from './placesOfPlan';
import { subjectAlpha, subjectOf } from './subject';

const told = { content: 'x', weight: 1 };
const read = ({ rgba, width, height }: ForeignPicture): Picture => pictureFromRgba(rgba, width, height);

/** Something everywhere, and nothing that stands out. */
function busy(): Picture {
  const random = new Random(3);
  const noise = createPicture(80, 60);
  noise.planes.forEach((p, c) => p.forEach((_, i) => (p[i] = (c ? 0 : 0.5) + 0.2 * random.bell())));
  return noise;
}

describe('the subject of a reference', () => {
  test('lies around its joints, with room for the head', () => {
    const { box, confidence } = subjectOf(read(photographedHills()), { ...told, joints: DANCER })!;
    const xs = Object.values(DANCER).map((j) => j[0]);
    const ys = Object.values(DANCER).map((j) => j[1]);
    expect(confidence).toBe(1);
    expect(box.left).toBeLessThan(Math.min(...xs));
    expect(box.right).toBeGreaterThan(Math.max(...xs));
    expect(Math.min(...ys) - box.top).toBeCloseTo(0.08, 9);
    expect(box.bottom - Math.max(...ys)).toBeCloseTo(0.04, 9);
  });
  test('few joints are nobody', () => {
    const { nose, leftShoulder } = DANCER;
    const found = subjectOf(read(redKettle()), { ...told, joints: { nose, leftShoulder } as never });
    expect(found?.confidence).not.toBe(1);
  });
  test('stands before a plain background, and is cut from it', () => {
    const kettle = read(redKettle());
    const found = subjectOf(kettle, told)!;
    expect(found.confidence).toBe(0.9);
    const alpha = subjectAlpha(kettle, found.box);
    const { width: w, height: h } = kettle;
    expect(alpha[0]).toBe(0);
    expect(alpha[Math.round(0.55 * h) * w + (w >> 1)]).toBeGreaterThan(0.9);
  });
  test('a picture that is busy everywhere has none that stands out', () => {
    const found = subjectOf(busy(), told);
    expect(found === undefined || found.confidence <= 0.4).toBe(true);
  });
  test('outside of its box nothing is the subject, and it grows softly inside', () => {
    const noise = busy();
    const box = { left: 0.3, right: 0.7, top: 0.3, bottom: 0.7 };
    const alpha = subjectAlpha(noise, box);
    const { width: w, height: h } = noise;
    const at = (u: number, v: number) => alpha[Math.floor(v * h) * w + Math.floor(u * w)];
    expect(at(0.1, 0.5)).toBe(0);
    expect(at(0.5, 0.9)).toBe(0);
    expect(at(0.5, 0.5)).toBeGreaterThan(0.3);
    expect(at(0.31, 0.5)).toBeLessThan(at(0.5, 0.5));
  });
  test('a sign in two tones is cut whole', () => {
    const sign = read(signShape());
    const alpha = subjectAlpha(sign, { left: 0, right: 1, top: 0, bottom: 1 });
    const inside = alpha.filter((v) => v > 0.9).length / alpha.length;
    expect(inside).toBeGreaterThan(0.05);
    expect(inside).toBeLessThan(0.9);
  });
});

describe('plans', () => {
  const COLOURS = { sky: [0.8, -0.02, -0.08], ground: [0.55, 0.02, 0.12], somebody: [0.1, 0, 0] } as const;
  const map: Extract<LayoutMap, { read: 'areas' }> = {
    read: 'areas',
    areas: [
      { colour: '#a9c8e8', is: 'sky' },
      { colour: '#84722c', is: 'ground' },
      { colour: '#000000', is: 'somebody' },
    ],
  };
  /** A plan whose sky is so much of it, with somebody in a box, parts of the picture. */
  function plan(sky: number, box?: { left: number; right: number; top: number; bottom: number }): Picture {
    const p = createPicture(80, 60);
    for (let i = 0; i < 80 * 60; i++) {
      const [x, y] = [(i % 80) / 80, Math.floor(i / 80) / 60];
      const who = box && x >= box.left && x < box.right && y >= box.top && y < box.bottom;
      const c = COLOURS[who ? 'somebody' : y < sky ? 'sky' : 'ground'];
      c.forEach((v, k) => (p.planes[k][i] = v));
    }
    return p;
  }

  test.each([0.25, 0.4, 0.7])('the edge of the sky at %d is the horizon', (sky) => {
    expect(placesOfPlan(plan(sky), map).horizon).toBeCloseTo(sky, 2);
  });
  test('all sky, or none, has no horizon', () => {
    expect(placesOfPlan(plan(1), map).horizon).toBeUndefined();
    expect(placesOfPlan(plan(0), map).horizon).toBeUndefined();
  });
  test('somebody stands where their colour is', () => {
    const box = { left: 0.5, right: 0.625, top: 0.4, bottom: 0.8 };
    const { somebody } = placesOfPlan(plan(0.3, box), map);
    for (const side of ['left', 'right', 'top', 'bottom'] as const) expect(somebody![side]).toBeCloseTo(box[side], 1);
  });
  test('a speck is nobody', () => {
    expect(placesOfPlan(plan(0.3, { left: 0.5, right: 0.51, top: 0.5, bottom: 0.51 }), map).somebody).toBeUndefined();
  });

  test('a horizon is as a person put it, before anything is read', () => {
    expect(horizonOf({ ...told, horizon: 0.15, layout: map }, plan(0.5))).toEqual({ at: 0.15, confidence: 1 });
  });
  test('of a plan it is the edge of the sky, of a map of distances none, of a picture what is found', () => {
    expect(horizonOf({ ...told, layout: map }, plan(0.5))!.at).toBeCloseTo(0.5, 1);
    expect(horizonOf({ ...told, layout: { read: 'distance', near: 'dark' } }, plan(0.5))).toBeUndefined();
    const found = horizonOf(told, plan(0.5))!;
    expect(found.at).toBeCloseTo(0.5, 1);
    expect(found.confidence).toBeLessThanOrEqual(1);
  });
  test('a drawing in lines has a horizon too, or says how little it is sure', () => {
    const found = horizonOf(told, read(feltPenBoat()))!;
    expect(found.at).toBeGreaterThan(0);
    expect(found.at).toBeLessThan(1);
    expect(found.confidence).toBeGreaterThanOrEqual(0);
  });
});
