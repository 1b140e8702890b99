import { mkdir } from 'fs/promises';
import path from 'path';
import sharp from 'sharp';
import type { Foreign } from './foreignPictures';

/** A picture with what is said of it. */
export interface Captioned {
  readonly made: Foreign['made'];
  readonly caption: string;
}

/** px */
const [COLUMNS, SIDE, ROW, LINE] = [6, 220, 300, 13] as const;
/** Letters of a line of a caption. */
const LETTERS = 36;

/** A sentence in lines of so many letters. */
function linesOf(text: string): string[] {
  const lines: string[] = [''];
  for (const word of text.split(' ')) {
    const longer = `${lines.at(-1)} ${word}`.trim();
    if (longer.length > LETTERS) lines.push(word);
    else lines[lines.length - 1] = longer;
  }
  return lines;
}

const escaped = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;');

/** Writes a sheet of pictures, each with its sentence below, for the eye to compare. */
export async function captionedSheet(all: readonly Captioned[], file: string): Promise<void> {
  await mkdir(path.dirname(file), { recursive: true });
  const [width, height] = [COLUMNS * (SIDE + 12), Math.ceil(all.length / COLUMNS) * ROW];
  const placed = all.map((one, k) => ({
    ...one,
    left: (k % COLUMNS) * (SIDE + 12),
    top: Math.floor(k / COLUMNS) * ROW,
  }));
  const pictures = await Promise.all(
    placed.map(async ({ made, left, top }) => ({
      input: await sharp(Buffer.from(made.rgba.buffer), {
        raw: { width: made.width, height: made.height, channels: 4 },
      })
        .resize(SIDE, SIDE, { fit: 'contain', background: '#ffffff' })
        .png()
        .toBuffer(),
      left,
      top,
    })),
  );
  const captions = placed.flatMap(({ caption, left, top }) =>
    linesOf(caption).map((line, n) => `<text x="${left}" y="${top + SIDE + LINE * (n + 1)}">${escaped(line)}</text>`),
  );
  const text = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" font-size="11" font-family="sans-serif">${captions.join('')}</svg>`;
  await sharp({ create: { width, height, channels: 3, background: '#ffffff' } })
    .composite([...pictures, { input: Buffer.from(text), left: 0, top: 0 }])
    .png()
    .toFile(file);
}
