import { createCanvas, GlobalFonts, loadImage } from '@napi-rs/canvas';
import { writeFile } from 'fs/promises';
import path from 'path';
import { PDFDocument, StandardFonts, rgb, type PDFFont, type PDFPage } from 'pdf-lib';
import sharp from 'sharp';
import { zipTo } from './zip';

/** A picture of a contact sheet, with what stands below it. */
export interface SheetPicture {
  /** Path of the picture. */
  readonly file: string;
  /** Name inside an archive. */
  readonly name: string;
  readonly title: string;
  readonly lines: readonly string[];
}

/** What a contact sheet says besides its pictures. */
export interface SheetText {
  readonly title: string;
  /** Weights of the mix, a line each. */
  readonly weights: readonly string[];
  /** Who made the references, and what may be done with them. */
  readonly credits: readonly string[];
}

/** Writes the pictures of a series into one file. */
export interface SeriesExportTask {
  readonly form: 'zip' | 'pdf' | 'png';
  readonly to: string;
  readonly pictures: readonly SheetPicture[];
  readonly text: SheetText;
  /** Further files of an archive, as text. */
  readonly files: Readonly<Record<string, string>>;
}

/** Does a {@link SeriesExportTask}. */
export async function seriesExport(task: SeriesExportTask): Promise<{ done: true }> {
  if (task.form === 'zip')
    await zipTo(task.to, [
      ...task.pictures.map(({ file, name }) => ({ file, name })),
      ...Object.entries(task.files).map(([name, text]) => ({ name, text })),
    ]);
  else if (task.form === 'pdf') await writeFile(task.to, await pdf(task));
  else await writeFile(task.to, await sheet(task));
  return { done: true };
}

/** A4 lying, in points. */
const PAGE = { width: 841.89, height: 595.28, margin: 36, columns: 3, rows: 2, gap: 18, foot: 46 };
const INK = rgb(0.13, 0.12, 0.1);
const GREY = rgb(0.4, 0.38, 0.34);

/** The built-in fonts know Latin 1 only: other letters become a question mark. */
const latin = (text: string) => text.replace(/→/g, '->').replace(/[^\x20-\x7e\xa0-\xff–—‘’“”•…]/g, '?');

/** The text, cut to a width. */
function cut(text: string, font: PDFFont, size: number, width: number): string {
  const plain = latin(text);
  if (font.widthOfTextAtSize(plain, size) <= width) return plain;
  let n = plain.length;
  while (n > 1 && font.widthOfTextAtSize(plain.slice(0, n) + '…', size) > width) n--;
  return plain.slice(0, n).trimEnd() + '…';
}

async function pdf({ pictures, text }: SeriesExportTask): Promise<Uint8Array> {
  const doc = await PDFDocument.create();
  doc.setTitle(text.title);
  const [plain, bold] = [
    await doc.embedFont(StandardFonts.Helvetica),
    await doc.embedFont(StandardFonts.HelveticaBold),
  ];
  const { width, height, margin, columns, rows, gap, foot } = PAGE;
  const cellWidth = (width - 2 * margin - gap * (columns - 1)) / columns;
  const cellHeight = (height - 2 * margin - 28 - gap * (rows - 1)) / rows;
  let page!: PDFPage;
  for (const [k, picture] of pictures.entries()) {
    const at = k % (columns * rows);
    if (!at) {
      page = doc.addPage([width, height]);
      page.drawText(cut(text.title, bold, 14, width - 2 * margin), {
        x: margin,
        y: height - margin - 10,
        size: 14,
        font: bold,
        color: INK,
      });
      const number = `${Math.floor(k / (columns * rows)) + 1} / ${Math.ceil(pictures.length / (columns * rows))}`;
      page.drawText(number, {
        x: width - margin - plain.widthOfTextAtSize(number, 9),
        y: height - margin - 8,
        size: 9,
        font: plain,
        color: GREY,
      });
    }
    const x = margin + (at % columns) * (cellWidth + gap);
    const top = height - margin - 28 - Math.floor(at / columns) * (cellHeight + gap);
    const jpeg = await doc.embedJpg(
      await sharp(picture.file)
        .resize(900, 900, { fit: 'inside', withoutEnlargement: true })
        .jpeg({ quality: 88 })
        .toBuffer(),
    );
    const scale = Math.min(cellWidth / jpeg.width, (cellHeight - foot) / jpeg.height);
    const [w, h] = [jpeg.width * scale, jpeg.height * scale];
    page.drawImage(jpeg, { x, y: top - h, width: w, height: h });
    page.drawText(cut(picture.title, bold, 9.5, cellWidth), { x, y: top - h - 13, size: 9.5, font: bold, color: INK });
    picture.lines.slice(0, 3).forEach((line, n) =>
      page.drawText(cut(line, plain, 7.5, cellWidth), {
        x,
        y: top - h - 24 - n * 10,
        size: 7.5,
        font: plain,
        color: GREY,
      }),
    );
  }
  const last = doc.addPage([width, height]);
  const notes = [...text.weights, '', ...text.credits];
  last.drawText(cut(text.title, bold, 14, width - 2 * margin), {
    x: margin,
    y: height - margin - 10,
    size: 14,
    font: bold,
    color: INK,
  });
  notes.slice(0, 46).forEach((line, n) =>
    last.drawText(cut(line, plain, 8.5, width - 2 * margin), {
      x: margin,
      y: height - margin - 34 - n * 10.6,
      size: 8.5,
      font: plain,
      color: INK,
    }),
  );
  return doc.save();
}

const SHEET = { cell: 480, gap: 24, head: 84, foot: 66, columns: 4 };
const FONT = 'Sheet';

function font(): string {
  if (!GlobalFonts.has(FONT)) {
    const folder = path.dirname(require.resolve('@fontsource-variable/instrument-sans/package.json'));
    GlobalFonts.registerFromPath(path.join(folder, 'files/instrument-sans-latin-wght-normal.woff2'), FONT);
  }
  return FONT;
}

/** All pictures on one sheet, as PNG. */
async function sheet({ pictures, text }: SeriesExportTask): Promise<Uint8Array> {
  const family = font();
  const images = await Promise.all(
    pictures.map(async ({ file }) =>
      loadImage(await sharp(file).resize(SHEET.cell, SHEET.cell, { fit: 'inside' }).png().toBuffer()),
    ),
  );
  const columns = Math.max(1, Math.min(SHEET.columns, pictures.length));
  const tall = Math.max(1, ...images.map((i) => i.height));
  const rows = Math.ceil(pictures.length / columns);
  const [stepX, stepY] = [SHEET.cell + SHEET.gap, tall + SHEET.foot + SHEET.gap];
  const canvas = createCanvas(columns * stepX + SHEET.gap, SHEET.head + rows * stepY + SHEET.gap);
  const c = canvas.getContext('2d');
  c.fillStyle = '#f6f3ec';
  c.fillRect(0, 0, canvas.width, canvas.height);
  const write = (
    words: string,
    {
      x,
      y,
      size,
      weight,
      colour,
      width,
    }: {
      readonly x: number;
      readonly y: number;
      readonly size: number;
      readonly weight: number;
      readonly colour: string;
      readonly width: number;
    },
  ) => {
    c.font = `${weight} ${size}px ${family}`;
    c.fillStyle = colour;
    let shown = words;
    while (shown.length > 1 && c.measureText(shown).width > width) shown = shown.slice(0, -2).trimEnd() + '…';
    c.fillText(shown, x, y);
  };
  const whole = canvas.width - 2 * SHEET.gap;
  write(text.title, { x: SHEET.gap, y: 44, size: 30, weight: 700, colour: '#211f1a', width: whole });
  write(text.weights.join('   '), { x: SHEET.gap, y: 72, size: 17, weight: 400, colour: '#665f54', width: whole });
  images.forEach((image, k) => {
    const [x, y] = [SHEET.gap + (k % columns) * stepX, SHEET.head + Math.floor(k / columns) * stepY];
    c.drawImage(image, x, y);
    write(pictures[k].title, {
      x,
      y: y + image.height + 24,
      size: 18,
      weight: 650,
      colour: '#211f1a',
      width: SHEET.cell,
    });
    pictures[k].lines.slice(0, 2).forEach((line, n) =>
      write(line, {
        x,
        y: y + image.height + 45 + n * 18,
        size: 14,
        weight: 400,
        colour: '#665f54',
        width: SHEET.cell,
      }),
    );
  });
  return canvas.encode('png');
}
