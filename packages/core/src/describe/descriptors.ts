import { QUANTILES } from '../colour/quantiles';
import type { Picture } from '../picture/picture';
import { describeLayout, LAYOUT_SIDE, layoutDistance } from './layout';
import { describePalette, PALETTE_DIRECTIONS, paletteDistance } from './palette';
import { describeSurface, SURFACE_LENGTH, surfaceDistance } from './surface';

/** What is measured of every picture, once, and kept. */
export interface Descriptors {
  readonly palette: Float32Array;
  readonly surface: Float32Array;
  readonly layout: Float32Array;
}

/** The measured channels and their distance functions. */
export type MeasuredChannel = 'colour' | 'surface' | 'layout';

/** Measures a picture; most of the time goes into its surface. */
export const describe = (picture: Picture): Descriptors => ({
  palette: describePalette(picture),
  surface: describeSurface(picture),
  layout: describeLayout(picture),
});

/** Distance of two pictures on one channel; the scales differ between channels. */
export function distanceOn(channel: MeasuredChannel, a: Descriptors, b: Descriptors): number {
  switch (channel) {
    case 'colour':
      return paletteDistance(a.palette, b.palette);
    case 'surface':
      return surfaceDistance(a.surface, b.surface);
    case 'layout':
      return layoutDistance(a.layout, b.layout);
  }
}

const MAGIC = 0x31444255; // "UBD1", little endian
const LENGTHS = [PALETTE_DIRECTIONS * QUANTILES, SURFACE_LENGTH, LAYOUT_SIDE * LAYOUT_SIDE] as const;

/** Descriptors as bytes; the format is docs/formats/descriptors.md. */
export function encodeDescriptors({ palette, surface, layout }: Descriptors): Uint8Array {
  const parts = [palette, surface, layout];
  const length = parts.reduce((n, p) => n + p.length, 0);
  const view = new DataView(new ArrayBuffer(4 + 4 * length));
  view.setUint32(0, MAGIC, true);
  let at = 4;
  for (const part of parts) for (let i = 0; i < part.length; i++, at += 4) view.setFloat32(at, part[i], true);
  return new Uint8Array(view.buffer);
}

/** The inverse of {@link encodeDescriptors}. Throws RangeError for bytes that are not descriptors of this version. */
export function decodeDescriptors(bytes: Uint8Array): Descriptors {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const expected = 4 + 4 * LENGTHS.reduce((a, b) => a + b, 0);
  if (bytes.byteLength !== expected || view.getUint32(0, true) !== MAGIC) {
    throw new RangeError('These bytes are not descriptors of version 1');
  }
  let at = 4;
  const [palette, surface, layout] = LENGTHS.map((length) =>
    Float32Array.from({ length }, () => {
      const value = view.getFloat32(at, true);
      at += 4;
      return value;
    }),
  );
  return { palette, surface, layout };
}
