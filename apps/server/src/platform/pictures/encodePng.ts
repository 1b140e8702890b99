import sharp from 'sharp';

/** Opaque pixels, 8-bit sRGB, 4 bytes each. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray;
}

/** Opaque 8-bit sRGB pixels, 4 bytes each, as a PNG file. */
export const encodePng = ({ rgba, width, height }: Pixels): Promise<Buffer> =>
  sharp(Buffer.from(rgba.buffer, rgba.byteOffset, rgba.byteLength), { raw: { width, height, channels: 4 } })
    .removeAlpha()
    .png({ compressionLevel: 6 })
    .toBuffer();
