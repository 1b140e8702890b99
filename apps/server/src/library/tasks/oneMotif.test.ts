import { mkdtemp, rm, writeFile } from 'fs/promises';
import os from 'os';
import path from 'path';
import sharp from 'sharp';
import { testPng } from '../../test/studio';
import { oneMotif } from './oneMotif';

let dir: string;
beforeAll(async () => {
  dir = await mkdtemp(path.join(os.tmpdir(), 'urbild-motif-'));
});
afterAll(() => rm(dir, { recursive: true, force: true }));

async function file(name: string, bytes: Buffer | Promise<Buffer>): Promise<string> {
  const at = path.join(dir, name);
  await writeFile(at, await bytes);
  return at;
}

test('the first of several that is the same picture is named, whatever its size and format', async () => {
  const bytes = await testPng(240, 160, 41);
  const others = [
    { id: 'other', picture: await file('other.png', testPng(240, 160, 52)) },
    { id: 'twin', picture: await file('twin.jpg', sharp(bytes).resize(120).jpeg({ quality: 85 }).toBuffer()) },
    { id: 'again', picture: await file('again.png', bytes) },
  ];
  expect(await oneMotif({ picture: await file('own.png', bytes), others })).toBe('twin');
});

test('none is named where none is it, or none was given', async () => {
  const picture = await file('lonely.png', testPng(240, 160, 3));
  const others = [{ id: 'other', picture: await file('far.png', testPng(240, 160, 77)) }];
  expect(await oneMotif({ picture, others })).toBeNull();
  expect(await oneMotif({ picture, others: [] })).toBeNull();
});

test('transparent pictures are held against each other as they are seen, on white', async () => {
  const shape = Buffer.from('<svg width="200" height="150"><circle cx="90" cy="70" r="50" fill="#b5402c"/></svg>');
  const through = sharp(shape).png().toBuffer();
  const onWhite = sharp(shape).flatten({ background: '#ffffff' }).png().toBuffer();
  const others = [{ id: 'white', picture: await file('white.png', onWhite) }];
  expect(await oneMotif({ picture: await file('through.png', through), others })).toBe('white');
});
