import { mkdtemp, readFile, rm, writeFile } from 'fs/promises';
import os from 'os';
import path from 'path';
import { unzipSync } from 'fflate';
import { zipTo } from './zip';

let folder: string;
beforeEach(async () => (folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-test-'))));
afterEach(() => rm(folder, { recursive: true, force: true }));

test('files and texts lie in the archive in their order, byte for byte', async () => {
  const bytes = Buffer.from(Array.from({ length: 70_000 }, (_, k) => (k * 31) % 251));
  const file = path.join(folder, 'one.bin');
  await writeFile(file, bytes);
  const to = path.join(folder, 'out.zip');
  await zipTo(to, [
    { name: 'b/one.bin', file },
    { name: 'a.txt', text: 'Grüße' },
  ]);
  const files = unzipSync(await readFile(to));
  expect(Object.keys(files)).toEqual(['b/one.bin', 'a.txt']);
  expect(Buffer.from(files['b/one.bin']).equals(bytes)).toBe(true);
  expect(new TextDecoder().decode(files['a.txt'])).toBe('Grüße');
});

test('a file that is gone is told of', async () => {
  const entries = [{ name: 'x', file: path.join(folder, 'none') }];
  await expect(zipTo(path.join(folder, 'out.zip'), entries)).rejects.toThrow('ENOENT');
});
