import sharp from 'sharp';
import type { MixDto } from '../mixes/mix.dto';
import type { ReferenceDto } from '../library/reference.dto';
import { openStudio, type TestStudio } from '../test/studio';
import type { TakeDto } from './take.dto';

let studio: TestStudio;
beforeAll(async () => (studio = await openStudio()));
afterAll(() => studio.close());

/** A mix that takes over everything of a picture with a large red sun, of which the words say nothing. */
async function sunMix(): Promise<MixDto> {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="240" height="160"><rect width="240" height="160" fill="#a9c4d6"/>
    <circle cx="165" cy="42" r="26" fill="#d2553a"/><rect y="95" width="240" height="65" fill="#5d7f4a"/></svg>`;
  const { body } = await studio.ask
    .post('/api/v1/references')
    .attach('file', await sharp(Buffer.from(svg)).png().toBuffer(), 'sun.png')
    .expect(201);
  const { id } = (body as { reference: ReferenceDto }).reference;
  const influence = {
    id: 'a',
    referenceId: id,
    gives: 'everything',
    weight: 1,
    from: 0,
    to: 1,
    reading: 'normal',
    on: true,
  };
  const mix = { prompt: 'the meadow at noon', influences: [influence] };
  return (await studio.ask.post('/api/v1/mixes').send(mix).expect(201)).body as MixDto;
}

const render = async (mixId: string, quality: string) => {
  const { id } = (await studio.ask.post('/api/v1/takes').send({ mixId, quality }).expect(201)).body as TakeDto;
  await studio.jobs.idle();
  return (await studio.ask.get(`/api/v1/takes/${id}`).expect(200)).body as TakeDto;
};

test('a sun that only the reference has is told of a proof, with its place; drafts are not searched', async () => {
  const mix = await sunMix();
  const proof = await render(mix.id, 'proof');
  expect(proof.status).toBe('done');
  const piece = proof.unasked.find((u) => u.kind === 'piece')!;
  expect(piece).toBeDefined();
  const [left, top, right, bottom] = piece.box;
  expect([left > 0.5, right < 0.9, top < 0.3, bottom < 0.6]).toEqual([true, true, true, true]);
  expect((await render(mix.id, 'draft')).unasked).toEqual([]);
}, 60_000);

test('what the words alone show is never unasked', async () => {
  const mix = await sunMix();
  await studio.ask
    .patch(`/api/v1/mixes/${mix.id}`)
    .send({ version: mix.version, influences: [{ ...mix.influences[0], on: false }] })
    .expect(200);
  expect((await render(mix.id, 'proof')).unasked).toEqual([]);
}, 60_000);
