import sharp from 'sharp';
import { openStudio, testPng, type TestStudio } from '../test/studio';
import type { MaskDto } from './masks.controller';

let studio: TestStudio;
beforeAll(async () => {
  studio = await openStudio();
});
afterAll(() => studio.close());

const send = (bytes: Buffer) => studio.ask.post('/api/v1/masks').attach('file', bytes, 'mask.png');
const sent = async (bytes: Buffer) => (await send(bytes).expect(201)).body as MaskDto;
const blob = async ({ url }: MaskDto) => (await studio.ask.get(url).buffer().expect(200)).body as Buffer;
/** White on the left `part` of it, black or clear elsewhere. */
const half = (part: number, clear = false, width = 40, height = 20) => {
  const data = Buffer.alloc(width * height * 4);
  for (let i = 0; i < width * height; i++) {
    const white = i % width < part * width;
    data.set(
      white ? [255, 255, 255, 255] : [clear ? 255 : 0, clear ? 255 : 0, clear ? 255 : 0, clear ? 0 : 255],
      4 * i,
    );
  }
  return sharp(data, { raw: { width, height, channels: 4 } })
    .png()
    .toBuffer();
};

test('a mask says how much of the picture it lets through', async () => {
  expect((await sent(await half(0.25))).covers).toBe(0.25);
  expect((await sent(await half(0))).covers).toBe(0);
  expect((await sent(await half(1))).covers).toBe(1);
});

test('what is clear counts as black', async () => {
  const mask = await sent(await half(0.5, true));
  expect(mask.covers).toBe(0.5);
  expect((await sharp(await blob(mask)).metadata()).hasAlpha).toBe(false);
});

test('the same mask twice is kept once, as grey', async () => {
  const [a, b] = [await sent(await half(0.5)), await sent(await half(0.5))];
  expect(a.content).toBe(b.content);
  expect(a.url).toContain(a.content);
  expect(await sharp(await blob(a)).metadata()).toMatchObject({ format: 'png', channels: 1, width: 40, height: 20 });
});

test('a large one is kept at 1024 px', async () => {
  const mask = await sent(await half(0.5, false, 2048, 1024));
  expect(await sharp(await blob(mask)).metadata()).toMatchObject({ width: 1024, height: 512 });
  expect(mask.covers).toBeCloseTo(0.5, 2);
});

test('what is no picture, and nothing at all, is refused with a reason', async () => {
  expect((await send(Buffer.from('no')).expect(422)).body).toMatchObject({
    detail: expect.stringMatching(/not a picture/) as string,
  });
  const { body } = await studio.ask.post('/api/v1/masks').expect(400);
  expect(JSON.stringify(body)).toContain('a picture file is expected');
});

test('coloured pictures are masks by their lightness', async () => {
  const { covers } = await sent(await testPng(60, 40));
  expect(covers).toBeGreaterThan(0.2);
  expect(covers).toBeLessThan(0.8);
});
