import { describe as describePicture, distanceOn, measureArrival, pictureFromRgba } from '@urbild/core';
import { BuiltInEngine } from '../engine';
import { foreignPhotograph, influence, request } from '../testing';
import { strangerPictures } from './strangers';

const photograph = foreignPhotograph();
const reference = describePicture(photograph);

test('eight pictures that have nothing to do with each other on any channel', () => {
  const strangers = strangerPictures();
  expect(strangers).toHaveLength(8);
  for (const channel of ['colour', 'surface', 'layout'] as const)
    for (const [i, a] of strangers.entries())
      for (const b of strangers.slice(i + 1)) expect(distanceOn(channel, a, b)).toBeGreaterThan(0.1);
});

test('held against strangers, arrival still follows the weight, and somebody else’s picture stays behind', async () => {
  const engine = new BuiltInEngine();
  const render = async (weight: number) => {
    const { rgba, width, height } = await engine.render(request({ influences: [influence({ weight })] }), () =>
      Promise.resolve(photograph),
    );
    return describePicture(pictureFromRgba(rgba, width, height));
  };
  const takes = await Promise.all([0, 0.3, 0.6, 1].map(render));
  const at = (take: (typeof takes)[number], to = reference) =>
    measureArrival({ gives: 'look', take, control: takes[0], reference: to, strangers: strangerPictures() }).overall!;
  const values = takes.map((take) => at(take));
  expect(values[0]).toBe(0);
  for (let k = 1; k < values.length; k++) expect(values[k]).toBeGreaterThan(values[k - 1] + 0.03);
  const other = describePicture(foreignPhotograph(240, 180, 77));
  expect(at(takes[3], strangerPictures()[3])).toBeLessThan(values[3] / 2);
  expect(at(takes[3], other)).toBeGreaterThan(at(takes[3], strangerPictures()[3]));
});
