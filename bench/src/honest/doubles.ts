import { isSameMotif, pictureFromRgba, type Picture } from '@urbild/core';
import { FAMILIES, type FamilyPicture } from '@urbild/engine-tools';
import sharp, { type Sharp } from 'sharp';
import type { Line } from './line';

const SIDE = 64;
/** What happens to files that come in a second time. */
const ALTERED: Readonly<Record<string, (s: Sharp, w: number, h: number) => Sharp>> = {
  'saved as JPEG': (s) => s.jpeg({ quality: 70 }),
  'half as large': (s, w) => s.resize(Math.round(w / 2)).jpeg({ quality: 85 }),
  'cut a little': (s, w, h) =>
    s.extract({ left: 0, top: 0, width: Math.round(w * 0.97), height: Math.round(h * 0.97) }).png(),
  brightened: (s) => s.linear(0.92, 14).png(),
};
const ORIGINALS = 3;
const OTHERS = 5;

async function small(bytes: Buffer): Promise<Picture> {
  const { data } = await sharp(bytes)
    .resize(SIDE, SIDE, { fit: 'fill' })
    .flatten({ background: '#ffffff' })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return pictureFromRgba(data, SIDE, SIDE);
}

const raw = ({ rgba, width, height }: FamilyPicture): Sharp =>
  sharp(Buffer.from(rgba.buffer), { raw: { width, height, channels: 4 } });

/** Files that come in again are found; another picture of the same person, thing or manner is not taken for one. */
export async function doubles(print: (text: string) => void): Promise<Line[]> {
  let [found, all, wrong, pairs] = [0, 0, 0, 0];
  for (const family of FAMILIES) {
    let [own, taken] = [0, 0];
    for (let who = 1; who <= ORIGINALS; who++) {
      const picture = family.make({ who, seed: 1 });
      const original = await small(await raw(picture).png().toBuffer());
      for (const alter of Object.values(ALTERED)) {
        const file = await alter(raw(picture), picture.width, picture.height).toBuffer();
        all++;
        if (isSameMotif(original, await small(file))) own++;
      }
      for (let seed = 2; seed < 2 + OTHERS; seed++) {
        pairs++;
        if (isSameMotif(original, await small(await raw(family.make({ who, seed })).png().toBuffer()))) taken++;
      }
    }
    found += own;
    wrong += taken;
    print(`  ${family.name}: found ${own} of ${ORIGINALS * Object.keys(ALTERED).length}, others taken for it ${taken}`);
  }
  return [
    { what: `files that came in again and are found, of ${all}`, figure: found, least: all },
    { what: `other pictures of ${pairs} that are taken for doubles`, figure: wrong, most: 0 },
  ];
}
