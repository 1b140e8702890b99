import { createHash } from 'crypto';
import {
  describe as describePicture,
  distanceOn,
  measureArrival,
  meanShares,
  pictureFromRgba,
  type Descriptors,
} from '@urbild/core';
import { RenderStopped } from './contract/engine';
import type { RenderProgress, RenderResult } from './contract/result';
import { BuiltInEngine } from './engine';
import type { RenderRequest } from './contract/request';
import { foreignPhotograph, influence, request } from './testing';

const engine = new BuiltInEngine();
const photograph = foreignPhotograph();
const source = () => Promise.resolve(photograph);
const render = (r: Partial<RenderRequest>) => engine.render(request(r), source);
const measured = (r: RenderResult): Descriptors => describePicture(pictureFromRgba(r.rgba, r.width, r.height));
const digest = (r: RenderResult) => createHash('sha256').update(r.rgba).digest('hex');
const reference = describePicture(photograph);

const PROMPTS = [
  'Ilse walking in the harbour at noon',
  'Ilse poles the punt at dusk with Brom among reeds',
  'lighthouse in a storm at night',
  'portrait of Ilse, marsh at dawn',
  'stilt village in the moonlight',
];

test.each(PROMPTS)('a look that nobody here drew pulls smoothly and steadily: %s', async (prompt) => {
  const weights = [0, 0.25, 0.5, 0.75, 1];
  const takes: Descriptors[] = [];
  for (const weight of weights) takes.push(measured(await render({ prompt, influences: [influence({ weight })] })));
  const distances = takes.map((t) => distanceOn('colour', t, reference));
  const arrivals = takes.map((t) => measureArrival({ gives: 'look', take: t, control: takes[0], reference }).overall!);
  for (let k = 1; k < weights.length; k++) {
    expect(distances[k]).toBeLessThan(distances[k - 1]);
    // near the top marks and palette trade a hundredth and a half between them
    expect(arrivals[k]).toBeGreaterThan(arrivals[k - 1] - 0.015);
  }
  expect(arrivals[4]).toBeGreaterThan(arrivals[2] + 0.03);
  expect(distances[4]).toBeLessThan(0.45 * distances[0]);
});

test('spans: early, whole and late give three different pictures, and late keeps the colours of the stage', async () => {
  const at = async (from: number, to: number) => measured(await render({ influences: [influence({ from, to })] }));
  const control = measured(await render({}));
  const [early, whole, late] = [await at(0, 0.25), await at(0, 1), await at(0.5, 1)];
  const colour = (d: Descriptors) =>
    measureArrival({ gives: 'look', take: d, control: control, reference }).channels.colour!;
  expect(colour(early)).toBeGreaterThan(0.3);
  expect(colour(whole)).toBeGreaterThan(colour(early));
  expect(colour(late)).toBeLessThan(0.2);
  for (const [a, b] of [
    [early, whole],
    [whole, late],
    [early, late],
  ])
    expect(distanceOn('surface', a, b)).toBeGreaterThan(0.4);
  // the late span is not nothing: it brings the surface
  expect(distanceOn('surface', late, control)).toBeGreaterThan(0.4);
});

test('a palette moves colours and leaves the drawing', async () => {
  const control = await render({});
  const palette = await render({ influences: [influence({ gives: 'palette' })] });
  const look = await render({ influences: [influence()] });
  const [c, p, l] = [control, palette, look].map(measured);
  expect(distanceOn('colour', p, reference)).toBeLessThan(0.6 * distanceOn('colour', c, reference));
  expect(distanceOn('layout', p, c)).toBeLessThan(distanceOn('layout', l, c));
});

test('everything at full weight brings the picture itself, at a quarter it does not', async () => {
  const control = measured(await render({}));
  const full = measured(await render({ influences: [influence({ gives: 'everything' })] }));
  const quarter = measured(await render({ influences: [influence({ gives: 'everything', weight: 0.25 })] }));
  const arrived = (d: Descriptors) =>
    measureArrival({ gives: 'layout', take: d, control: control, reference }).overall!;
  expect(arrived(full)).toBeGreaterThan(0.5);
  expect(arrived(quarter)).toBeLessThan(0.25);
});

test('readings: a hint is half a palette without strokes, a close reading keeps more of the drawing', async () => {
  const control = measured(await render({}));
  const hint = await render({ influences: [influence({ reading: 'hint' })] });
  expect(digest(hint)).toBe(digest(await render({ influences: [influence({ gives: 'palette', weight: 0.5 })] })));
  const [normal, close] = [
    measured(await render({ influences: [influence()] })),
    measured(await render({ influences: [influence({ reading: 'close' })] })),
  ];
  expect(distanceOn('layout', close, control)).toBeLessThan(distanceOn('layout', normal, control));
});

test('what is off, weightless, balanced away or not supported changes nothing', async () => {
  const control = digest(await render({}));
  for (const silent of [influence({ on: false }), influence({ weight: 0 }), influence({ gives: 'pose' })]) {
    expect(digest(await render({ influences: [silent] }))).toBe(control);
  }
  expect(digest(await render({ influences: [influence()], balance: 0 }))).toBe(control);
});

test('the same request gives the same bytes, another seed another picture', async () => {
  const asked = {
    influences: [
      influence({ weight: 0.8 }),
      influence({ id: 'b', gives: 'palette', weight: 0.3, pictures: [{ content: 'other', weight: 1 }] }),
    ],
  };
  const first = digest(await render(asked));
  await render({ seed: 99, influences: [influence()] });
  expect(digest(await render(asked))).toBe(first);
  expect(digest(await render({ ...asked, seed: 8 }))).not.toBe(first);
});

test('the shares that were used are those of the formula', async () => {
  const influences = [
    influence({ weight: 0.7, from: 0.1, to: 0.8 }),
    influence({ id: 'b', gives: 'everything', weight: 0.4 }),
    influence({ id: 'c', gives: 'palette', weight: 0.9, to: 0.3 }),
  ];
  const { shares } = await render({ influences, balance: 1.1, width: 96, height: 64 });
  expect(shares.filter((s) => s.channel === 'surface').length).toBeGreaterThanOrEqual(4);
  expect(new Set(shares.map((s) => s.channel))).toEqual(new Set(['layout', 'pose', 'identity', 'colour', 'surface']));
  for (const used of shares) {
    const { channel, from, to, subject, part } = used;
    const formula = meanShares({ influences, balance: 1.1 }, channel, from, to, { subject, part });
    used.influences.forEach((s, i) => expect(Math.abs(s - formula.influences[i])).toBeLessThan(1e-9));
    expect(Math.abs(used.words - formula.words)).toBeLessThan(1e-9);
  }
});

test('only pictures that pull are asked for', async () => {
  const asked = async (fields: Partial<RenderRequest>) => {
    const names: string[] = [];
    await engine.render(request({ width: 48, height: 36, ...fields }), (name) => {
      names.push(name);
      return source();
    });
    return names;
  };
  const named = (content: string, fields: object = {}) =>
    influence({ id: content, pictures: [{ content, weight: 1 }], ...fields });
  const [off, zero] = [named('off', { on: false }), named('zero', { weight: 0 })];
  const parts = influence({
    id: 'parts',
    pictures: [
      { content: 'whole', weight: 1 },
      { content: 'none', weight: 0 },
    ],
  });
  expect(await asked({ influences: [off, zero, parts, named('pulls')] })).toEqual(['whole', 'pulls']);
  expect(await asked({ influences: [named('pulls')], balance: 0 })).toEqual([]);
});

test('progress rises to the end with pictures, and says what was understood', async () => {
  const seen: RenderProgress[] = [];
  const result = await engine.render(
    request({ prompt: 'Ilse and a zeppelin in the harbour', influences: [influence()] }),
    source,
    (p) => seen.push(p),
  );
  expect(seen.length).toBeGreaterThanOrEqual(5);
  for (let k = 1; k < seen.length; k++) expect(seen[k].fraction).toBeGreaterThan(seen[k - 1].fraction);
  for (const { preview } of seen) expect(preview.rgba.length).toBe(preview.width * preview.height * 4);
  expect(result.unheard.map((s) => s.text)).toEqual(['zeppelin']);
  expect(Object.values(result.timings).every((t) => t >= 0)).toBe(true);
});

test.each([1, 40, 400])('a render that is stopped at check %i stops there', async (at) => {
  let checks = 0;
  const signal = {
    get aborted() {
      return ++checks >= at;
    },
  };
  // a seed of its own: nothing of it is kept from another render
  const one = request({ seed: 4000 + at, influences: [influence()] });
  await expect(engine.render(one, source, undefined, signal)).rejects.toThrow(RenderStopped);
  expect(checks).toBe(at);
});
