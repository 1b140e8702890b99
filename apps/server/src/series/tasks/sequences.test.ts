import { unzipSync } from 'fflate';
import { mkdtemp, readFile, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import sharp from 'sharp';
import { sequenceExport, type SequenceExportTask } from './sequences';

let folder: string;
let files: string[];
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-test-'));
  files = await Promise.all(
    ['#203040', '#a05030', '#f0e0c0'].map(async (background, k) => {
      const file = path.join(folder, `${k}.png`);
      await sharp({ create: { width: 24, height: 16, channels: 3, background } })
        .png()
        .toFile(file);
      return file;
    }),
  );
});
afterAll(() => rm(folder, { recursive: true, force: true }));

async function made(form: SequenceExportTask['form'], rate = 10): Promise<Buffer> {
  const to = path.join(folder, `out.${form}`);
  expect(await sequenceExport({ form, to, files, rate })).toEqual({ done: true });
  return readFile(to);
}

test('an archive holds the frames as they are, named by their place', async () => {
  const entries = unzipSync(await made('zip'));
  expect(Object.keys(entries)).toEqual(['frame-001.png', 'frame-002.png', 'frame-003.png']);
  for (const [k, bytes] of Object.values(entries).entries())
    expect(Buffer.from(bytes)).toEqual(await readFile(files[k]));
});

test('an animated PNG has a control chunk with the number of frames, and each its time', async () => {
  const png = await made('apng', 25);
  expect(png.subarray(1, 4).toString('latin1')).toBe('PNG');
  const at = png.indexOf('acTL');
  expect(png.readUInt32BE(at + 4)).toBe(3);
  const frame = png.indexOf('fcTL');
  // delay as a fraction of a second, after number, size and place
  const [over, under] = [png.readUInt16BE(frame + 24), png.readUInt16BE(frame + 26)];
  expect(over / under).toBeCloseTo(1 / 25, 3);
});

test('an animated WebP shows all frames, each for its time', async () => {
  const { pages, delay, format } = await sharp(await made('webp', 8), { animated: true }).metadata();
  expect([format, pages, delay]).toEqual(['webp', 3, [125, 125, 125]]);
});
