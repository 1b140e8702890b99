import { PDFDocument, rgb, type PDFPage } from 'pdf-lib';
import sharp from 'sharp';
import { PdfText } from './pdfText';
import type { SheetPicture, SheetText } from './contactSheet';

/** A4 lying, in points. */
const PAGE = { width: 841.89, height: 595.28, margin: 36, head: 28, columns: 3, rows: 2, gap: 18, foot: 46 };
const WIDE = PAGE.width - 2 * PAGE.margin;
const CELL = {
  width: (WIDE - PAGE.gap * (PAGE.columns - 1)) / PAGE.columns,
  height: (PAGE.height - 2 * PAGE.margin - PAGE.head - PAGE.gap * (PAGE.rows - 1)) / PAGE.rows,
};
const ON_A_PAGE = PAGE.columns * PAGE.rows;
/** Longer side of a picture in it, px: 300 dpi at the size of a cell. */
const PICTURE_SIDE = 900;
const INK = rgb(0.13, 0.12, 0.1);
const GREY = rgb(0.4, 0.38, 0.34);
/** Lines that fit on the last page. */
const NOTES = 46;

/** A contact sheet as pages of six pictures, and a last page with weights and credits. */
export async function contactPdf(pictures: readonly SheetPicture[], text: SheetText): Promise<Uint8Array> {
  const doc = await PDFDocument.create();
  doc.setTitle(text.title);
  const words = new PdfText(doc);
  const pages = Math.ceil(pictures.length / ON_A_PAGE);
  for (let n = 0; n < pages; n++) {
    const page = await headed(doc, words, text.title);
    const number = `${n + 1} / ${pages}`;
    const x = PAGE.width - PAGE.margin - (await words.width(number, 9));
    await words.write(page, number, { x, y: PAGE.height - PAGE.margin - 8, size: 9, colour: GREY });
    const those = pictures.slice(n * ON_A_PAGE, (n + 1) * ON_A_PAGE);
    for (const [k, picture] of those.entries()) await put(doc, words, page, { picture, at: k });
  }
  await notes(doc, words, text);
  return doc.save();
}

async function headed(doc: PDFDocument, words: PdfText, title: string): Promise<PDFPage> {
  const page = doc.addPage([PAGE.width, PAGE.height]);
  const y = PAGE.height - PAGE.margin - 10;
  // the number of the page has its place at the right
  await words.write(page, title, { x: PAGE.margin, y, size: 14, weight: 'bold', colour: INK, width: WIDE - 60 });
  return page;
}

async function put(
  doc: PDFDocument,
  words: PdfText,
  page: PDFPage,
  { picture, at }: { readonly picture: SheetPicture; readonly at: number },
): Promise<void> {
  const x = PAGE.margin + (at % PAGE.columns) * (CELL.width + PAGE.gap);
  const row = Math.floor(at / PAGE.columns);
  const top = PAGE.height - PAGE.margin - PAGE.head - row * (CELL.height + PAGE.gap);
  const small = sharp(picture.file).resize(PICTURE_SIDE, PICTURE_SIDE, { fit: 'inside', withoutEnlargement: true });
  const jpeg = await doc.embedJpg(await small.jpeg({ quality: 88 }).toBuffer());
  const scale = Math.min(CELL.width / jpeg.width, (CELL.height - PAGE.foot) / jpeg.height);
  const [width, height] = [jpeg.width * scale, jpeg.height * scale];
  page.drawImage(jpeg, { x, y: top - height, width, height });
  const below = { x, width: CELL.width };
  const y = top - height;
  await words.write(page, picture.title, { ...below, y: y - 13, size: 9.5, weight: 'bold', colour: INK });
  for (const [n, line] of picture.lines.slice(0, 3).entries())
    await words.write(page, line, { ...below, y: y - 24 - n * 10, size: 7.5, colour: GREY });
}

async function notes(doc: PDFDocument, words: PdfText, { title, weights, credits }: SheetText): Promise<void> {
  const page = await headed(doc, words, title);
  for (const [n, line] of [...weights, '', ...credits].slice(0, NOTES).entries()) {
    const y = PAGE.height - PAGE.margin - 34 - n * 10.6;
    await words.write(page, line, { x: PAGE.margin, y, size: 8.5, colour: INK, width: WIDE });
  }
}
