import { UNPREPARED } from '@urbild/core';
import type { Reference } from '../library/reference.entity';
import { factsOf } from './pictureFacts';

type Known = Pick<Reference, 'corrections' | 'vision' | 'preparation'>;
const face = (left: number, top: number, size: number) => ({
  box: { left, top, right: left + size, bottom: top + size },
  score: 1,
  yaw: 12.4,
  roll: 0,
  outside: 0,
});
const joint = (name: string, x: number, y: number) => ({ name, x, y, score: 1 });
const known = (fields: Partial<Known> = {}): Known => ({
  corrections: {},
  vision: {
    model: 'm',
    faces: [face(0.1, 0.1, 0.1), face(0.4, 0.2, 0.3)],
    joints: ['leftShoulder', 'rightShoulder', 'leftWrist', 'rightWrist'].map((n, k) => joint(n, 0.2 * k, 0.5)),
    traits: { skin: { colour: [0.7, 0.03, 0.04], confidence: 0.8 } },
  },
  preparation: UNPREPARED,
  ...fields,
});

test('the largest face counts, and its traits go along', () => {
  const facts = factsOf(known());
  expect(facts.face!.eyes[0]).toBeCloseTo(0.55, 4);
  expect(facts.face!.yaw).toBe(12);
  expect(facts.traits).toBeDefined();
  expect(facts.joints!.leftWrist).toEqual([0.4, 0.5]);
});

test('places follow the crop, and what it cuts off is not told', () => {
  const focus = { left: 0.4, top: 0, right: 0.8, bottom: 1 };
  const facts = factsOf(known({ preparation: { ...UNPREPARED, focus } }));
  expect(facts.face!.eyes[0]).toBeCloseTo(0.375, 4);
  expect(facts.joints!.rightWrist).toEqual([0.5, 0.5]);
  const away = factsOf(known({ preparation: { ...UNPREPARED, focus: { ...focus, left: 0.75, right: 1 } } }));
  expect(away.face).toBeUndefined();
  expect(away.traits).toBeUndefined();
});

test('what a person set right goes before what was read; unknown joints are left out', () => {
  const facts = factsOf(
    known({ corrections: { horizon: 0.4, faces: [face(0, 0, 0.2)], joints: [joint('tail', 0.5, 0.5)] } }),
  );
  expect(facts.horizon).toBe(0.4);
  expect(facts.face!.chin).toEqual([0.1, 0.2]);
  expect(facts.joints).toBeUndefined();
});

test('nothing is told of a picture that nobody has looked at', () => {
  expect(factsOf(known({ vision: null }))).toEqual({});
});

test('what a person said of areas is told', () => {
  const areas = [{ x: 0.2, y: 0.3, is: 'water' }] as const;
  expect(factsOf(known({ corrections: { areas } })).areas).toEqual(areas);
  expect(factsOf(known()).areas).toBeUndefined();
});

test('a layout that is a map is told as one', () => {
  const layout = { read: 'distance', near: 'light' } as const;
  expect(factsOf(known({ corrections: { layout } })).layout).toEqual(layout);
  expect(factsOf(known()).layout).toBeUndefined();
});
