import { describe as describePicture, distanceOn, pictureFromRgba, type Descriptors } from '@urbild/core';
import { BuiltInEngine } from './engine';
import { brushedInk, cutSun, happyFields, twoInkPoster } from '@urbild/engine-tools';
import type { ForeignPicture } from '@urbild/engine-tools';
import { influence, request } from './testing';

const engine = new BuiltInEngine();
const looks = [brushedInk(), cutSun(), happyFields(), twoInkPoster()];
const pixels = new Map(looks.map((l) => [l.name, pictureFromRgba(l.rgba, l.width, l.height)]));
const targets = new Map([...pixels].map(([name, p]) => [name, describePicture(p)]));

async function mixed(parts: readonly (readonly [ForeignPicture, number])[], span = { from: 0, to: 1 }) {
  const [width, height] = [160, 120];
  const influences = parts.map(([look, weight], k) =>
    influence({ id: `l${k}`, weight, ...span, pictures: [{ content: look.name, weight: 1 }] }),
  );
  const { rgba } = await engine.render(
    request({ prompt: 'Marek on the pier at noon', width, height, influences }),
    (name) => Promise.resolve(pixels.get(name)!),
  );
  return describePicture(pictureFromRgba(rgba, width, height));
}

const PAIRS = looks.flatMap((a, i) => looks.slice(i + 1).map((b) => [a, b] as const));

test.each(PAIRS.map(([a, b]) => [a.name, b.name, a, b] as const))(
  'from %s to %s the palette moves steadily',
  async (_a, _b, a, b) => {
    const takes: Descriptors[] = [];
    for (const share of [1, 0.75, 0.5, 0.25, 0])
      takes.push(
        await mixed([
          [a, share],
          [b, 1 - share],
        ]),
      );
    const to = (look: ForeignPicture) => takes.map((t) => distanceOn('colour', t, targets.get(look.name)!));
    const [away, towards] = [to(a), to(b)];
    // a step may stand still (the palettes of two prints share their paper), none may go back by more than a tenth
    for (let k = 1; k < 5; k++) {
      const slack = 0.1 * Math.max(away[4], towards[0]);
      expect(away[k]).toBeGreaterThan(away[k - 1] - slack);
      expect(towards[k]).toBeLessThan(towards[k - 1] + slack);
    }
    expect(away[4]).toBeGreaterThan(1.3 * away[0]);
    expect(towards[0]).toBeGreaterThan(1.3 * towards[4]);
  },
);

test('early, whole and late spans move what is decided in them', async () => {
  const look = looks[2];
  const target = targets.get(look.name)!;
  const control = await mixed([]);
  const near = (d: Descriptors, channel: 'colour' | 'surface' | 'layout') => distanceOn(channel, d, target);
  const early = await mixed([[look, 1]], { from: 0, to: 0.3 });
  const whole = await mixed([[look, 1]]);
  const late = await mixed([[look, 1]], { from: 0.6, to: 1 });
  // the early span brings colours and no strokes, the late one strokes and hardly any colour
  const came = (d: Descriptors, channel: 'colour' | 'surface') => 1 - near(d, channel) / near(control, channel);
  expect(came(early, 'colour')).toBeGreaterThan(0.4);
  expect(came(late, 'colour')).toBeLessThan(0.5 * came(early, 'colour'));
  expect(came(whole, 'colour')).toBeGreaterThan(came(early, 'colour'));
  expect(distanceOn('surface', late, control)).toBeGreaterThan(0.3);
  // none of them moves the composition much: a look gives none
  for (const d of [early, late])
    expect(distanceOn('layout', d, control)).toBeLessThan(0.7 * distanceOn('layout', target, control));
});
