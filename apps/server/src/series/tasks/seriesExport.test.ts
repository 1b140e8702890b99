import { mkdtemp, readFile, rm } from 'fs/promises';
import { inflateSync } from 'zlib';
import os from 'os';
import path from 'path';
import { PDFDocument, PDFName, PDFRawStream, PDFDict } from 'pdf-lib';
import sharp from 'sharp';
import { testPixels } from '../../test/studio';
import { PdfText } from './pdfText';
import type { SheetPicture } from './contactSheet';
import { seriesExport } from './seriesExport';

let folder: string;
let pictures: SheetPicture[];
const TEXT = { title: 'Zwei Briefe', weights: ['Carved quay, look 0.80'], credits: ['Carved quay by nobody'] };

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-export-'));
  pictures = [];
  for (let k = 0; k < 7; k++) {
    const file = path.join(folder, `${k}.png`);
    const { data, raw } = testPixels(120, k % 2 ? 80 : 160, k);
    await sharp(data, { raw }).png().toFile(file);
    pictures.push({ file, name: `${k}.png`, title: `Shot ${k}`, lines: ['one', 'two', 'three', 'four'] });
  }
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const made = async (form: 'pdf' | 'png', some: readonly SheetPicture[], text = TEXT) => {
  const to = path.join(folder, `out.${form}`);
  await seriesExport({ form, to, pictures: some, text, files: {} });
  return readFile(to);
};

/** The letters that a PDF's fonts say they show: what a reader copies, searches and reads aloud. */
async function lettersOf(pdf: Buffer): Promise<string> {
  const doc = await PDFDocument.load(pdf);
  let letters = '';
  for (const [, object] of doc.context.enumerateIndirectObjects()) {
    if (!(object instanceof PDFDict) || object.get(PDFName.of('Subtype')) !== PDFName.of('Type0')) continue;
    const map = doc.context.lookup(object.get(PDFName.of('ToUnicode'))) as PDFRawStream;
    const text = inflateSync(map.contents).toString('latin1');
    for (const [, hex] of text.matchAll(/<[0-9A-Fa-f]+>\s*<([0-9A-Fa-f]+)>/g))
      for (let i = 0; i + 4 <= hex.length; i += 4) letters += String.fromCharCode(parseInt(hex.slice(i, i + 4), 16));
  }
  return letters;
}

test('six pictures are on a page, and the last page has weights and credits', async () => {
  const doc = await PDFDocument.load(await made('pdf', pictures));
  expect(doc.getTitle()).toBe('Zwei Briefe');
  expect(doc.getPageCount()).toBe(3);
  expect((await PDFDocument.load(await made('pdf', pictures.slice(0, 6)))).getPageCount()).toBe(2);
  const { width, height } = doc.getPage(0).getSize();
  expect(width / height).toBeCloseTo(Math.SQRT2, 2);
});

test('titles of several scripts are written in letters that can be read and searched', async () => {
  const title = 'Ärger Łódź Ωμέγα Москва Việt हिन्दी';
  const letters = await lettersOf(await made('pdf', [{ ...pictures[0], title }]));
  for (const letter of title.replace(/[\sि]/g, '')) expect(letters).toContain(letter);
});

test('letters that no font has become question marks, and are no reason to fail', async () => {
  const doc = await PDFDocument.create();
  const words = new PdfText(doc);
  const runs = await words.runs('a海b');
  expect(runs.map((r) => r.text).join('')).toBe('a?b');
  expect((await words.runs('one\ntwo\tthree')).map((r) => r.text)).toEqual(['one two three']);
});

test('a run goes on in one font as long as that has the letters', async () => {
  const words = new PdfText(await PDFDocument.create());
  const runs = await words.runs('see Москва, then home');
  expect(runs.map((r) => r.text)).toEqual(['see ', 'Москва', ', then home']);
  expect(new Set(runs.map((r) => r.font)).size).toBe(2);
  const [plain, bold] = [await words.width('see', 10), await words.width('see', 10, 'bold')];
  expect(bold).toBeGreaterThan(plain);
  expect(await words.width('see', 20)).toBeCloseTo(2 * plain, 6);
});

test('a line that is too long is cut off with an ellipsis, in no more than its width', async () => {
  const doc = await PDFDocument.create();
  const words = new PdfText(doc);
  const page = doc.addPage([400, 100]);
  const drawn: string[] = [];
  const draw = page.drawText.bind(page);
  page.drawText = (text, options) => {
    drawn.push(text);
    draw(text, options);
  };
  const line = { x: 0, y: 0, size: 10, colour: { type: 'RGB', red: 0, green: 0, blue: 0 } as never };
  await words.write(page, 'the mill in the marsh at dawn', { ...line, width: 60 });
  const shown = drawn.join('');
  expect(shown).toMatch(/^the mill.*…$/);
  expect(await words.width(shown, 10)).toBeLessThanOrEqual(60);
  drawn.length = 0;
  await words.write(page, 'the mill', { ...line, width: 60 });
  expect(drawn).toEqual(['the mill']);
});

test('a sheet as one picture has four columns at most and room for all rows', async () => {
  const [one, seven] = [await made('png', pictures.slice(0, 1)), await made('png', pictures)];
  const size = async (png: Buffer) => {
    const { width, height } = await sharp(png).metadata();
    return [width, height];
  };
  const [w1, h1] = await size(one);
  const [w7, h7] = await size(seven);
  expect(w7).toBe(4 * (w1 - 24) + 24);
  expect(h7 - 84 - 24).toBe(2 * (h1 - 84 - 24));
});

test('an archive holds the pictures and the texts under their names', async () => {
  const to = path.join(folder, 'out.zip');
  await seriesExport({ form: 'zip', to, pictures, text: TEXT, files: { 'notes.txt': 'Grüße' } });
  const { unzipSync, strFromU8 } = await import('fflate');
  const files = unzipSync(await readFile(to));
  expect(Object.keys(files).sort()).toEqual([...pictures.map((p) => p.name), 'notes.txt'].sort());
  expect(strFromU8(files['notes.txt'])).toBe('Grüße');
  expect(Buffer.from(files['3.png']).equals(await readFile(pictures[3].file))).toBe(true);
});
