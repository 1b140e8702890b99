import sharp from 'sharp';

/** A picture on a sheet, 8-bit sRGB with alpha. */
export interface Tile {
  readonly rgba: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
  readonly label: string;
}

/** Height of the strip with the label, px. */
const LABEL = 16;

/** Writes pictures with their labels side by side into a PNG file, each at most `side` px wide and high: for eyes. */
export async function sheetOfTiles(
  file: string,
  tiles: readonly Tile[],
  { columns, side }: { readonly columns: number; readonly side: number },
): Promise<void> {
  const height = Math.ceil(tiles.length / columns) * (side + LABEL);
  const at = (k: number) => [(k % columns) * side, Math.floor(k / columns) * (side + LABEL)] as const;
  const pictures = await Promise.all(
    tiles.map(async ({ rgba, width, height: high }, k) => ({
      input: await sharp(Buffer.from(rgba.buffer, rgba.byteOffset, rgba.byteLength), {
        raw: { width, height: high, channels: 4 },
      })
        .resize(side - 4, side - 4, { fit: 'inside' })
        .png()
        .toBuffer(),
      left: at(k)[0],
      top: at(k)[1] + LABEL,
    })),
  );
  const texts = tiles.map(({ label }, k) => {
    const [x, y] = at(k);
    return `<text x="${x + 2}" y="${y + 12}">${label}</text>`;
  });
  const labels = `<svg xmlns="http://www.w3.org/2000/svg" width="${columns * side}" height="${height}" font-family="sans-serif" font-size="12">${texts.join('')}</svg>`;
  await sharp({ create: { width: columns * side, height, channels: 3, background: '#fff' } })
    .composite([...pictures, { input: Buffer.from(labels), left: 0, top: 0 }])
    .png()
    .toFile(file);
}
