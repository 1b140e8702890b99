import type { ReferenceDto } from '../reference.dto';
import { bringIn, newMix, openStudio, testPng, type TestStudio } from '../../test/studio';
import type { ReferenceVersionDto } from './preparation.dto';

let studio: TestStudio;
beforeAll(async () => (studio = await openStudio()));
afterAll(() => studio.close());

const at = (id: string, what = '') => `/api/v1/references/${id}${what}`;
const get = async (id: string) => (await studio.ask.get(at(id)).expect(200)).body as ReferenceDto;
const replace = (r: Pick<ReferenceDto, 'id' | 'version'>, file: Buffer, name = 'new.png') =>
  studio.ask.put(at(r.id, `/file?version=${r.version}`)).attach('file', file, name);
/** The file of {@link bringIn} for a seed. */
const pngOf = (seed: number) => testPng(120, 80, seed);
const detail = ({ body }: { body: unknown }) => (body as { detail: string }).detail;

test('a new file takes the place of the old one, which can be gone back to; a focus set by hand is kept', async () => {
  const first = await bringIn(studio, 701);
  const focus = { left: 0.1, top: 0.1, right: 0.9, bottom: 0.9 };
  await studio.ask
    .put(at(first.id, '/preparation'))
    .send({ version: first.version, preparation: { sharpen: 0, cutOut: false, flatten: true, focus } })
    .expect(200);
  const before = await get(first.id);
  const after = (await replace(before, await pngOf(702)).expect(200)).body as ReferenceDto;
  expect(after.sourceUrl).not.toBe(before.sourceUrl);
  expect(after.pictureUrl).not.toBe(before.pictureUrl);
  expect(after.preparation.focus).toEqual(focus);
  expect({ title: after.title, tags: after.tags, kind: after.kind }).toEqual({
    title: before.title,
    tags: before.tags,
    kind: before.kind,
  });
  await studio.jobs.idle();
  expect((await get(first.id)).visionState).not.toBe('waiting');
  const versions = (await studio.ask.get(at(first.id, '/versions')).expect(200)).body as ReferenceVersionDto[];
  expect(versions.map(({ why }) => why)).toEqual(['redrawn', 'prepared', 'brought in']);
  const { version } = await get(first.id);
  const back = await studio.ask.post(at(first.id, `/versions/${versions[1].number}?version=${version}`)).expect(200);
  expect((back.body as ReferenceDto).sourceUrl).toBe(before.sourceUrl);
});

test('mixes that use it go by the new file', async () => {
  const r = await bringIn(studio, 711);
  const mix = await newMix(studio, r);
  await replace(r, await pngOf(712)).expect(200);
  const { body } = await studio.ask.get(`/api/v1/takes/in-force/${mix.id}?quality=draft`).expect(200);
  expect(
    (body as { influences: { pictures: { fileVersion: number }[] }[] }).influences[0].pictures[0].fileVersion,
  ).toBe(2);
});

test('its own file changes nothing; that of another reference is refused by its title', async () => {
  const [r, other] = [await bringIn(studio, 721), await bringIn(studio, 722)];
  const same = (await replace(r, await pngOf(721)).expect(200)).body as ReferenceDto;
  expect(same.version).toBe(r.version);
  expect(detail(await replace(r, await pngOf(722)).expect(409))).toContain(other.title);
});

test('what is no picture, an old version and nothing at all are answered with a sentence, and nothing changes', async () => {
  const r = await bringIn(studio, 731);
  expect(detail(await replace(r, Buffer.from('no picture'), 'a.png').expect(422))).toMatch(/picture|read/i);
  await replace({ id: r.id, version: r.version - 1 }, await pngOf(732)).expect(409);
  expect(detail(await studio.ask.put(at(r.id, `/file?version=${r.version}`)).expect(400))).toMatch(/picture file/);
  await replace({ id: 'nobody', version: 1 }, await pngOf(733)).expect(404);
  expect((await get(r.id)).sourceUrl).toBe(r.sourceUrl);
});
