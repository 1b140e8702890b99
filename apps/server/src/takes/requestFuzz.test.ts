import { AREA_KINDS, ASPECTS, GIVES, JOINTS, MEDIA, READINGS, TYPED_MAX_WEIGHT, type Gives } from '@urbild/core';
import fc from 'fast-check';
import sharp from 'sharp';
import type { ReferenceDto } from '../library/reference.dto';
import { bringIn, openStudio, testPng, type TestStudio } from '../test/studio';
import type { TakeDto } from './take.dto';

let studio: TestStudio;
let references: ReferenceDto[];
let mask: string;
beforeAll(async () => {
  studio = await openStudio();
  references = [
    await bringIn(studio, 1),
    await bringIn(studio, 2, { kind: 'style' }),
    await bringIn(studio, 3, { kind: 'face' }),
  ];
  const sent = await studio.ask
    .post('/api/v1/masks')
    .attach('file', await testPng(60, 40, 9), 'm.png')
    .expect(201);
  mask = (sent.body as { content: string }).content;
});
afterAll(() => studio.close());

const part = fc.double({ min: 0, max: 1, noNaN: true });
const anyText = fc.oneof(
  fc.constantFrom(
    'Ilse in the harbour at dusk',
    'no boats',
    'two foxes and an old man with a white beard, village street in the rain',
    'portrait of Brom, close-up',
    'Ilse, Ilse, Ilse',
    '',
    ' , ',
    'without',
    '"quoted', // and what nobody means
    'a a a a the of of',
  ),
  fc.string({ maxLength: 60 }).map((text) => text.replaceAll('\0', '')),
);
const region = () =>
  fc.record({
    content: fc.constant(mask),
    invert: fc.boolean(),
    feather: fc.double({ min: 0, max: 0.1, noNaN: true }),
  });
const maybe = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined });
const influence = () =>
  fc
    .record({
      referenceId: fc.constantFrom(...references.map((r) => r.id)),
      gives: fc.constantFrom(...GIVES),
      weight: fc.double({ min: 0, max: TYPED_MAX_WEIGHT, noNaN: true }),
      span: fc.tuple(part, part).map(([a, b]) => [Math.min(a, b), Math.max(a, b)]),
      reading: fc.constantFrom(...READINGS),
      on: fc.boolean(),
      subject: maybe(fc.constantFrom('Ilse', 'nobody', 'constructor', 'x')),
      parts: maybe(fc.subarray(['face', 'hair', 'build', 'clothes'] as const)),
      fill: maybe(fc.constantFrom('inside', 'around')),
      motif: maybe(fc.double({ min: 0.5, max: 1.5, noNaN: true })),
      region: maybe(region()),
    })
    .map(({ span: [from, to], ...rest }) => ({ ...rest, from, to }));
const mix = () =>
  fc.record({
    prompt: anyText,
    avoid: anyText,
    influences: fc.array(influence(), { maxLength: 4 }).map((all) => all.map((i, k) => ({ id: `i${k}`, ...i }))),
    settings: fc.record({
      aspect: fc.constantFrom(...ASPECTS),
      seed: fc.nat({ max: 0xffffffff }),
      balance: fc.double({ min: 0, max: 2, noNaN: true }),
      spread: maybe(part),
      strictness: maybe(part),
      ornateness: maybe(part),
      medium: maybe(fc.constantFrom(...MEDIA)),
      emphases: maybe(
        fc.array(
          fc.record({
            words: fc.constantFrom('Ilse', 'harbour', 'dusk', 'nothing of it'),
            weight: fc.double({ min: 0, max: 2, noNaN: true }),
          }),
          { maxLength: 3 },
        ),
      ),
      start: maybe(
        fc.record({ of: fc.constant('reference'), id: fc.constantFrom(...references.map((r) => r.id)), change: part }),
      ),
      mask: maybe(region()),
    }),
  });

/** How many mixes are rendered; `npm run soak` renders more of them. */
const RUNS = Number(process.env.URBILD_FUZZ_RUNS ?? 6);
const SEED = Number(process.env.URBILD_FUZZ_SEED ?? 20261129);

test('whatever mix the server accepts, the engine renders', async () => {
  const failures: unknown[] = [];
  for (const [k, fields] of fc.sample(mix(), { numRuns: RUNS, seed: SEED }).entries()) {
    const made = await studio.ask.post('/api/v1/mixes').send(fields).expect(201);
    const { id } = made.body as { id: string };
    const asked = await studio.ask.post('/api/v1/takes').send({ mixId: id, quality: 'draft' }).expect(201);
    await studio.jobs.idle();
    const take = (await studio.ask.get(`/api/v1/takes/${(asked.body as TakeDto).id}`).expect(200)).body as TakeDto;
    if (take.status !== 'done') failures.push([k, take.error, JSON.stringify(fields)]);
  }
  expect(failures).toEqual([]);
});

describe('pictures that nobody would draw', () => {
  /** Gives in one mix. */
  const TOGETHER = 4;
  const flat = (width: number, height: number, background: { r: number; g: number; b: number; alpha: number }) =>
    sharp({ create: { width, height, channels: 4, background } })
      .png()
      .toBuffer();
  const ODD: readonly (readonly [name: string, make: () => Promise<Buffer>])[] = [
    ['one pixel', () => flat(1, 1, { r: 200, g: 30, b: 30, alpha: 1 })],
    ['a line', () => flat(300, 1, { r: 10, g: 200, b: 30, alpha: 1 })],
    ['a standing line', () => flat(1, 300, { r: 10, g: 20, b: 230, alpha: 1 })],
    ['nine pixels', () => testPng(3, 3, 4)],
    ['nothing at all', () => flat(80, 60, { r: 0, g: 0, b: 0, alpha: 0 })],
    ['black', () => flat(90, 60, { r: 0, g: 0, b: 0, alpha: 1 })],
    ['white', () => flat(90, 61, { r: 255, g: 255, b: 255, alpha: 1 })],
  ];
  test.each(ODD)('%s is rendered from, whatever it gives', async (name, make) => {
    const sent = await studio.ask
      .post('/api/v1/references')
      .attach('file', await make(), `${name}.png`)
      .expect(201);
    const { id } = (sent.body as { reference: ReferenceDto }).reference;
    const failures: unknown[] = [];
    const draft = async (all: readonly Gives[], start = false) => {
      const influences = all.map((gives) => ({
        ...{ id: gives, referenceId: id, gives, weight: 1, from: 0, to: 1, reading: 'normal', on: true },
      }));
      const settings = {
        aspect: '3:2',
        seed: 1,
        balance: 1,
        ...(start ? { start: { of: 'reference', id, change: 0.5 } } : {}),
      };
      const fields = { prompt: 'Ilse in the harbour at dusk', influences, settings };
      const mix = (await studio.ask.post('/api/v1/mixes').send(fields).expect(201)).body as { id: string };
      const asked = await studio.ask.post('/api/v1/takes').send({ mixId: mix.id, quality: 'draft' }).expect(201);
      await studio.jobs.idle();
      const take = (await studio.ask.get(`/api/v1/takes/${(asked.body as TakeDto).id}`).expect(200)).body as TakeDto;
      return take.status === 'done' ? undefined : take.error;
    };
    // several gives together first: only where those fail is each tried by itself, to say which it was
    for (let k = 0; k < GIVES.length; k += TOGETHER) {
      const some = GIVES.slice(k, k + TOGETHER);
      if (await draft(some)) for (const gives of some) failures.push([gives, await draft([gives])]);
    }
    const started = await draft(['look'], true);
    if (started) failures.push(['start', started]);
    expect(failures).toEqual([]);
  });
});

/** Corrections by hand: sensible ones, and what nobody would draw. */
const correction = () => {
  const at = fc.oneof(part, fc.constantFrom(-1, 0, 1, 2));
  const joint = fc.record({
    name: fc.oneof(fc.constantFrom(...JOINTS), fc.constantFrom('constructor', 'tail', 'x')),
    x: at,
    y: at,
    score: part,
  });
  const box = fc.tuple(part, part, part, part).map(([a, b, c, d]) => ({
    left: Math.min(a, c),
    top: Math.min(b, d),
    right: Math.max(a, c),
    bottom: Math.max(b, d),
  }));
  return fc.record({
    joints: maybe(fc.array(joint, { maxLength: 20 })),
    faces: maybe(
      fc.array(fc.record({ box, score: part, yaw: maybe(fc.integer({ min: -90, max: 90 })) }), { maxLength: 3 }),
    ),
    horizon: maybe(fc.oneof(part, fc.constant(-1))),
    swatches: maybe(
      fc.array(fc.record({ colour: fc.constantFrom('#000000', '#ffffff', '#4a6f8c'), weight: part }), { maxLength: 8 }),
    ),
    layout: maybe(
      fc.oneof(
        fc.constant({ read: 'picture' }),
        fc.record({ read: fc.constant('distance'), near: fc.constantFrom('light', 'dark') }),
        fc.record({
          read: fc.constant('areas'),
          areas: fc.array(
            fc.record({
              colour: fc.constantFrom('#000000', '#ffffff', '#808080', '#3a6ea5'),
              is: fc.constantFrom(...AREA_KINDS),
            }),
            { minLength: 1, maxLength: 6 },
          ),
        }),
      ),
    ),
  });
};
const HEARD: readonly Gives[] = [
  'layout',
  'pose',
  'place',
  'thing',
  'everything',
  'character',
  'face',
  'outfit',
  'palette',
];

test('whatever a person sets right by hand, the engine renders from it', async () => {
  const failures: unknown[] = [];
  const all = fc.sample(fc.tuple(correction(), fc.constantFrom(...references), fc.constantFrom(...HEARD)), {
    numRuns: RUNS,
    seed: SEED,
  });
  for (const [k, [fields, { id }, gives]] of all.entries()) {
    const { version } = (await studio.ask.get(`/api/v1/references/${id}`)).body as ReferenceDto;
    const corrected = await studio.ask.patch(`/api/v1/references/${id}/corrections`).send({ ...fields, version });
    if (corrected.status !== 200) {
      if (corrected.status !== 400) failures.push([k, corrected.status, JSON.stringify(fields)]);
      continue;
    }
    await studio.ask.get(`/api/v1/references/${id}/gives`).expect(200);
    const influences = [{ id: 'a', referenceId: id, gives, weight: 1, from: 0, to: 1, reading: 'normal', on: true }];
    const mix = await studio.ask
      .post('/api/v1/mixes')
      .send({ prompt: 'Ilse and Brom in the harbour', influences })
      .expect(201);
    const asked = await studio.ask
      .post('/api/v1/takes')
      .send({ mixId: (mix.body as { id: string }).id, quality: 'draft' })
      .expect(201);
    await studio.jobs.idle();
    const take = (await studio.ask.get(`/api/v1/takes/${(asked.body as TakeDto).id}`).expect(200)).body as TakeDto;
    if (take.status !== 'done') failures.push([k, gives, take.error, JSON.stringify(fields)]);
  }
  expect(failures).toEqual([]);
});
