import { execFile } from 'child_process';
import { mkdtemp, readFile, rm, writeFile } from 'fs/promises';
import os from 'os';
import path from 'path';
import { promisify } from 'util';
import sharp from 'sharp';
import { contactSheet, promptsOf } from '../sheets/contactSheet';

const run = promisify(execFile);
const ROOT = path.resolve(__dirname, '../../../..');
const render = (folder: string, ...args: string[]) =>
  run(
    process.execPath,
    ['--conditions=source', '-r', '@swc-node/register', path.join(__dirname, 'render.ts'), ...args],
    { cwd: ROOT, env: { ...process.env, INIT_CWD: folder } },
  );

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-cli-'));
  const pixels = Buffer.from(Array.from({ length: 96 * 64 * 3 }, (_, i) => (i * 7 + Math.floor(i / 500) * 31) % 256));
  await sharp(pixels, { raw: { width: 96, height: 64, channels: 3 } })
    .png()
    .toFile(path.join(folder, 'reference.png'));
  const request = {
    prompt: 'Ilse in the harbour at dusk',
    width: 160,
    height: 112,
    seed: 3,
    influences: [{ gives: 'look', weight: 0.8, pictures: [{ content: 'reference.png' }] }],
  };
  await writeFile(path.join(folder, 'r.json'), JSON.stringify(request));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

test('two processes render one request to the same bytes; the control is another picture', async () => {
  await render(folder, '--request', 'r.json', '--out', 'a.png');
  await render(folder, '--request', 'r.json', '--out', 'b.png');
  await render(folder, '--request', 'r.json', '--out', 'control.png', '--control');
  const [a, b, control] = await Promise.all(
    ['a.png', 'b.png', 'control.png'].map((f) => readFile(path.join(folder, f))),
  );
  expect(a.equals(b)).toBe(true);
  expect(control.equals(a)).toBe(false);
  expect(await sharp(a).metadata()).toMatchObject({ width: 160, height: 112, format: 'png' });
});

test('a request that is wrong is refused with the field', async () => {
  await writeFile(path.join(folder, 'bad.json'), JSON.stringify({ prompt: 'x', width: 5 }));
  await expect(render(folder, '--request', 'bad.json', '--out', 'c.png')).rejects.toThrow(
    /width: a whole number from 64 to 2048/,
  );
});

test('a contact sheet shows every prompt, in rows', () => {
  const sheet = contactSheet(['marsh at dawn', 'a fox', 'kitchen'], { columns: 2, width: 96, height: 64, seed: 1 });
  expect([sheet.width, sheet.height]).toEqual([192, 160]);
  const { data } = sheet.getContext('2d').getImageData(0, 0, 192, 160);
  const colours = (x0: number, y0: number) => {
    const seen = new Set<number>();
    for (let y = y0; y < y0 + 64; y += 3) for (let x = x0; x < x0 + 96; x += 3) seen.add(data[(y * 192 + x) * 4]);
    return seen.size;
  };
  expect(colours(0, 0)).toBeGreaterThan(20);
  expect(colours(96, 0)).toBeGreaterThan(20);
  expect(colours(0, 80)).toBeGreaterThan(20);
  expect(colours(96, 96)).toBeLessThan(20);
});

test('prompts are a list of texts, or lists under names', () => {
  expect(promptsOf(['a', 'b'])).toEqual(['a', 'b']);
  expect(promptsOf({ one: ['a'], two: ['b', 'c'] })).toEqual(['a', 'b', 'c']);
  for (const wrong of [null, [], [1], { one: [2] }, 'text']) expect(() => promptsOf(wrong)).toThrow(TypeError);
});
