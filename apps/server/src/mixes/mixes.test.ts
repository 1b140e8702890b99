import type { ReferenceDto } from '../library/reference.dto';
import { bringIn, newMix, openStudio, type TestStudio } from '../test/studio';
import type { MixDto } from './mix.dto';

let studio: TestStudio;
let reference: ReferenceDto;
beforeAll(async () => {
  studio = await openStudio();
  reference = await bringIn(studio);
});
afterAll(() => studio.close());

const influence = (fields: object = {}) => ({
  id: 'a',
  referenceId: reference.id,
  gives: 'look',
  weight: 0.8,
  from: 0.1,
  to: 0.9,
  reading: 'normal',
  on: true,
  ...fields,
});

test('a mix is made, changed, listed and put away', async () => {
  const mix = await newMix(studio, reference, 0.5);
  const { body } = await studio.ask
    .patch(`/api/v1/mixes/${mix.id}`)
    .send({
      version: mix.version,
      name: 'Renamed',
      influences: [influence()],
      settings: { aspect: '2:3', seed: 9, balance: 1.2 },
    })
    .expect(200);
  expect(body).toMatchObject({
    name: 'Renamed',
    prompt: mix.prompt,
    influences: [influence()],
    settings: { aspect: '2:3', seed: 9 },
    version: mix.version + 1,
  });
  expect(((await studio.ask.get('/api/v1/mixes')).body as MixDto[]).map((m) => m.id)).toContain(mix.id);
  expect((await studio.ask.get(`/api/v1/references/${reference.id}`)).body).toMatchObject({ usedIn: 1 });
  await studio.ask.delete(`/api/v1/mixes/${mix.id}`).expect(204);
  await studio.ask.get(`/api/v1/mixes/${mix.id}`).expect(404);
});

test('a mix is archived and brought back; it stays as it is', async () => {
  const mix = await newMix(studio, reference);
  expect(mix.archived).toBe(false);
  const at = `/api/v1/mixes/${mix.id}`;
  const { body } = await studio.ask.patch(at).send({ version: mix.version, archived: true }).expect(200);
  const archived = body as MixDto;
  expect(archived).toMatchObject({ archived: true, prompt: mix.prompt, influences: mix.influences });
  expect(((await studio.ask.get('/api/v1/mixes')).body as MixDto[]).find(({ id }) => id === mix.id)?.archived).toBe(
    true,
  );
  const again = await studio.ask.patch(at).send({ version: archived.version, archived: false }).expect(200);
  expect((again.body as MixDto).archived).toBe(false);
  await studio.ask
    .patch(at)
    .send({ version: archived.version + 1, archived: 'yes' })
    .expect(400);
});

test('a write that was overtaken is refused with the present state', async () => {
  const mix = await newMix(studio, reference);
  await studio.ask.patch(`/api/v1/mixes/${mix.id}`).send({ version: mix.version, prompt: 'theirs' }).expect(200);
  const { body } = await studio.ask
    .patch(`/api/v1/mixes/${mix.id}`)
    .send({ version: mix.version, prompt: 'mine' })
    .expect(409);
  expect(body).toMatchObject({ status: 409, current: { prompt: 'theirs', version: mix.version + 1 } });
});

test.each([
  ['weight', { weight: 'abc' }, /weight must/],
  ['weight', { weight: 4.5 }, /weight must not be greater than 4/],
  ['weight', { weight: -1 }, /weight must not be less than 0/],
  ['gives', { gives: 'soul' }, /gives must be one of/],
  ['reading', { reading: 'backwards' }, /reading must be one of/],
  ['from', { from: 1.2 }, /from must not be greater than 1/],
  ['on', { on: 'yes' }, /on must be a boolean/],
  ['extra', { extra: 1 }, /extra should not exist/],
  ['span', { from: 0.8, to: 0.2 }, /end \(0.2\) lies before its start \(0.8\)/],
  ['reference', { referenceId: 'nowhere' }, /nowhere is not in the studio/],
])('an influence with a wrong %s is refused with the field and the reason', async (_name, fields, reason) => {
  const mix = await newMix(studio, reference);
  const { body } = await studio.ask
    .patch(`/api/v1/mixes/${mix.id}`)
    .send({ version: mix.version, influences: [influence(fields)] })
    .expect(400)
    .expect('content-type', /problem\+json/);
  expect((body as { detail: string }).detail).toMatch(reason);
  expect((body as { errors: { field: string }[] }).errors[0].field).toMatch(/^influences/);
});

test('too many influences, a prompt too long, a body too large and broken JSON are refused', async () => {
  await studio.ask
    .post('/api/v1/mixes')
    .send({ influences: Array.from({ length: 25 }, (_, i) => influence({ id: String(i) })) })
    .expect(400);
  await studio.ask
    .post('/api/v1/mixes')
    .send({ prompt: 'x'.repeat(2001) })
    .expect(400);
  await studio.ask
    .post('/api/v1/mixes')
    .send({ prompt: 'x'.repeat(600_000) })
    .expect(413);
  await studio.ask
    .post('/api/v1/mixes')
    .set('content-type', 'application/json')
    .send('{"prompt": ')
    .expect(400)
    .expect('content-type', /problem\+json/);
});

test('an unknown address and a foreign caller get problem documents', async () => {
  await studio.ask
    .get('/api/v1/nothing')
    .expect(404)
    .expect('content-type', /problem\+json/);
  await studio.ask
    .get('/api/v1/mixes')
    .set('host', 'studio.example')
    .expect(403)
    .expect('content-type', /problem\+json/);
  await studio.ask.post('/api/v1/mixes').set('origin', 'http://elsewhere.example').send({}).expect(403);
});
