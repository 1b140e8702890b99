import { mkdtemp, rm, writeFile } from 'fs/promises';
import os from 'os';
import path from 'path';
import sharp from 'sharp';
import { gives } from './gives';

let dir: string;
beforeAll(async () => {
  dir = await mkdtemp(path.join(os.tmpdir(), 'urbild-gives-'));
});
afterAll(() => rm(dir, { recursive: true, force: true }));

/** A drawing of 320 x 240 px, as a file. */
async function drawn(name: string, inside: string): Promise<string> {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="320" height="240"><rect width="320" height="240" fill="#fff"/>${inside}</svg>`;
  const at = path.join(dir, `${name}.png`);
  await writeFile(at, await sharp(Buffer.from(svg)).png().toBuffer());
  return at;
}
const greyAt = async (png: Uint8Array, x: number, y: number) => {
  const { data, info } = await sharp(png).greyscale().raw().toBuffer({ resolveWithObject: true });
  const [px, py] = [Math.floor((x * info.width) / 320), Math.floor((y * info.height) / 240)];
  return data[py * info.width + px];
};

const HOUSE =
  '<path d="M60 200 V110 L120 60 L180 110 V200 Z M20 200 H300" fill="none" stroke="#111" stroke-width="3"/>';

test('thin dark lines on white are a line drawing, and stay the lines that they are', async () => {
  const { isLineDrawing, isShape, lines } = await gives({ picture: await drawn('lines', HOUSE) });
  expect([isLineDrawing, isShape]).toEqual([true, false]);
  expect(await greyAt(lines, 160, 200)).toBeLessThan(60);
  expect(await greyAt(lines, 250, 60)).toBeGreaterThan(240);
});

test.each([
  ['a drawing on yellow paper', `<rect width="320" height="240" fill="#ffe04a"/>${HOUSE}`],
  ['a dark area', '<rect x="60" y="60" width="120" height="120" fill="#111"/>'],
  ['an empty sheet', ''],
  ['grey all over', '<rect width="320" height="240" fill="#888"/>'],
])('%s is no line drawing', async (name, inside) => {
  expect((await gives({ picture: await drawn(name, inside) })).isLineDrawing).toBe(false);
});

test('two tones and nothing between are a shape, dark where the picture is dark', async () => {
  const { isShape, shape } = await gives({
    picture: await drawn('shape', '<circle cx="160" cy="120" r="80" fill="#111"/>'),
  });
  expect(isShape).toBe(true);
  expect([await greyAt(shape, 160, 120), await greyAt(shape, 20, 20)]).toEqual([0, 255]);
});

test.each([
  ['half tones', '<rect width="320" height="140" fill="#888"/><circle cx="160" cy="180" r="40" fill="#111"/>'],
  ['a speck', '<circle cx="160" cy="120" r="6" fill="#111"/>'],
  ['darkness', '<rect width="320" height="225" fill="#111"/>'],
])('%s are no shape', async (name, inside) => {
  expect((await gives({ picture: await drawn(name, inside) })).isShape).toBe(false);
});

test('lines are found in a painted picture where its colours meet, and near is lighter than far', async () => {
  const sky = '<rect width="320" height="120" fill="#9cc4e8"/><rect y="120" width="320" height="120" fill="#4a7a3a"/>';
  const { lines, depth, isLineDrawing } = await gives({ picture: await drawn('land', sky) });
  expect(isLineDrawing).toBe(false);
  const dark = Math.min(...(await Promise.all([118, 119, 120, 121, 122].map((y) => greyAt(lines, 160, y)))));
  expect(dark).toBeLessThan(await greyAt(lines, 160, 40));
  expect(await greyAt(depth, 160, 225)).toBeGreaterThan((await greyAt(depth, 160, 40)) + 60);
});
