import sharp from 'sharp';
import type { ReferenceDto } from '../library/reference.dto';
import type { MixDto } from '../mixes/mix.dto';
import { openStudio, type TestStudio } from '../test/studio';
import type { TakeDto } from './take.dto';

let studio: TestStudio;
beforeAll(async () => (studio = await openStudio()));
afterAll(() => studio.close());

const AREAS = [
  { colour: '#9cc4e4', is: 'sky' },
  { colour: '#c9b458', is: 'ground' },
  { colour: '#2f5fa8', is: 'water' },
  { colour: '#111111', is: 'somebody' },
];

test('colours that were named in the inspector reach the painter, and naming them makes a take anew', async () => {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="240" height="160"><rect width="240" height="160" fill="#9cc4e4"/>
    <rect y="66" width="240" height="94" fill="#c9b458"/><rect y="80" width="120" height="80" fill="#2f5fa8"/>
    <rect x="196" y="90" width="14" height="56" fill="#111111"/></svg>`;
  const { body } = await studio.ask
    .post('/api/v1/references')
    .attach('file', await sharp(Buffer.from(svg)).png().toBuffer(), 'plan.png')
    .expect(201);
  const { id, version } = (body as { reference: ReferenceDto }).reference;
  const influence = {
    id: 'a',
    referenceId: id,
    gives: 'layout',
    weight: 1,
    from: 0,
    to: 1,
    reading: 'normal',
    on: true,
  };
  const mix = { prompt: 'Ilse in the meadow at noon', influences: [influence] };
  const { id: mixId } = (await studio.ask.post('/api/v1/mixes').send(mix).expect(201)).body as MixDto;
  const render = async () => {
    const { id: take } = (await studio.ask.post('/api/v1/takes').send({ mixId, quality: 'draft' }).expect(201))
      .body as TakeDto;
    await studio.jobs.idle();
    return (await studio.ask.get(`/api/v1/takes/${take}`).expect(200)).body as TakeDto;
  };
  const asPicture = await render();
  await studio.ask
    .patch(`/api/v1/references/${id}/corrections`)
    .send({ version, layout: { read: 'areas', areas: AREAS } })
    .expect(200);
  const asPlan = await render();
  expect(asPlan.pictureUrl).not.toBe(asPicture.pictureUrl);
  const [left, , right] = asPlan.figures[0].box;
  expect((left + right) / 2).toBeGreaterThan(0.75);
  // water on the left of the meadow, though the words have none: bluer than the ground beside it
  const png = (await studio.ask.get(asPlan.pictureUrl!).expect(200)).body as Buffer;
  const mean = async (from: number) => {
    // statistics are those of the file: the part must be cut out before
    const part = await sharp(png).extract({ left: from, top: 120, width: 60, height: 30 }).png().toBuffer();
    const { channels } = await sharp(part).stats();
    return channels[2].mean - channels[1].mean;
  };
  expect(await mean(30)).toBeGreaterThan((await mean(150)) + 20);
}, 60_000);
