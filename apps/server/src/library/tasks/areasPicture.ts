import { CHROMA_GAIN, labOfHex, pictureToRgba, resample, SEEN_TINTS, type Picture } from '@urbild/core';
import { outlineOfFigure, type SeenPicture } from '@urbild/engine';
import sharp from 'sharp';

/** How strongly a tint lies over the picture, and how dark the lines between areas are, OKLab L. */
const TINTED = 0.55;
const LINE = 0.25;

/** A picture with its areas tinted by what they show and parted by lines, and its figures of lines drawn over it, as PNG. */
export async function areasPicture(
  picture: Picture,
  { labels, kinds, figures, width: w, height: h }: SeenPicture,
): Promise<Buffer> {
  const shown = resample(picture, w, h);
  const [L, A, B] = shown.planes;
  const tints = new Map(Object.entries(SEEN_TINTS).map(([kind, hex]) => [kind, labOfHex(hex)]));
  labels.of.forEach((k, i) => {
    const edge = ((i + 1) % w !== 0 && labels.of[i + 1] !== k) || (i + w < w * h && labels.of[i + w] !== k);
    const tint = tints.get(kinds.get(k)!.kind)!;
    L[i] = edge ? LINE : L[i] + TINTED * (tint[0] - L[i]);
    A[i] = edge ? 0 : A[i] + TINTED * (tint[1] * CHROMA_GAIN - A[i]);
    B[i] = edge ? 0 : B[i] + TINTED * (tint[2] * CHROMA_GAIN - B[i]);
  });
  const lines = figures
    .flatMap(outlineOfFigure)
    .map((line) => `<polyline points="${line.map((p) => p.join()).join(' ')}"/>`);
  const drawn = `<svg xmlns="http://www.w3.org/2000/svg" width="${w}" height="${h}"><g fill="none" stroke="${SEEN_TINTS.person}" stroke-width="4" stroke-linecap="round" stroke-linejoin="round">${lines.join('')}</g></svg>`;
  return sharp(Buffer.from(pictureToRgba(shown).buffer), { raw: { width: w, height: h, channels: 4 } })
    .composite([{ input: Buffer.from(drawn) }])
    .png()
    .toBuffer();
}
