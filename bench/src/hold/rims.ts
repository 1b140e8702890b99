import { CHROMA_GAIN, createPicture, pictureFromRgba, signedDistance, type Picture } from '@urbild/core';
import { BuiltInEngine, readRequest, type Raster } from '@urbild/engine';
import { mkdir } from 'fs/promises';
import path from 'path';
import sharp from 'sharp';
import { SEED } from './takes';

const [WIDTH, HEIGHT] = [512, 384];
/** Figures whose ground is replaced: what is there first, and what shall be behind them. */
const SCENES = [
  ['Ilse in a yellow coat stands on the pier at noon', 'Ilse in a yellow coat stands on the pier at night'],
  ['half figure of Marek in the village street, snow', 'half figure of Marek in the village street at dusk'],
  ['a heron in the marsh in the morning', 'a heron in the marsh in a storm'],
  ['portrait of Tove on the beach at noon', 'portrait of Tove on the beach at night'],
] as const;
/** The rim, and the ground beyond it that it should look like, px outside of the outline. */
const RIM = { from: 1, to: 3 } as const;
const BEYOND = { from: 7, to: 12 } as const;
/** So much farther from its ground than in a picture that was drawn at once a rim may be, OKLab: less nobody sees. */
const MOST = 0.03;

/** Of the figure that would be drawn anew, so much may be seen beside the one that stays: more is a second one. */
const MOST_TWIN = 0.08;

const engine = new BuiltInEngine();

/** Replaces the ground behind figures by their outlines: a rim of what was there before would show as a halo. */
export async function rims(keep?: string): Promise<boolean> {
  let good = true;
  for (const [k, [before, after]] of SCENES.entries()) {
    const size = { width: WIDTH, height: HEIGHT, seed: SEED };
    const first = readRequest({ ...size, prompt: before });
    const begun = await engine.render(first, none);
    const [{ mask }] = await engine.outlines(first, none);
    const pictures: Record<string, Picture> = { [`start ${k}`]: pictureOf(begun), [`mask ${k}`]: greyOf(mask) };
    const replaced = await engine.render(
      readRequest({
        ...size,
        prompt: after,
        start: { content: `start ${k}`, change: 1 },
        mask: { content: `mask ${k}`, invert: true, feather: 0 },
      }),
      (content) => Promise.resolve(pictures[content]),
    );
    const atOnce = await engine.render(readRequest({ ...size, prompt: after }), none);
    const far = signedDistance(mask, WIDTH, HEIGHT, BEYOND.to);
    const [is, usual] = [replaced, atOnce].map((raster) => rimOf(pictureOf(raster), far));
    const halo = is - usual;
    const [{ mask: anew }] = await engine.outlines(readRequest({ ...size, prompt: after }), none);
    const twin = twinOf(anew, mask, replaced, atOnce);
    good &&= halo <= MOST && twin <= MOST_TWIN;
    const rim = `rim ${is.toFixed(3)}, drawn at once ${usual.toFixed(3)}, halo ${halo.toFixed(3)}`;
    console.log(`${after}: ${rim}; ${Math.round(twin * 100)} % of the figure drawn anew beside the one that stays`);
    if (keep) await keepRow([begun, replaced, atOnce], path.join(keep, `rim${k}.png`));
  }
  console.log(`\nno halo above ${MOST}, nobody twice: ${good ? 'holds' : 'MISSED'}`);
  return good;
}

const none = () => Promise.reject(new Error('no picture is asked for'));
const pictureOf = ({ rgba, width, height }: Raster): Picture => pictureFromRgba(rgba, width, height);

function greyOf(mask: Uint8Array): Picture {
  const picture = createPicture(WIDTH, HEIGHT);
  mask.forEach((v, i) => (picture.planes[0][i] = v ? 1 : 0));
  return picture;
}

/** The part of a figure drawn at once that is seen, just so, beside the one that stays. */
function twinOf(anew: Uint8Array, stays: Uint8Array, { rgba: a }: Raster, { rgba: b }: Raster): number {
  const same = (i: number) => [0, 1, 2].every((c) => Math.abs(a[4 * i + c] - b[4 * i + c]) <= 2);
  let [seen, all] = [0, 0];
  anew.forEach((v, i) => {
    if (!v) return;
    all++;
    if (!stays[i] && same(i)) seen++;
  });
  return all ? seen / all : 0;
}

/** How far the rim is from the ground beyond it, the mean over pieces of the outline, OKLab. */
function rimOf({ planes }: Picture, far: Int8Array): number {
  const pieces = new Map<number, { rim: number[]; beyond: number[] }>();
  far.forEach((distance, i) => {
    const d = -distance;
    if (d < RIM.from || d > BEYOND.to) return;
    const piece = Math.floor((i % WIDTH) / 24) + 100 * Math.floor(i / WIDTH / 24);
    const own = pieces.get(piece) ?? { rim: [], beyond: [] };
    pieces.set(piece, own);
    if (d <= RIM.to) own.rim.push(i);
    else if (d >= BEYOND.from) own.beyond.push(i);
  });
  const mean = (pixels: readonly number[]) =>
    planes.map((p, c) => pixels.reduce((sum, i) => sum + p[i], 0) / pixels.length / (c ? CHROMA_GAIN : 1));
  const apart = [...pieces.values()]
    .filter(({ rim, beyond }) => rim.length > 8 && beyond.length > 8)
    .map(({ rim, beyond }) => {
      const [a, b] = [mean(rim), mean(beyond)];
      return Math.hypot(...a.map((v, c) => v - b[c]));
    });
  return apart.reduce((sum, v) => sum + v, 0) / apart.length;
}

async function keepRow(rasters: readonly Raster[], file: string): Promise<void> {
  await mkdir(path.dirname(file), { recursive: true });
  const tiles = rasters.map(async ({ rgba, width, height }, k) => ({
    input: await sharp(Buffer.from(rgba.buffer), { raw: { width, height, channels: 4 } })
      .png()
      .toBuffer(),
    left: k * WIDTH,
    top: 0,
  }));
  await sharp({ create: { width: WIDTH * rasters.length, height: HEIGHT, channels: 3, background: '#ffffff' } })
    .composite(await Promise.all(tiles))
    .png()
    .toFile(file);
}
