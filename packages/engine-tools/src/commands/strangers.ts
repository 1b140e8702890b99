/** npm run strangers: writes what is measured of eight unrelated pictures, against which arrival begins */
import { describe, packRows, pictureFromRgba } from '@urbild/core';
import { writeFileSync } from 'fs';
import path from 'path';
import { FAMILIES } from '../foreign/families';

/** Techniques that have little to do with each other; none that is held out. Places, people and flat shapes. */
const OF = [
  'height fields',
  'flat people',
  'wet washes',
  'engravings',
  'marched heads',
  'dabs',
  'solids',
  'torn paper',
];

const measured = OF.map((name) => {
  const family = FAMILIES.find((f) => f.name === name)!;
  if (family.heldOut) throw new Error(`${name} is held out: nothing may be measured against it`);
  const { rgba, width, height } = family.make({ who: 11, seed: 23 });
  return describe(pictureFromRgba(rgba, width, height));
});
const packed = (['palette', 'surface', 'layout'] as const).map((of) => {
  const { top, weights } = packRows(measured.map((d) => d[of]));
  return `  ${of}: {\n    top: [${top.map((v) => v.toFixed(6)).join(', ')}],\n    weights:\n      '${weights}',\n  },`;
});
const file = path.join(__dirname, '../../../engine/src/measure/strangers.generated.ts');
writeFileSync(
  file,
  `// Written by \`npm run strangers\`: do not change it by hand.\n/** Palette, surface and layout of unrelated pictures (${OF.join(', ')}), 8 bits a number. */\nexport const MEASURED_STRANGERS = {\n${packed.join('\n')}\n};\n`,
);
console.log(`${OF.length} pictures are measured`);
