import { pictureFromRgba, pictureToRgba } from '@urbild/core';
import { readRequest, type Raster } from '@urbild/engine';
import { leastHold, paintScene, planSynthesis, subjectHold, type FigureHold } from '@urbild/engine/tools';
import { mkdir } from 'fs/promises';
import path from 'path';
import sharp from 'sharp';
import { SEED, takeOf, type Look } from './takes';

const [WIDTH, HEIGHT] = [512, 384];
/** Of what the control shows, so much must be held. */
const LEAST = 0.7;
/** px of a tile of the sheet */
const TILE = { width: 320, height: 240 } as const;

interface Tile {
  readonly raster: Raster;
  readonly column: number;
  readonly row: number;
}

/** Every look over every stage: prints what is held of the figures, keeps a sheet of all if wanted, and says whether all hold. */
export async function held(
  looks: readonly Look[],
  stages: readonly string[],
  { weight, keep }: { readonly weight: number; readonly keep?: string },
): Promise<boolean> {
  const tiles: Tile[] = looks.map((raster, k) => ({ raster, column: k + 1, row: 0 }));
  const all: number[] = [];
  for (const [k, prompt] of stages.entries()) {
    const scene = { prompt, width: WIDTH, height: HEIGHT, seed: SEED };
    const { stage } = paintScene(readRequest(scene), planSynthesis([], 1), [], () => {});
    const [labels, control] = [stage.labels(), stage.painted()];
    tiles.push({ raster: { ...scene, rgba: pictureToRgba(control) }, column: 0, row: k + 1 });
    const figures: string[] = [];
    for (const [column, look] of looks.entries()) {
      const raster = await takeOf(scene, [[look, weight]]);
      const holds = subjectHold(stage.seen, labels, control, pictureFromRgba(raster.rgba, WIDTH, HEIGHT));
      const least = leastHold(holds) ?? 1;
      all.push(least);
      figures.push(`${look.name} ${least.toFixed(2)}${least < LEAST ? ` (${worst(holds)})` : ''}`);
      tiles.push({ raster, column: column + 1, row: k + 1 });
    }
    console.log(`${prompt}\n  ${figures.join(' | ')}`);
  }
  if (keep) await sheet(tiles, path.join(keep, 'hold.png'));
  const good = all.filter((v) => v >= LEAST).length;
  const least = Math.min(...all).toFixed(2);
  console.log(`\nheld in ${good} of ${all.length} takes; the least is ${least} (wanted: ${LEAST})`);
  return good === all.length;
}

/** The part of a figure that is held least, and how far. */
function worst(holds: readonly FigureHold[]): string {
  const parts = holds.flatMap((h) => Object.entries(h) as [string, number][]);
  const [name, value] = parts.reduce((a, b) => (b[1] < a[1] ? b : a));
  return `${name} ${value.toFixed(2)}`;
}

async function sheet(tiles: readonly Tile[], file: string): Promise<void> {
  await mkdir(path.dirname(file), { recursive: true });
  const placed = tiles.map(async ({ raster: { rgba, width, height }, column, row }) => ({
    input: await sharp(Buffer.from(rgba.buffer), { raw: { width, height, channels: 4 } })
      .resize(TILE.width, TILE.height, { fit: 'contain' })
      .png()
      .toBuffer(),
    left: column * TILE.width,
    top: row * TILE.height,
  }));
  const size = {
    width: (1 + Math.max(...tiles.map((t) => t.column))) * TILE.width,
    height: (1 + Math.max(...tiles.map((t) => t.row))) * TILE.height,
  };
  await sharp({ create: { ...size, channels: 3, background: '#ffffff' } })
    .composite(await Promise.all(placed))
    .png()
    .toFile(file);
}
