import { understand } from '@urbild/core';
import { allReferences, bringIn, openStudio, type TestStudio } from '../test/studio';
import type { ReferenceDto } from '../library/reference.dto';
import { adviceFor as castAdvice } from '../cast/advice';
import type { CharacterDto, CharacterReadingDto, TraitTalliesDto } from '../cast/character.dto';
import { adviceFor } from './advice';
import type { LookDto, LookReadingDto } from './look.dto';
import type { TakeDto } from '../takes/take.dto';

let studio: TestStudio;
let pictures: ReferenceDto[];
beforeAll(async () => {
  studio = await openStudio();
  pictures = [];
  for (let k = 1; k < 5; k++) pictures.push(await bringIn(studio, 300 + k, { kind: 'style' }));
});
afterAll(() => studio.close());

const post = async <T>(address: string, body: object, status = 201) =>
  (await studio.ask.post(`/api/v1${address}`).send(body).expect(status)).body as T;
const get = async <T>(address: string) => (await studio.ask.get(`/api/v1${address}`).expect(200)).body as T;
const items = (n = 4) => pictures.slice(0, n).map((p, k) => ({ referenceId: p.id, weight: 1 - 0.2 * k }));

test('a look is made, changed by its version, duplicated, put away and brought back', async () => {
  const look = await post<LookDto>('/looks', { name: 'Chalk', items: items() });
  expect(look.items).toHaveLength(4);
  await studio.ask
    .patch(`/api/v1/looks/${look.id}`)
    .send({ version: look.version, name: 'Dust', isDefault: true })
    .expect(200);
  await studio.ask.patch(`/api/v1/looks/${look.id}`).send({ version: look.version, name: 'Stale' }).expect(409);
  const copy = await post<LookDto>(`/looks/${look.id}/duplicate`, {});
  expect(copy).toMatchObject({ name: 'Dust, copy', isDefault: false });
  await studio.ask.patch(`/api/v1/looks/${copy.id}`).send({ version: copy.version, isDefault: true }).expect(200);
  expect((await get<LookDto[]>('/looks')).filter((l) => l.isDefault).map((l) => l.id)).toEqual([copy.id]);
  const begun = await post<{ influences: unknown[] }>('/mixes', { name: 'Begins with the default' });
  expect(begun.influences).toMatchObject([{ of: 'look', referenceId: copy.id, gives: 'look' }]);
  expect((await post<{ influences: unknown[] }>('/mixes', { influences: [] })).influences).toEqual([]);
  await studio.ask.delete(`/api/v1/looks/${copy.id}`).expect(204);
  expect((await post<{ influences: unknown[] }>('/mixes', {})).influences).toEqual([]);
  await studio.ask.get(`/api/v1/looks/${copy.id}`).expect(404);
  await studio.ask.post(`/api/v1/looks/${copy.id}/restore`).expect(200);
  await studio.ask
    .post('/api/v1/looks')
    .send({ name: 'x', items: [{ referenceId: 'nowhere', weight: 1 }] })
    .expect(400);
  await studio.ask
    .post('/api/v1/looks')
    .send({ name: 'x', items: [{ referenceId: pictures[0].id, weight: 2.1 }] })
    .expect(400);
});

test('a look is read: coherence, palette, map; and found again by its pictures', async () => {
  const look = await post<LookDto>('/looks', { name: 'Read', items: items(3) });
  const reading = await get<LookReadingDto>(`/looks/${look.id}/reading`);
  expect(reading.map.map((p) => p.referenceId)).toEqual(look.items.map((i) => i.referenceId));
  expect(reading.coherence).toBeGreaterThan(0);
  expect(reading.swatches.length).toBeGreaterThan(1);
  expect(reading.advice.join()).toContain('3 pictures');
  expect((await allReferences(studio, `?look=${look.id}`)).map((r) => r.id).sort()).toEqual(
    look.items.map((i) => i.referenceId).sort(),
  );
});

test('a mix takes a look as one reference: all its pictures with their weights reach the engine', async () => {
  const look = await post<LookDto>('/looks', { name: 'Weighed', items: items(3) });
  const sample = await post<TakeDto>(`/looks/${look.id}/sample`, {});
  await studio.jobs.idle();
  const take = await get<TakeDto>(`/takes/${sample.id}`);
  expect(take).toMatchObject({ status: 'done', influences: [{ of: 'look', referenceId: look.id }] });
  expect(take.arrivals[0].overall).toBeDefined();
  expect((await get<TakeDto[]>(`/takes/made-with/${look.id}`)).map((t) => t.id)).toEqual([take.id]);
  expect((await get<LookDto>(`/looks/${look.id}`)).sampleTakeId).toBe(take.id);
  await studio.ask
    .post('/api/v1/mixes')
    .send({
      influences: [
        {
          id: 'a',
          of: 'look',
          referenceId: 'nowhere',
          gives: 'look',
          weight: 1,
          from: 0,
          to: 1,
          reading: 'normal',
          on: true,
        },
      ],
    })
    .expect(400);
  const empty = await post<LookDto>('/looks', { name: 'Empty' });
  await studio.ask.post(`/api/v1/looks/${empty.id}/sample`).expect(400);
});

test('a kept take becomes a mix of its own, and a reference', async () => {
  const [take] = await get<TakeDto[]>(
    `/takes/made-with/${(await get<LookDto[]>('/looks')).find((l) => l.name === 'Weighed')!.id}`,
  );
  await studio.ask.patch(`/api/v1/takes/${take.id}`).send({ version: take.version, keeper: true }).expect(200);
  expect((await get<TakeDto[]>('/takes/keepers')).map((t) => t.id)).toEqual([take.id]);
  const mix = await post<{ prompt: string; influences: unknown[]; settings: { seed: number; aspect: string } }>(
    `/takes/${take.id}/mix`,
    {},
  );
  expect(mix).toMatchObject({ prompt: take.prompt, settings: { seed: take.seed, aspect: '3:2' } });
  expect(mix.influences).toHaveLength(1);
  await post('/imports/from-take', { takeId: take.id, kind: 'image' });
  await studio.jobs.idle();
  expect((await allReferences(studio)).some((r) => r.title === take.prompt.slice(0, 80))).toBe(true);
});

test('a character: unique by name, corrected traits stay, candidates are painted and one is picked', async () => {
  const c = await post<CharacterDto>('/cast', {
    name: 'Wenna',
    items: [{ referenceId: pictures[0].id, slot: 'front' }],
  });
  await studio.ask.post('/api/v1/cast').send({ name: 'wenna' }).expect(409);
  await studio.ask.post('/api/v1/cast').send({ name: '<b>' }).expect(400);
  const changed = (
    await studio.ask
      .patch(`/api/v1/cast/${c.id}`)
      .send({
        version: c.version,
        usualWeight: 1.1,
        corrected: [
          { name: 'hair', colour: '#b5653a' },
          { name: 'glasses', choice: 'yes' },
        ],
      })
      .expect(200)
  ).body as CharacterDto;
  expect(changed.usualWeight).toBe(1.1);
  const reading = await get<CharacterReadingDto>(`/cast/${c.id}/reading`);
  expect(reading.traits).toContainEqual(
    expect.objectContaining({ name: 'hair', colour: '#b5653a', locked: true, confidence: 1 }),
  );
  expect(reading.traits).toContainEqual(expect.objectContaining({ name: 'glasses', choice: 'yes' }));
  const candidates = await post<{ hash: string }[]>('/cast/candidates', { description: 'a girl with two red plaits' });
  expect(new Set(candidates.map((x) => x.hash)).size).toBe(4);
  const picked = await post<CharacterDto>('/cast/pick', {
    hash: candidates[1].hash,
    name: 'Tamsin',
    description: 'a girl with two red plaits',
  });
  expect(picked).toMatchObject({ name: 'Tamsin', items: [{ slot: 'front' }] });
  await studio.ask
    .post('/api/v1/cast/pick')
    .send({ hash: 'f'.repeat(64), name: 'Nobody', description: 'nobody' })
    .expect(404);
  expect((await allReferences(studio, `?character=${picked.id}`)).map((r) => r.kind)).toEqual(['character']);
});

test('outfits of a character are kept; two of one name, or with pictures of nobody, are refused', async () => {
  const c = await post<CharacterDto>('/cast', { name: 'Swantje', description: 'a tall girl' });
  expect(c.outfits).toEqual([]);
  const coat = { id: 'a', name: ' winter coat', wears: 'a green coat ', pictures: [pictures[0].id, pictures[0].id] };
  const put = (outfits: object[]) => studio.ask.patch(`/api/v1/cast/${c.id}`).send({ version: c.version, outfits });
  await put([{ ...coat, name: '<b>' }]).expect(400);
  const gone = (await put([{ id: 'a', name: 'coat', wears: '', pictures: ['gone'] }]).expect(400)).body as object;
  expect(JSON.stringify(gone)).toMatch(/1 of these pictures are not in the library/);
  const twice = [
    { id: 'a', name: 'Coat', wears: '', pictures: [] },
    { id: 'b', name: 'coat', wears: '', pictures: [] },
  ];
  expect(JSON.stringify((await put(twice).expect(400)).body)).toMatch(/two have the same name/);
  const same = twice.map((o, k) => ({ ...o, id: 'a', name: `coat ${k}` }));
  expect(JSON.stringify((await put(same).expect(400)).body)).toMatch(/two have the same id/);
  const changed = (await put([{ ...coat, name: 'winter coat' }]).expect(200)).body as CharacterDto;
  expect(changed.outfits).toEqual([
    { id: 'a', name: 'winter coat', wears: 'a green coat', pictures: [pictures[0].id] },
  ]);
  expect((await get<CharacterDto>(`/cast/${c.id}`)).outfits).toEqual(changed.outfits);
});

test('the height of a character follows its description until somebody says it', async () => {
  const child = await post<CharacterDto>('/cast', { name: 'Pelle', description: 'a small boy' });
  const grown = await post<CharacterDto>('/cast', { name: 'Enno', description: 'a tall man' });
  const mouse = await post<CharacterDto>('/cast', { name: 'Fips', species: 'mouse' });
  expect(mouse.height).toBeLessThan(child.height);
  expect(child.height).toBeLessThan(0.85);
  expect(grown.height).toBeGreaterThan(1);
  const body = { version: child.version, corrected: [{ name: 'height', number: 1.3 }] };
  const taller = (await studio.ask.patch(`/api/v1/cast/${child.id}`).send(body).expect(200)).body as CharacterDto;
  expect(taller.height).toBe(1.3);
});

test('advice about looks and sheets names what to do', () => {
  expect(adviceFor({ count: 0, coherence: 1, unfit: [] })[0]).toMatch(/Add pictures/);
  expect(adviceFor({ count: 8, coherence: 0.9, unfit: [] })).toEqual(['It holds together.']);
  expect(
    adviceFor({ count: 8, coherence: 0.9, stranger: { title: 'Mill', off: 3.2 }, unfit: ['Fog'] }).join(' '),
  ).toMatch(/“Mill” is 3.2 times.*“Fog” has/);
  expect(adviceFor({ count: 8, coherence: 0.2, unfit: [] })[0]).toMatch(/two looks/);
  const sheet = (face: number, view: 'front' | 'profile') => ({ title: 'a', slot: 'front', face, view });
  expect(castAdvice({ pictures: [], agreement: 1, person: true })[0]).toMatch(/half figure/);
  expect(castAdvice({ pictures: [sheet(0.4, 'front')], agreement: 1, person: true }).join()).toMatch(/Only close-ups/);
  expect(castAdvice({ pictures: [sheet(0.01, 'front')], agreement: 1, person: true }).join()).toMatch(
    /faces are small/,
  );
  expect(castAdvice({ pictures: [sheet(0.1, 'profile')], agreement: 1, person: true }).join()).toMatch(
    /from the front/,
  );
  expect(
    castAdvice({ pictures: [sheet(0.1, 'front'), sheet(0.1, 'front')], agreement: 0.2, odd: 'b', person: true })[0],
  ).toMatch(/“b”/);
});

test('prompts that a reference is put into are understood by our own reader', async () => {
  const prompts = pictures.flatMap((p) => p.prompts);
  for (const p of prompts) expect([p, understand(p).unheard]).toEqual([p, []]);
});

test('over its takes a character keeps what it gives, and the words keep what they say', async () => {
  const c = await post<CharacterDto>('/cast', {
    name: 'Orla',
    items: [{ referenceId: pictures[1].id, slot: 'front' }],
    corrected: [
      { name: 'hair', colour: '#2a2320' },
      { name: 'upper', colour: '#3f6fb0' },
    ],
  });
  expect(await get<TraitTalliesDto>(`/cast/${c.id}/tally`)).toEqual({ takes: 0, traits: [] });
  const own = { of: 'character', referenceId: c.id, gives: 'character', weight: 1, from: 0, to: 1 };
  const mix = await post<{ id: string }>('/mixes', {
    prompt: 'half figure of Orla in a yellow coat, front, meadow at noon',
    influences: [{ id: 'a', ...own, reading: 'normal', on: true, subject: 'Orla' }],
  });
  for (const seed of [3, 4, 5]) await post('/takes', { mixId: mix.id, quality: 'proof', seed });
  await studio.jobs.idle();
  const { takes, traits } = await get<TraitTalliesDto>(`/cast/${c.id}/tally`);
  expect(takes).toBe(3);
  const of = (trait: string) => traits.find((t) => t.trait === trait);
  // the light of a take may change a dark colour for the eye
  expect(of('hair')).toMatchObject({ seen: 3, by: 'reference' });
  expect(of('hair')!.kept).toBeGreaterThanOrEqual(2);
  expect(of('upper')).toMatchObject({ by: 'words' });
  await studio.ask.get('/api/v1/cast/nobody/tally').expect(404);
});
