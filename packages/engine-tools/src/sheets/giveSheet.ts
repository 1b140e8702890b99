/** npm run give-sheet -- --gives layout --out sheet.jpg [--only "posters,solids"] [--who 1] [--seed 1] [--prompt ...]: a give from foreign pictures at rising weights */
import { createCanvas, ImageData, type SKRSContext2D } from '@napi-rs/canvas';
import { GIVES, pictureFromRgba, type Gives } from '@urbild/core';
import { BuiltInEngine, readRequest, type Raster } from '@urbild/engine';
import { writeFileSync } from 'fs';
import path from 'path';
import { parseArgs } from 'util';
import { FAMILIES, SCENE_FAMILIES } from '../foreign/families';

/** What the columns show after the reference itself; 0 is the control. */
const WEIGHTS = [0, 0.25, 0.5, 1, 1.5];
const CELL = { w: 300, h: 225 };

/** A row of a reference and what it gives at each weight. */
async function main(): Promise<void> {
  const { values } = parseArgs({
    options: {
      gives: { type: 'string', default: 'layout' },
      out: { type: 'string' },
      only: { type: 'string' },
      who: { type: 'string', default: '1' },
      seed: { type: 'string', default: '1' },
      prompt: { type: 'string', default: 'Ilse walking in the village street in the morning' },
    },
  });
  const gives = GIVES.find((g) => g === values.gives);
  if (!values.out || !gives) {
    console.error(`--out (a .jpg or .png file) and --gives (one of ${GIVES.join(', ')}) are needed.`);
    process.exit(2);
  }
  const only = values.only?.split(',');
  const families = [...new Set([...SCENE_FAMILIES, ...FAMILIES])].filter((f) =>
    only ? only.includes(f.name) : f.make({ who: 1, seed: 1 }).truth.kind === 'scene',
  );
  const sheet = createCanvas(CELL.w * (WEIGHTS.length + 1), CELL.h * families.length);
  const g = sheet.getContext('2d');
  g.fillStyle = '#fff';
  g.fillRect(0, 0, sheet.width, sheet.height);
  const engine = new BuiltInEngine();
  for (const [row, family] of families.entries()) {
    const reference = family.make({ who: Number(values.who), seed: Number(values.seed) });
    put(g, reference, 0, row);
    for (const [k, weight] of WEIGHTS.entries())
      put(g, await given(engine, gives, weight, reference, values.prompt), k + 1, row);
  }
  const out = path.resolve(process.env.INIT_CWD ?? process.cwd(), values.out);
  writeFileSync(out, out.endsWith('.png') ? sheet.toBuffer('image/png') : sheet.toBuffer('image/jpeg', 86));
}

const given = (
  engine: BuiltInEngine,
  gives: Gives,
  weight: number,
  { name, rgba, width, height }: Raster & { name: string },
  prompt: string,
) =>
  engine.render(
    readRequest({
      prompt,
      width: CELL.w,
      height: CELL.h,
      seed: 7,
      influences: weight ? [{ gives, weight, pictures: [{ content: name }] }] : [],
    }),
    () => Promise.resolve(pictureFromRgba(rgba, width, height)),
  );

function put(g: SKRSContext2D, { rgba, width, height }: Raster, column: number, row: number): void {
  const one = createCanvas(width, height);
  one.getContext('2d').putImageData(new ImageData(new Uint8ClampedArray(rgba), width, height), 0, 0);
  const s = Math.min((CELL.w - 4) / width, (CELL.h - 4) / height);
  g.drawImage(one, column * CELL.w, row * CELL.h, width * s, height * s);
}

if (require.main === module) void main();
