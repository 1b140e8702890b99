import sharp from 'sharp';
import type { ReferenceDto } from '../reference.dto';
import { bringIn, openStudio, type TestStudio } from '../../test/studio';
import type { EngineViewDto, ReferenceVersionDto } from './preparation.dto';

let studio: TestStudio;
beforeAll(async () => (studio = await openStudio()));
afterAll(() => studio.close());

const at = (id: string, what: string) => `/api/v1/references/${id}/${what}`;
const get = async (id: string) => (await studio.ask.get(`/api/v1/references/${id}`).expect(200)).body as ReferenceDto;
const gives = async (id: string) => (await studio.ask.get(at(id, 'gives')).expect(200)).body as EngineViewDto;
const correct = (r: ReferenceDto, corrections: object) =>
  studio.ask.patch(at(r.id, 'corrections')).send({ version: r.version, ...corrections });
const plain = { sharpen: 0, cutOut: false, flatten: true };

/** A plan in flat colours: sky above, ground below, water in the middle of it. */
async function bringPlan(): Promise<ReferenceDto> {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="240" height="160" shape-rendering="crispEdges">
    <rect width="240" height="160" fill="#9cc4e4"/><rect y="70" width="240" height="90" fill="#c9b458"/>
    <rect x="80" y="90" width="90" height="70" fill="#2f5fa8"/></svg>`;
  const { body } = await studio.ask
    .post('/api/v1/references')
    .attach('file', await sharp(Buffer.from(svg)).png().toBuffer(), 'plan.png')
    .expect(201);
  return (body as { reference: ReferenceDto }).reference;
}

test('a crop changes what the engine gets, the file stays, and the state before can be gone back to', async () => {
  const r = await bringIn(studio, 301);
  const focus = { left: 0.25, top: 0, right: 0.75, bottom: 1 };
  await studio.ask
    .put(at(r.id, 'preparation'))
    .send({ version: r.version, preparation: { ...plain, focus } })
    .expect(200);
  const cropped = await get(r.id);
  expect(cropped.pictureUrl).not.toBe(r.pictureUrl);
  expect(cropped.width).toBe(r.width);
  expect((await gives(r.id)).width).toBe(r.width / 2);
  const versions = (await studio.ask.get(at(r.id, 'versions')).expect(200)).body as ReferenceVersionDto[];
  expect(versions.map((v) => [v.why, v.current])).toEqual([
    ['prepared', true],
    ['brought in', false],
  ]);
  await studio.ask
    .post(at(r.id, `versions/${versions[1].number}`))
    .query({ version: cropped.version })
    .expect(200);
  expect((await get(r.id)).pictureUrl).toBe(r.pictureUrl);
});

test('a crop of next to nothing is refused with the field that is wrong, and a stale one with what is there', async () => {
  const r = await bringIn(studio, 302);
  const send = (version: number, right: number) =>
    studio.ask
      .put(at(r.id, 'preparation'))
      .send({ version, preparation: { ...plain, focus: { left: 0.25, top: 0, right, bottom: 1 } } });
  const refused = await send(r.version, 0.26).expect(400);
  expect(JSON.stringify(refused.body)).toContain('at least 2 %');
  await send(r.version, 0.6).expect(200);
  await send(r.version, 0.8).expect(409);
});

test('horizon, palette and joints are taken from a person, and given back to what was read', async () => {
  const r = await bringIn(studio, 303);
  const read = await gives(r.id);
  expect(read.horizon.byHand).toBe(false);
  await correct(r, {
    horizon: 0.31,
    swatches: [{ colour: '#c03020', weight: 1 }],
    joints: [{ name: 'nose', x: 0.5, y: 0.2, score: 1 }],
  }).expect(200);
  const set = await gives(r.id);
  expect(set.horizon).toEqual({ at: 0.31, confidence: 1, byHand: true });
  expect(set.joints).toHaveLength(1);
  expect((await get(r.id)).swatches).toEqual([{ colour: '#c03020', weight: 1 }]);
  await correct(await get(r.id), { horizon: -1, swatches: [], joints: [] }).expect(200);
  const back = await gives(r.id);
  expect(back.horizon).toEqual(read.horizon);
  expect(back.joints).toEqual(read.joints);
  expect((await get(r.id)).swatches).toEqual(r.swatches);
});

test('what is set right is told as it is sent, so that it can be undone; sent again, it changes nothing', async () => {
  const { id } = await bringIn(studio, 306);
  await studio.jobs.idle();
  const r = await get(id);
  expect(r.corrections).toEqual({
    faces: [],
    joints: [],
    horizon: -1,
    swatches: [],
    layout: { read: 'picture' },
    areas: [],
    matte: '',
  });
  const box = { left: 0.2, top: 0.1, right: 0.5, bottom: 0.6 };
  const wish = {
    faces: [{ box, score: 1, byHand: true }],
    joints: [{ name: 'nose', x: 0.5, y: 0.2, score: 0.7 }],
    horizon: 0.123456789,
    swatches: [
      { colour: '#c03020', weight: 2 / 3 },
      { colour: '#010203', weight: 1 / 3 },
    ],
    layout: { read: 'distance', near: 'dark' },
    areas: [{ x: 0.5, y: 0.9, is: 'water' }],
    matte: '',
  };
  const set = (await correct(r, wish).expect(200)).body as ReferenceDto;
  expect(set.corrections).toEqual(wish);
  expect(set.visionState).toBe('done');
  const again = (await correct(set, set.corrections).expect(200)).body as ReferenceDto;
  expect(again.corrections).toEqual(wish);
  const back = (await correct(again, r.corrections).expect(200)).body as ReferenceDto;
  expect(back.corrections).toEqual(r.corrections);
  expect(back.visionState).toBe(r.visionState);
  expect(back.checks.map((c) => c.id)).toEqual(r.checks.map((c) => c.id));
  await correct(r, { horizon: 0.5 }).expect(409);
});

test('who is figure can be painted: the picture is read anew with it, and as it was found when that is taken back', async () => {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="300" height="300"><rect width="300" height="300" fill="#5b88a8"/>
    <circle cx="150" cy="140" r="78" fill="#5a2c16"/><circle cx="150" cy="150" r="52" fill="#e2aa8c"/>
    <rect x="60" y="225" width="180" height="75" fill="#3c7846"/></svg>`;
  const { body } = await studio.ask
    .post('/api/v1/references')
    .field('kind', 'character')
    .attach('file', await sharp(Buffer.from(svg)).png().toBuffer(), 'round head.png')
    .expect(201);
  const { id } = (body as { reference: ReferenceDto }).reference;
  await studio.jobs.idle();
  const box = { left: 0.33, top: 0.36, right: 0.67, bottom: 0.67 };
  await correct(await get(id), { faces: [{ box, score: 1, byHand: true }] }).expect(200);
  await studio.jobs.idle();
  const found = await get(id);
  expect(found.headUrl).toBeDefined();
  expect(found.matte).toMatch(/^[0-9a-f]{64}$/);
  // the hair is painted away
  const mask = `<svg xmlns="http://www.w3.org/2000/svg" width="300" height="300"><rect width="300" height="300"/>
    <circle cx="150" cy="150" r="54" fill="#fff"/><rect x="60" y="200" width="180" height="100" fill="#fff"/></svg>`;
  const sent = await studio.ask
    .post('/api/v1/masks')
    .attach('file', await sharp(Buffer.from(mask)).png().toBuffer(), 'mask.png')
    .expect(201);
  const { content } = sent.body as { content: string };
  const set = (await correct(found, { matte: content }).expect(200)).body as ReferenceDto;
  expect(set.corrections.matte).toBe(content);
  await studio.jobs.idle();
  const painted = await get(id);
  expect(painted.matte).toBe(content);
  expect(painted.headUrl).not.toBe(found.headUrl);
  // what was painted is kept as long as it is named
  await studio.ask.get(`/api/v1/blobs/${content}`).expect(200);
  await correct(painted, { matte: '' }).expect(200);
  await studio.jobs.idle();
  expect(await get(id)).toMatchObject({ matte: found.matte, headUrl: found.headUrl });
});

test('a painted figure that is not here is refused, and so is what is no mask at all', async () => {
  const r = await bringIn(studio, 311);
  const gone = await correct(r, { matte: 'f'.repeat(64) }).expect(400);
  expect(JSON.stringify(gone.body)).toMatch(/paint it again/);
  await correct(r, { matte: '../../etc' }).expect(400);
});

describe('what the areas of a picture show', () => {
  test('is read for everything that came in, with a picture of it', async () => {
    const { areas, areasUrl } = await gives((await bringPlan()).id);
    expect(areas.map((a) => a.kind)).toEqual(expect.arrayContaining(['sky', 'water']));
    expect(areas.reduce((sum, a) => sum + a.share, 0)).toBeGreaterThan(0.9);
    for (const { x, y, why } of areas) {
      expect(x > 0 && x < 1 && y > 0 && y < 1).toBe(true);
      expect(why).not.toBe('');
    }
    const { body, type } = await studio.ask.get(areasUrl).expect(200);
    expect(type).toBe('image/png');
    expect((body as Buffer).length).toBeGreaterThan(500);
  });

  test('is set right at a place and told to the engine, and taken back', async () => {
    const r = await bringIn(studio, 309);
    const areas = [{ x: 0.5, y: 0.1, is: 'rock' }];
    await correct(r, { areas }).expect(200);
    expect((await get(r.id)).corrections.areas).toEqual(areas);
    await correct(await get(r.id), { areas: [] }).expect(200);
    expect((await get(r.id)).corrections.areas).toEqual([]);
  });

  test.each<[{ x: number; y: number; is: string }[], RegExp]>([
    [[{ x: 0.5, y: 1.2, is: 'sky' }], /y must not be greater than 1/],
    [[{ x: 0.5, y: 0.2, is: 'lava' }], /is must be one of/],
    [Array.from({ length: 25 }, () => ({ x: 0.5, y: 0.5, is: 'sky' })), /no more than 24/],
  ])('case %# is refused', async (areas, message) => {
    const r = await bringIn(studio, 310);
    const { body } = await correct(r, { areas }).expect(400);
    expect(JSON.stringify(body)).toMatch(message);
  });
});

describe('a layout that is a map', () => {
  test('the flat colours of a plan are found, with what they most likely stand for', async () => {
    const { flat, planColours, layout } = await gives((await bringPlan()).id);
    expect(layout).toEqual({ read: 'picture' });
    expect(flat).toBeGreaterThan(0.9);
    expect(planColours.map((c) => c.is).sort()).toEqual(['ground', 'sky', 'water']);
    expect(planColours[0].part).toBeGreaterThan(0.3);
  });

  test('named areas and a map of near and far are kept, and taken back', async () => {
    const r = await bringIn(studio, 304);
    const areas = [
      { colour: '#9cc4e4', is: 'sky' },
      { colour: '#2f5fa8', is: 'water' },
    ];
    await correct(r, { layout: { read: 'areas', areas } }).expect(200);
    expect((await gives(r.id)).layout).toEqual({ read: 'areas', areas });
    await correct(await get(r.id), { layout: { read: 'distance', near: 'dark' } }).expect(200);
    expect((await gives(r.id)).layout).toEqual({ read: 'distance', near: 'dark' });
    await correct(await get(r.id), { layout: { read: 'picture' } }).expect(200);
    expect((await gives(r.id)).layout).toEqual({ read: 'picture' });
  });

  test.each([
    [{ read: 'areas' }, /areas must/],
    [{ read: 'areas', areas: [] }, /at least 1/],
    [{ read: 'areas', areas: [{ colour: 'blue', is: 'water' }] }, /colour must match/],
    [{ read: 'areas', areas: [{ colour: '#0000ff', is: 'lava' }] }, /is must be one of/],
    [{ read: 'distance' }, /near must be one of/],
    [{ read: 'deep' }, /read must be one of/],
  ])('%j is refused', async (layout, message) => {
    const r = await bringIn(studio, 305);
    const { body } = await correct(r, { layout }).expect(400);
    expect(JSON.stringify(body)).toMatch(message);
  });
});
