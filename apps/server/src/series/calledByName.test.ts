import type { CharacterDto } from '../cast/character.dto';
import type { ReferenceDto } from '../library/reference.dto';
import type { MixDto } from '../mixes/mix.dto';
import type { TakeDto } from '../takes/take.dto';
import { bringIn, newMix, openStudio, type TestStudio } from '../test/studio';
import type { SeriesDto } from './series.dto';

let studio: TestStudio;
let reference: ReferenceDto;
let wiebke: CharacterDto;
beforeAll(async () => {
  studio = await openStudio();
  reference = await bringIn(studio);
  const fields = {
    name: 'Wiebke',
    usualWeight: 0.6,
    items: [{ referenceId: reference.id, slot: 'front' }],
    // what the test's picture says of nobody
    corrected: [{ name: 'hair style', choice: 'two plaits', confidence: 1 }],
  };
  wiebke = (await studio.ask.post('/api/v1/cast').send(fields).expect(201)).body as CharacterDto;
});
afterAll(() => studio.close());

const post = async <T>(path: string, body: object): Promise<T> =>
  (await studio.ask.post(`/api/v1/${path}`).send(body).expect(201)).body as T;
const called = { of: 'character', gives: 'character', weight: 0.6 };

test('a take of words that name somebody has that character in it; the mix itself does not', async () => {
  const mix = await newMix(studio, reference);
  const who = { ...called, id: `called-${wiebke.id}`, referenceId: wiebke.id };
  const take = await post<TakeDto>('takes', { mixId: mix.id, quality: 'draft', prompt: 'Wiebke on the pier' });
  expect(take.influences).toMatchObject([{ id: 'a' }, who]);
  const without = await post<TakeDto>('takes', {
    ...{ mixId: mix.id, quality: 'draft', prompt: 'Wiebke on the pier', without: who.id },
  });
  expect(without.influences).toMatchObject([{ id: 'a' }]);
  const kept = (await studio.ask.get(`/api/v1/mixes/${mix.id}`).expect(200)).body as MixDto;
  expect(kept.influences.map((i) => i.id)).toEqual(['a']);
  await studio.ask.patch(`/api/v1/mixes/${mix.id}`).send({ version: mix.version, prompt: 'Wiebke, half figure' });
  const force = (await studio.ask.get(`/api/v1/takes/in-force/${mix.id}?quality=draft`).expect(200)).body as {
    influences: { id: string; acts: boolean }[];
  };
  expect(force.influences.map((i) => [i.id, i.acts])).toContainEqual([who.id, true]);
});

test('shots have whom their own words call, at a weight of their own where they say one', async () => {
  const mix = await newMix(studio, reference);
  const series = await post<SeriesDto>('series', {
    name: 'Plates',
    mixId: mix.id,
    shots: [
      { title: 'one', prompt: 'Wiebke on the pier' },
      { title: 'two', prompt: 'the pier' },
    ],
  });
  const id = `called-${wiebke.id}`;
  const get = async () => (await studio.ask.get(`/api/v1/series/${series.id}`).expect(200)).body as SeriesDto;
  const before = await get();
  expect(before.influences.map((i) => i.id)).toEqual(['a', id]);
  expect(before.shots.map((s) => s.acting)).toEqual([['a', id], ['a']]);
  const [shot] = before.shots;
  const own = { influences: [{ id, weight: 0.25 }], added: [] };
  await studio.ask.patch(`/api/v1/shots/${shot.id}`).send({ version: shot.version, own }).expect(200);
  expect((await get()).shots[0].differs).toMatchObject([{ key: `weight:${id}` }]);
  await studio.ask.post(`/api/v1/series/${series.id}/render`).send({ quality: 'draft' }).expect(202);
  await studio.jobs.idle();
  const after = await get();
  expect(after.shots.map((s) => s.stale)).toEqual([[], []]);
  const take = (await studio.ask.get(`/api/v1/takes/${after.shots[0].takes[0].id}`).expect(200)).body as TakeDto;
  expect(take.influences).toMatchObject([{ id: 'a' }, { id, weight: 0.25 }]);
});

test('a table of values steps through who is called by name, also without them', async () => {
  const mix = await newMix(studio, reference);
  await studio.ask.patch(`/api/v1/mixes/${mix.id}`).send({ version: mix.version, prompt: 'Wiebke on the pier' });
  const id = `called-${wiebke.id}`;
  const axes = [{ setting: 'without', values: ['', id] }];
  const { cells } = await post<{ cells: TakeDto[] }>('strips', { mixId: mix.id, axes });
  expect(cells.map((t) => t.influences.map((i) => i.id))).toEqual([['a', id], ['a']]);
});
