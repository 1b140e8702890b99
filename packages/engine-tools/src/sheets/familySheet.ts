/** npm run family-sheet -- --out sheet.jpg [--only "marched heads,dabs"] [--from 1000]: a row of pictures of each foreign family, pairs of one who */
import { createCanvas, ImageData } from '@napi-rs/canvas';
import { writeFileSync } from 'fs';
import path from 'path';
import { parseArgs } from 'util';
import { FAMILIES, PEOPLE_FAMILIES, SCENE_FAMILIES } from '../foreign/families';

const CELL = { w: 210, h: 160 };
const COLUMNS = 6;

function main(): void {
  const { values } = parseArgs({
    options: { out: { type: 'string' }, only: { type: 'string' }, from: { type: 'string' } },
  });
  const first = Number(values.from ?? 1);
  if (!values.out) {
    console.error('--out (a .jpg or .png file) is needed.');
    process.exit(2);
  }
  const only = values.only?.split(',');
  const all = [...new Set([...FAMILIES, ...PEOPLE_FAMILIES, ...SCENE_FAMILIES])];
  const families = all.filter((f) => !only || only.includes(f.name));
  const sheet = createCanvas(CELL.w * COLUMNS, CELL.h * families.length);
  const g = sheet.getContext('2d');
  families.forEach((family, row) => {
    for (let k = 0; k < COLUMNS; k++) {
      const { rgba, width, height } = family.make({ who: first + (k >> 1), seed: 1 + k });
      const own = createCanvas(width, height);
      own.getContext('2d').putImageData(new ImageData(rgba, width, height), 0, 0);
      const s = Math.min((CELL.w - 4) / width, (CELL.h - 4) / height);
      g.drawImage(own, k * CELL.w, row * CELL.h, width * s, height * s);
    }
  });
  const out = path.resolve(process.env.INIT_CWD ?? process.cwd(), values.out);
  writeFileSync(out, out.endsWith('.png') ? sheet.toBuffer('image/png') : sheet.toBuffer('image/jpeg', 86));
}

main();
