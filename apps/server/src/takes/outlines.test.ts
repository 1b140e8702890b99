import sharp from 'sharp';
import { newMix, openStudio, bringIn, type TestStudio } from '../test/studio';
import type { OutlineDto } from './outlines.controller';
import type { TakeDto } from './take.dto';

let studio: TestStudio;
beforeAll(async () => {
  studio = await openStudio();
});
afterAll(() => studio.close());

test('what a take shows comes as masks of its size, figures by their true outlines', async () => {
  const mix = await newMix(studio, await bringIn(studio));
  const asked = (await studio.ask.post('/api/v1/takes').send({ mixId: mix.id, quality: 'draft' }).expect(201))
    .body as TakeDto;
  await studio.jobs.idle();
  const take = (await studio.ask.get(`/api/v1/takes/${asked.id}`).expect(200)).body as TakeDto;
  const outlines = (await studio.ask.get(`/api/v1/takes/${asked.id}/outlines`).expect(200)).body as OutlineDto[];
  const figures = outlines.filter(({ of }) => of === 'figure');
  expect(figures.map(({ figure }) => figure)).toEqual(take.figures.map((_, k) => k));
  expect(outlines.map(({ of }) => of)).toContain('sky');
  for (const { content, part } of outlines) {
    const { body } = await studio.ask.get(`/api/v1/blobs/${content}`).buffer(true).expect(200);
    const { data, info } = await sharp(body as Buffer)
      .greyscale()
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect([info.width, info.height]).toEqual([take.width, take.height]);
    expect(data.filter((v) => v > 127).length / data.length).toBeCloseTo(part, 3);
  }
  // the same outlines are the same files
  expect((await studio.ask.get(`/api/v1/takes/${asked.id}/outlines`).expect(200)).body).toEqual(outlines);
});

test('of a take that is not there nothing can be outlined', async () => {
  await studio.ask.get('/api/v1/takes/nobody/outlines').expect(404);
});
