import { pictureFromRgba, type Picture } from '@urbild/core';
import { SCENE_FAMILIES } from '@urbild/engine-tools';
import { BuiltInEngine } from '../engine';
import { readRequest } from '../contract';
import { readPicture } from '../understand/readPicture';
import { agreementWith, arrangementArrival } from './arrangement';

const pictureOf = (name: string, seed: number): Picture => {
  const { rgba, width, height } = SCENE_FAMILIES.find((f) => f.name === name)!.make({ who: seed, seed });
  return pictureFromRgba(rgba, width, height);
};
const street = pictureOf('pencil streets', 3);
const seen = readPicture(street);
const unrelated = readPicture(pictureOf('pencil streets', 10));
const blank = (): Picture => ({
  width: 120,
  height: 85,
  planes: [new Float32Array(120 * 85).fill(0.7), new Float32Array(120 * 85), new Float32Array(120 * 85)],
});

test('a picture agrees with its own arrangement, a blank one with none', () => {
  expect(agreementWith(seen, street)).toBeGreaterThan(0.9);
  expect(agreementWith(seen, blank())).toBe(0);
});

test('dark for light is the same arrangement: what counts is where things meet', () => {
  const [L, A, B] = street.planes;
  const inverted = { ...street, planes: [L.map((v) => 1 - v), A, B] as const };
  expect(agreementWith(seen, inverted)).toBeGreaterThan(0.9);
});

test('a take that a sketch laid out has arrived at it and not at another sketch, more the more it weighs', async () => {
  const engine = new BuiltInEngine();
  const take = async (weight: number) => {
    const influences = weight ? [{ gives: 'layout', weight, pictures: [{ content: 'street' }] }] : [];
    const request = readRequest({ prompt: 'Ilse in the village street', width: 240, height: 170, seed: 7, influences });
    const { rgba } = await engine.render(request, () => Promise.resolve(street));
    return pictureFromRgba(rgba, 240, 170);
  };
  const control = await take(0);
  const [half, whole] = [await take(0.5), await take(1)];
  expect(arrangementArrival(seen, control, control)).toBe(0);
  expect(arrangementArrival(seen, half, control)).toBeGreaterThan(0.7);
  expect(arrangementArrival(seen, whole, control)! + 0.03).toBeGreaterThan(arrangementArrival(seen, half, control)!);
  expect(arrangementArrival(unrelated, whole, control)).toBeLessThan(0.1);
});

test('without a control what any picture scores is nothing; what has no borders cannot be told', () => {
  expect(arrangementArrival(seen, street)).toBeGreaterThan(0.8);
  expect(arrangementArrival(seen, blank())).toBe(0);
  expect(arrangementArrival(readPicture(blank()), street)).toBeUndefined();
});
