import { createCanvas, GlobalFonts, loadImage, type SKRSContext2D } from '@napi-rs/canvas';
import path from 'path';
import sharp from 'sharp';
import type { SheetPicture, SheetText } from './contactSheet';

/** Lengths in px. */
const SHEET = { cell: 480, gap: 24, head: 84, foot: 66, columns: 4 };
const FONT = 'Sheet';
const [PAPER, INK, GREY] = ['#f6f3ec', '#211f1a', '#665f54'];

/** A line of text, px; what is wider than `width` is cut off. */
interface Line {
  readonly x: number;
  readonly y: number;
  readonly size: number;
  readonly weight: number;
  readonly colour: string;
  readonly width: number;
}

/** All pictures on one sheet, as PNG. */
export async function contactPng(pictures: readonly SheetPicture[], text: SheetText): Promise<Uint8Array> {
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
  c.fillStyle = PAPER;
  c.fillRect(0, 0, canvas.width, canvas.height);
  const head = { x: SHEET.gap, width: canvas.width - 2 * SHEET.gap };
  write(c, text.title, { ...head, y: 44, size: 30, weight: 700, colour: INK });
  write(c, text.weights.join('   '), { ...head, y: 72, size: 17, weight: 400, colour: GREY });
  images.forEach((image, k) => {
    const [x, y] = [SHEET.gap + (k % columns) * stepX, SHEET.head + Math.floor(k / columns) * stepY];
    c.drawImage(image, x, y);
    const below = { x, width: SHEET.cell };
    write(c, pictures[k].title, { ...below, y: y + image.height + 24, size: 18, weight: 650, colour: INK });
    pictures[k].lines
      .slice(0, 2)
      .forEach((line, n) =>
        write(c, line, { ...below, y: y + image.height + 45 + n * 18, size: 14, weight: 400, colour: GREY }),
      );
  });
  return canvas.encode('png');
}

function write(c: SKRSContext2D, words: string, { x, y, size, weight, colour, width }: Line): void {
  c.font = `${weight} ${size}px ${family()}`;
  c.fillStyle = colour;
  let shown = words;
  while (shown.length > 1 && c.measureText(shown).width > width) shown = shown.slice(0, -2).trimEnd() + '…';
  c.fillText(shown, x, y);
}

function family(): string {
  if (!GlobalFonts.has(FONT)) {
    const folder = path.dirname(require.resolve('@fontsource-variable/instrument-sans/package.json'));
    GlobalFonts.registerFromPath(path.join(folder, 'files/instrument-sans-latin-wght-normal.woff2'), FONT);
  }
  return FONT;
}
