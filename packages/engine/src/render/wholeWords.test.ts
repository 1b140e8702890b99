import { CHROMA_GAIN, clonePicture, pictureFromRgba, Random, understand, type Picture } from '@urbild/core';
import { REGION } from '../painter/scene/region';
import { paintStage } from '../painter/paint';
import { isArrangedAlike, marksFound, wholeFound, wholeLook } from './wholeWords';

const SIZE = { width: 256, height: 192, seed: 5 };
const scene = (prompt: string) => {
  const brief = understand(prompt);
  const stage = paintStage(brief, SIZE);
  const picture = pictureFromRgba(stage.rgba, SIZE.width, SIZE.height);
  const look = (p: Picture) => wholeLook(stage.seen, stage.labels, p);
  return { brief, stage, picture, look, was: look(picture) };
};
const changed = (picture: Picture, change: (v: number, channel: number, i: number) => number): Picture => {
  const out = clonePicture(picture);
  out.planes.forEach((plane, c) => plane.forEach((v, i) => (plane[i] = change(v, c, i))));
  return out;
};
const valueOf = (found: ReturnType<typeof wholeFound>, axis: string) => found.find((f) => f.claim.axis === axis)?.found;

describe('drops and flakes', () => {
  test.each(['rain', 'snow'])('%s leaves marks, which are found whole in the picture itself', (weather) => {
    const { was } = scene(`a meadow, ${weather}`);
    expect(was.marks.length).toBeGreaterThan(50);
    expect(marksFound(was, was)).toBeCloseTo(1, 6);
  });
  test('are less found the fainter they are, and not at all where another picture lies', () => {
    const { stage, picture, look, was } = scene('a meadow, snow');
    const on = new Set(stage.seen.weatherMarks.flatMap((mark) => [...mark]));
    const bare = changed(picture, (v, c, i) => (on.has(i) && c === 0 ? v - 0.12 : v));
    expect(marksFound(was, look(bare))).toBeLessThan(0.9);
    const random = new Random(3);
    expect(marksFound(was, look(changed(picture, (_, c) => (c ? 0 : random.next()))))).toBeLessThan(0.4);
    expect(marksFound(was, look(changed(picture, () => 0.5)))).toBe(0);
  });
  test('are looked for neither in fair weather nor where a camera sees a part', () => {
    const fair = scene('a meadow');
    expect(marksFound(fair.was, fair.was)).toBeUndefined();
    const { stage, picture } = scene('a meadow, rain');
    const near = { ...stage.seen, view: { width: 2, height: 2, map: new Uint8Array(4) } };
    expect(wholeLook(near, stage.labels, picture).marks).toEqual([]);
  });
});

describe('a time', () => {
  test('of darkness stays in another hue and goes with daylight', () => {
    const { brief, picture, look, was } = scene('the harbour at night');
    const at = (p: Picture) => valueOf(wholeFound(brief.claims, was, look(p)), 'time')!;
    expect(at(picture)).toBe(1);
    expect(at(changed(picture, (v, c) => (c ? -v : v)))).toBe(1);
    expect(at(changed(picture, (v, c) => (c ? v : v + 0.55)))).toBe(0);
  });
  test('of darkness is not kept by a dark sky over bright ground', () => {
    const { brief, stage, picture, look, was } = scene('the harbour at night');
    const ground = (i: number) => stage.labels[i] !== REGION.sky && stage.labels[i] !== REGION.cloud;
    const bright = changed(picture, (v, c, i) => (!c && ground(i) ? v + 0.55 : v));
    expect(valueOf(wholeFound(brief.claims, was, look(bright)), 'time')).toBe(0);
  });
  test('of a coloured sky goes with its colour', () => {
    const { brief, picture, look, was } = scene('a marsh at dusk');
    const at = (p: Picture) => valueOf(wholeFound(brief.claims, was, look(p)), 'time')!;
    expect(at(picture)).toBe(1);
    expect(at(changed(picture, (v, c) => (c ? -v : v)))).toBe(0);
    expect(at(changed(picture, (v, c) => (c ? 0.3 * v : v)))).toBeLessThan(0.5);
  });
  test('that any light fits is not looked for, nor is weather without marks', () => {
    const { brief, was } = scene('a meadow at noon, cloudy');
    expect(wholeFound(brief.claims, was, was)).toEqual([]);
  });
});

test('pictures are arranged alike in other colours, not in another arrangement', () => {
  const { picture, look, was } = scene('a mill at noon');
  expect(isArrangedAlike(was, look(changed(picture, (v, c) => (c ? -v : 1 - v))))).toBe(true);
  const { width } = SIZE;
  const upright = changed(picture, (_, c, i) => (i % width < width / 2 ? 0.9 : 0.1) * (c ? 0.02 * CHROMA_GAIN : 1));
  expect(isArrangedAlike(was, look(upright))).toBe(false);
});
