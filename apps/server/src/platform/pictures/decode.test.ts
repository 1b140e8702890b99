import { mkdtemp, rm, writeFile } from 'fs/promises';
import os from 'os';
import path from 'path';
import sharp from 'sharp';
import { testPixels } from '../../test/studio';
import { decode, encode, isFailure, measurable, PICTURE_SIDE, small, thumbnailOf, type Decoded } from './decode';
import { encodePng } from './encodePng';

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-decode-'));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

let count = 0;
const keep = async (bytes: Buffer) => {
  const file = path.join(folder, `${count++}`);
  await writeFile(file, bytes);
  return file;
};
const picture = (width = 60, height = 40) => {
  const { data, raw } = testPixels(width, height);
  return sharp(data, { raw });
};
const read = async (bytes: Buffer): Promise<Decoded> => {
  const decoded = await decode(await keep(bytes));
  if (isFailure(decoded)) throw new Error(decoded.message);
  return decoded;
};
const refused = async (bytes: Buffer) => {
  const decoded = await decode(await keep(bytes));
  if (!isFailure(decoded)) throw new Error('it was read');
  return decoded;
};

describe('what is read', () => {
  test.each(['png', 'jpeg', 'webp', 'tiff', 'gif', 'avif'] as const)('%s', async (format) => {
    const decoded = await read(await picture().toFormat(format).toBuffer());
    expect(decoded).toMatchObject({ format, width: 60, height: 40, repaired: false });
    expect([decoded.small.width, decoded.small.height, decoded.small.data.length]).toEqual([60, 40, 60 * 40 * 4]);
  });

  test('a file that a browser shows as it is stands for itself', async () => {
    expect((await read(await picture().png().toBuffer())).picture).toBeUndefined();
    expect((await read(await picture().tiff().toBuffer())).picture).toBeDefined();
  });

  test('a picture that lies on its side is turned upright', async () => {
    const decoded = await read(await picture().jpeg().withMetadata({ orientation: 6 }).toBuffer());
    expect([decoded.width, decoded.height]).toEqual([40, 60]);
    expect(await sharp(decoded.picture).metadata()).toMatchObject({ width: 40, height: 60 });
    expect([decoded.small.width, decoded.small.height]).toEqual([40, 60]);
  });

  test('sixteen bits become eight, grey and four inks become sRGB', async () => {
    const deep = await picture().toColourspace('rgb16').png({}).toBuffer();
    expect((await sharp(deep).metadata()).depth).toBe('ushort');
    expect(await sharp((await read(deep)).picture).metadata()).toMatchObject({ depth: 'uchar', space: 'srgb' });
    const inks = await picture().toColourspace('cmyk').jpeg().toBuffer();
    expect((await sharp((await read(inks)).picture).metadata()).space).toBe('srgb');
    const grey = await picture().greyscale().toColourspace('b-w').png().toBuffer();
    expect((await sharp((await read(grey)).picture).metadata()).space).toBe('srgb');
  });

  test('what is larger than is kept is made smaller, with its shape', async () => {
    const { picture: kept, width } = await read(await picture(3000, 1000).png().toBuffer());
    expect(width).toBe(3000);
    expect(await sharp(kept).metadata()).toMatchObject({ width: PICTURE_SIDE, height: Math.round(PICTURE_SIDE / 3) });
  });

  test('what lets through keeps doing so in the picture', async () => {
    const clear = await sharp({
      create: { width: 2500, height: 20, channels: 4, background: { r: 9, g: 9, b: 9, alpha: 0.5 } },
    })
      .png()
      .toBuffer();
    expect((await sharp((await read(clear)).picture).metadata()).hasAlpha).toBe(true);
  });

  test('of one that moves the first picture is taken', async () => {
    const frames = await Promise.all(
      [0, 1].map((k) =>
        picture(40, 30)
          .linear(1, 40 * k)
          .png()
          .toBuffer(),
      ),
    );
    const gif = await sharp(frames, { join: { animated: true } })
      .gif()
      .toBuffer();
    expect((await sharp(gif).metadata()).pages).toBe(2);
    expect(await read(gif)).toMatchObject({ width: 40, height: 30 });
  });

  test('of a damaged one as much as can be read, written anew, and it is told', async () => {
    const whole = await picture(400, 300).jpeg({ quality: 95 }).toBuffer();
    // a marker that does not belong there
    whole.set([0xff, 0xc4, 0x00, 0x00], Math.round(0.5 * whole.length));
    const decoded = await read(whole);
    expect(decoded).toMatchObject({ repaired: true, width: 400, height: 300 });
    expect(await sharp(decoded.picture, { failOn: 'warning' }).stats()).toBeDefined();
  });
});

describe('what is refused', () => {
  test('no picture, with what can be read', async () => {
    const { failure, message } = await refused(Buffer.from('not a picture at all'));
    expect(failure).toBe('unreadable');
    expect(message).toMatch(/PNG, JPEG, WebP, AVIF, TIFF and GIF can/);
  });
  test('drawings in text', async () => {
    const svg = Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect width="9" height="9"/></svg>',
    );
    expect((await refused(svg)).message).toMatch(/A file of kind svg cannot be read/);
  });
  test('a claim of too many pixels, before anything is decoded', async () => {
    const png = await picture().png().toBuffer();
    png.writeUInt32BE(200_000, 16);
    png.writeUInt32BE(200_000, 20);
    expect(await refused(png)).toMatchObject({
      failure: 'too-large',
      message: expect.stringMatching(/200000 x 200000 pixels are too many/) as string,
    });
  });
  test('one that is cut off', async () => {
    const cut = await picture(400, 300).jpeg({ quality: 95 }).toBuffer();
    const { message } = await refused(cut.subarray(0, Math.round(0.7 * cut.length)));
    expect(message).toMatch(/damaged or cut off. Export it again/);
  });
  test('one of which nothing is left', async () => {
    const whole = await picture(200, 200).png().toBuffer();
    expect((await refused(whole.subarray(0, 60))).failure).toBe('unreadable');
  });
});

test('pixels come back from a PNG as they went in', async () => {
  const { data, raw } = testPixels(20, 10);
  const rgba = new Uint8ClampedArray(20 * 10 * 4).fill(255);
  for (let i = 0; i < 200; i++) rgba.set(data.subarray(3 * i, 3 * i + 3), 4 * i);
  for (const png of [await encode(data, raw), await encodePng({ rgba, width: 20, height: 10 })]) {
    const back = await sharp(png).raw().toBuffer();
    expect(back.equals(data)).toBe(true);
  }
});

test('small versions keep the shape, and are never larger than the picture', async () => {
  expect(await small(picture(1000, 500), 100)).toMatchObject({ width: 100, height: 50 });
  expect(await small(picture(30, 20), 100)).toMatchObject({ width: 30, height: 20 });
  expect(await sharp(await thumbnailOf(picture(1000, 500))).metadata()).toMatchObject({
    format: 'webp',
    width: 512,
    height: 256,
  });
});

test('what lets through is measured and shown over white', async () => {
  const clear = sharp({ create: { width: 8, height: 8, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } } });
  const { planes } = await measurable(clear.clone());
  expect(Math.min(...planes[0])).toBeGreaterThan(0.99);
  const { data } = await sharp(await thumbnailOf(clear))
    .raw()
    .toBuffer({ resolveWithObject: true });
  expect(Math.min(...data)).toBeGreaterThan(250);
});
