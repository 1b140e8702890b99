import sharp from 'sharp';
import type { MixDto } from '../mixes/mix.dto';
import type { ReferenceDto } from '../library/reference.dto';
import { openStudio, type TestStudio } from '../test/studio';
import type { TakeDto } from './take.dto';

let studio: TestStudio;
beforeAll(async () => (studio = await openStudio()));
afterAll(() => studio.close());

/** A mix with a picture of which the words say nothing: a large red sun, all of it, or the colours of white paper. */
async function mixWith(what: 'sun' | 'paper'): Promise<MixDto> {
  const drawn =
    what === 'sun'
      ? '<rect width="240" height="160" fill="#a9c4d6"/><circle cx="165" cy="42" r="26" fill="#d2553a"/><rect y="95" width="240" height="65" fill="#5d7f4a"/>'
      : '<rect width="240" height="160" fill="#f6f6f6"/><rect y="120" width="240" height="40" fill="#e9e9e9"/>';
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="240" height="160">${drawn}</svg>`;
  const { body } = await studio.ask
    .post('/api/v1/references')
    .attach('file', await sharp(Buffer.from(svg)).png().toBuffer(), `${what}.png`)
    .expect(201);
  const { id } = (body as { reference: ReferenceDto }).reference;
  const gives = what === 'sun' ? 'everything' : 'palette';
  const influence = { id: 'a', referenceId: id, gives, weight: 1, from: 0, to: 1, reading: 'normal', on: true };
  const mix = { prompt: 'the meadow at noon', influences: [influence] };
  return (await studio.ask.post('/api/v1/mixes').send(mix).expect(201)).body as MixDto;
}

const render = async (mixId: string, quality: string) => {
  const { id } = (await studio.ask.post('/api/v1/takes').send({ mixId, quality }).expect(201)).body as TakeDto;
  await studio.jobs.idle();
  return (await studio.ask.get(`/api/v1/takes/${id}`).expect(200)).body as TakeDto;
};

test('a sky that the colours of paper leave white is told of a proof, with its place; drafts are not searched', async () => {
  const mix = await mixWith('paper');
  const proof = await render(mix.id, 'proof');
  expect(proof.status).toBe('done');
  const sky = proof.unasked.find((u) => u.kind === 'white-sky')!;
  expect(sky).toBeDefined();
  const [left, top, right, bottom] = sky.box;
  expect([left < 0.1, right > 0.9, top < 0.1, bottom < 0.8]).toEqual([true, true, true, true]);
  expect((await render(mix.id, 'draft')).unasked).toEqual([]);
}, 60_000);

test('the sun of a picture that gives everything is asked for: it is redrawn with the rest', async () => {
  const { status, unasked } = await render((await mixWith('sun')).id, 'proof');
  expect(status).toBe('done');
  expect(unasked.filter((u) => u.kind === 'piece')).toEqual([]);
}, 60_000);

test('what the words alone show is never unasked', async () => {
  const mix = await mixWith('paper');
  await studio.ask
    .patch(`/api/v1/mixes/${mix.id}`)
    .send({ version: mix.version, influences: [{ ...mix.influences[0], on: false }] })
    .expect(200);
  expect((await render(mix.id, 'proof')).unasked).toEqual([]);
}, 60_000);
