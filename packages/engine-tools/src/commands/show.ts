/** npm run show [-- --only weight,look]: draws what the page shows of each setting and each give, into apps/web/public/shown. */
import { pictureToRgba } from '@urbild/core';
import { BuiltInEngine } from '@urbild/engine';
import { mkdir, writeFile } from 'fs/promises';
import path from 'path';
import { format } from 'prettier';
import sharp from 'sharp';
import { parseArgs } from 'util';
import { drawn, givenBy, legends, SHOWN, type Shown } from '../shown/shown';

/** The size of a picture in its strip and the gap between two, in px of a display of double density. */
const CELL = { width: 288, height: 192, gap: 6 };

const WEB = path.resolve(__dirname, '../../../../apps/web');
const FOLDER = path.join(WEB, 'public/shown');
const LEGENDS = path.join(WEB, 'src/shared/shown/legends.generated.json');

const cell = (bytes: Uint8Array | Uint8ClampedArray, width: number, height: number) =>
  sharp(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength), { raw: { width, height, channels: 4 } })
    .flatten({ background: '#ffffff' })
    .resize(CELL.width, CELL.height, { fit: 'contain', background: '#e8e4dc' })
    .png()
    .toBuffer();

async function strip(engine: BuiltInEngine, { reference, requests }: Shown): Promise<Buffer> {
  const cells: Buffer[] = [];
  if (reference) {
    const { picture } = givenBy(reference);
    cells.push(await cell(pictureToRgba(picture), picture.width, picture.height));
  }
  for (const request of requests) {
    const { rgba, width, height } = await drawn(engine, request);
    cells.push(await cell(rgba, width, height));
  }
  const across = CELL.width + CELL.gap;
  return sharp({
    create: { width: across * cells.length - CELL.gap, height: CELL.height, channels: 4, background: '#00000000' },
  })
    .composite(cells.map((input, k) => ({ input, left: k * across, top: 0 })))
    .webp({ quality: 72 })
    .toBuffer();
}

async function main(): Promise<void> {
  const { values } = parseArgs({ options: { only: { type: 'string' } } });
  const only = values.only?.split(',');
  await mkdir(FOLDER, { recursive: true });
  await writeFile(LEGENDS, await format(JSON.stringify(legends()), { parser: 'json', printWidth: 120 }));
  const engine = new BuiltInEngine();
  for (const shown of SHOWN.filter(({ name }) => !only || only.includes(name))) {
    await sharp(await strip(engine, shown)).toFile(path.join(FOLDER, `${shown.name}.webp`));
    console.log(shown.name);
  }
}

if (require.main === module) void main();
