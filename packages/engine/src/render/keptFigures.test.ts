import { createPicture, pictureFromRgba, type Picture } from '@urbild/core';
import { BuiltInEngine } from '../engine';
import { request } from '../testing';
import { keptFigures } from './keptFigures';

const engine = new BuiltInEngine();
const SIZE = { width: 288, height: 192 };
const none = () => Promise.reject(new Error('no picture'));
const maskOf = (mask: Uint8Array): Picture => {
  const picture = createPicture(SIZE.width, SIZE.height);
  mask.forEach((v, i) => (picture.planes[0][i] = v / 255));
  return picture;
};

test('whoever lies partly where the start picture stays would be there twice; whoever lies wholly there or beside it would not', () => {
  const map = Uint8Array.from({ length: 100 }, (_, i) => (i < 20 ? 1 : i < 40 ? 2 : i < 60 ? 3 : i < 80 ? 4 : 0));
  const item = (entity: number, kind: string) => ({ entity, kind, held: false, codes: [entity + 1] });
  const seen = { map, items: [item(0, 'person'), item(1, 'creature'), item(2, 'person'), item(3, 'thing')] } as never;
  // the first half of each but the third, which may change wholly
  const free = Float32Array.from({ length: 100 }, (_, i) => (i >= 40 && i < 60 ? 1 : (i % 20) / 20 < 0.5 ? 0 : 1));
  expect([...keptFigures(seen, free)]).toEqual([0, 1]);
  expect(keptFigures(seen, new Float32Array(100)).size).toBe(0);
});

test('where all but somebody is drawn anew, she is not drawn a second time beside herself', async () => {
  const day = request({ ...SIZE, prompt: 'Ilse in a yellow coat stands on the pier at noon' });
  const begun = await engine.render(day, none);
  const [{ mask }] = await engine.outlines(day, none);
  const moved = new Uint8Array(mask.length);
  // as if the start picture had her a little farther to the left
  mask.forEach((v, i) => v && (moved[i - 9] = 255));
  const pictures: Record<string, Picture> = {
    start: pictureFromRgba(begun.rgba, begun.width, begun.height),
    mask: maskOf(moved),
  };
  const night = { ...day, prompt: 'Ilse in a yellow coat stands on the pier at night' };
  const kept = { start: { content: 'start', change: 1 }, mask: { content: 'mask', invert: true, feather: 0 } };
  const { rgba } = await engine.render({ ...night, ...kept } as never, (name) => Promise.resolve(pictures[name]));
  const empty = await engine.render({ ...night, prompt: 'the pier at night' }, none);
  // what of her own place lies outside of the mask is the pier by night, and no coat
  const beside = [...mask.keys()].filter((i) => mask[i] && !moved[i]);
  expect(beside.length).toBeGreaterThan(40);
  const yellow = (pixels: Uint8ClampedArray) =>
    beside.reduce((sum, i) => sum + pixels[4 * i] - pixels[4 * i + 2], 0) / beside.length;
  expect(yellow(rgba)).toBeLessThan(yellow(empty.rgba) + 12);
});
