/** npm run look-sheet -- --out sheet.jpg [--side 320] [--weight 1] [--only 2]: six foreign looks over six painted stages */
import { createCanvas, ImageData, type SKRSContext2D } from '@napi-rs/canvas';
import { pictureFromRgba } from '@urbild/core';
import { writeFileSync } from 'fs';
import path from 'path';
import { parseArgs } from 'util';
import { BuiltInEngine, readRequest, type Raster } from '@urbild/engine';
import { foreignLooks } from '../foreign/looks';

/** Six stages; four of them show people near enough to have a face. */
export const STAGES = [
  'portrait of Ilse in the harbour at noon',
  'half figure of Tove holding a lantern, stilt village at night',
  'half figure of Marek with a red cup, dusk on the pier',
  'portrait of a freckled boy with curly red hair and glasses, meadow, morning',
  'lighthouse in a storm at night',
  'Juna and a dog walking on the market quay in the morning',
];

/** Renders every stage alone and with every look; one row a stage. */
async function main(): Promise<void> {
  const { values } = parseArgs({
    options: {
      out: { type: 'string' },
      side: { type: 'string', default: '320' },
      weight: { type: 'string', default: '1' },
      only: { type: 'string' },
    },
  });
  if (!values.out) {
    console.error('--out (a .jpg or .png file) is needed.');
    process.exit(2);
  }
  const side = Number(values.side);
  const looks = foreignLooks().filter((_, i) => !values.only || values.only.split(',').includes(String(i)));
  const canvas = createCanvas((looks.length + 1) * side, (STAGES.length + 1) * side);
  const g = canvas.getContext('2d');
  const engine = new BuiltInEngine();
  looks.forEach((l, k) => put(g, l, (k + 1) * side, 0, side));
  for (const [row, prompt] of STAGES.entries())
    for (let k = -1; k < looks.length; k++) {
      const request = readRequest({
        prompt,
        width: side,
        height: side,
        seed: 7,
        influences:
          k < 0 ? [] : [{ gives: 'look', weight: Number(values.weight), pictures: [{ content: looks[k].name }] }],
      });
      const picture = await engine.render(request, (content) => {
        const l = looks.find((one) => one.name === content)!;
        return Promise.resolve(pictureFromRgba(l.rgba, l.width, l.height));
      });
      put(g, picture, (k + 1) * side, (row + 1) * side, side);
    }
  const out = path.resolve(process.env.INIT_CWD ?? process.cwd(), values.out);
  writeFileSync(out, out.endsWith('.png') ? canvas.toBuffer('image/png') : canvas.toBuffer('image/jpeg', 86));
}

function put(g: SKRSContext2D, { rgba, width, height }: Raster, x: number, y: number, side: number): void {
  const one = createCanvas(width, height);
  one.getContext('2d').putImageData(new ImageData(rgba, width, height), 0, 0);
  g.drawImage(one, x, y, side - 2, side - 2);
}

if (require.main === module) void main();
