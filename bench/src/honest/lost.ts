import { createPicture, isLost, pictureFromRgba, understand, type Picture } from '@urbild/core';
import { BuiltInEngine, readRequest } from '@urbild/engine';
import { FAMILIES } from '@urbild/engine-tools';
import { paintStage } from '@urbild/engine/tools';
import { mkdir, writeFile } from 'fs/promises';
import path from 'path';
import sharp from 'sharp';
import type { Line } from './line';

const [WIDTH, HEIGHT, SEED] = [384, 288, 7];
/** Scenes, and the word that is lost in one of their two takes. */
const SCENES: readonly (readonly [prompt: string, lost: string])[] = [
  ['a girl in a red coat beside a dog on the pier', 'dog'],
  ['Ilse poles the punt with Brom among reeds at dusk', 'Brom'],
  ['an old man sits on a bench in the harbour, a cat', 'cat'],
  ['three rabbits and a lantern in the forest', 'lantern'],
  ['a boy with a kite on the beach', 'kite'],
  ['a fox and a haystack in the meadow', 'fox'],
  ['a horse and a cart in the village street', 'cart'],
  ['a woman and a well in the town square', 'well'],
  ['a cow beside a tree in the meadow in the morning', 'cow'],
  ['a sailing boat on the open sea, a whale', 'sailing boat'],
  ['Tove with a lantern in front of the lighthouse at night', 'lantern'],
  ['a man and a bicycle in the village street', 'bicycle'],
  ['a bear beside a tent in the forest', 'tent'],
  ['a scarecrow and a crow in the meadow in autumn', 'scarecrow'],
  ['Juna and a barrel in the boathouse', 'barrel'],
  ['a cat on a chair in the kitchen, a table', 'cat'],
  ['a boy and a snowman in the town square, snow', 'snowman'],
  ['an owl and a campfire in the forest at night', 'campfire'],
  ['a goose and a basket in the orchard', 'goose'],
  ['Marek with a sack and a sheep on the dyke', 'sheep'],
];
/** How things are made to vanish: a piece of another picture lies over their place. */
const PLANTS = ['height fields', 'wet washes', 'dabs', 'solids', 'stipples'] as const;

/** A picture of a family by a part of its name. */
function familyPicture(name: string, seed: number): Picture {
  const family = FAMILIES.find((f) => f.name.includes(name)) ?? FAMILIES[seed % FAMILIES.length];
  const { rgba, width, height } = family.make({ who: 1, seed });
  return pictureFromRgba(rgba, width, height);
}

/** A mask over where a word's item stands in the scene. */
function maskOver(prompt: string, word: string): Picture {
  const brief = understand(prompt);
  const { seen } = paintStage(brief, { width: WIDTH, height: HEIGHT, seed: SEED });
  const claim = brief.claims.find((c) => c.text === word && c.entity !== undefined);
  const boxes = seen.items.flatMap((i) =>
    i.entity === claim?.entity && (!i.held || i.what === claim.value) && i.box ? [i] : [],
  );
  const held = boxes.filter((i) => i.held && i.what === claim?.value);
  const mask = createPicture(WIDTH, HEIGHT);
  for (const { box } of held.length ? held : boxes) {
    const pad = 6;
    for (let y = Math.max(0, box![1] - pad); y < Math.min(HEIGHT, box![3] + pad); y++)
      mask.planes[0].fill(1, y * WIDTH + Math.max(0, box![0] - pad), y * WIDTH + Math.min(WIDTH, box![2] + pad));
  }
  return mask;
}

/** Ways to draw the scenes, and to make a thing of them vanish: looks and their weight, what they cannot draw, and what lies over the thing. */
const TECHNIQUES = [
  {
    name: 'techniques that leave forms to be seen',
    folder: '',
    looks: ['washes', 'engravings', 'dabs', 'flat people', 'torn paper'],
    weight: 0.5,
    without: /^$/,
    plants: PLANTS,
  },
  {
    name: 'techniques that draw in lines and dots',
    folder: 'lines',
    looks: ['engravings', 'floor plans', 'halftones'],
    weight: 0.8,
    // one ink has no red, and white paper no night and no flakes: the eye says so as well
    without: /^(colour|time|weather)/,
    plants: ['engravings', 'stipples', 'halftones', 'height fields'],
  },
] as const;
type Technique = (typeof TECHNIQUES)[number];

/** Of 40 takes of each technique, 20 have lost a named thing: how many are told of, and how many words are called lost that can be seen. */
export async function lostThings(print: (text: string) => void, keep?: string): Promise<Line[]> {
  const lines: Line[] = [];
  for (const technique of TECHNIQUES) {
    print(`  ${technique.name}`);
    lines.push(...(await lostIn(technique, print, keep && path.join(keep, technique.folder))));
  }
  return lines;
}

async function lostIn(
  { name, looks, weight, without, plants, folder }: Technique,
  print: (text: string) => void,
  keep?: string,
): Promise<Line[]> {
  const engine = new BuiltInEngine();
  let [named, wrong] = [0, 0];
  if (keep) await mkdir(keep, { recursive: true });
  for (const [k, [prompt, lost]] of SCENES.entries()) {
    const [look, over, mask] = ['look', 'over', 'mask'].map((what) => `${what}${folder}${k}`);
    const pictures: Record<string, Picture> = {
      [look]: familyPicture(looks[k % looks.length], 3 + k),
      [over]: familyPicture(plants[k % plants.length], 40 + k),
      [mask]: maskOver(prompt, lost),
    };
    const usual = { id: 'look', gives: 'look', weight, pictures: [{ content: look }] };
    const region = { content: mask, invert: false, feather: 0.01 };
    const planted = { id: 'over', gives: 'everything', weight: 2, region, pictures: [{ content: over }] };
    for (const influences of [[usual], [usual, planted]]) {
      const request = readRequest({ prompt, width: WIDTH, height: HEIGHT, seed: SEED, influences });
      const { words, rgba } = await engine.render(request, (content) => Promise.resolve(pictures[content]));
      const gone = words.filter((word) => isLost(word) && !without.test(word.means)).map(({ text }) => text);
      const meant = influences.length > 1;
      if (meant && gone.includes(lost)) named++;
      if (gone.some((text) => !meant || text !== lost)) wrong++;
      print(
        `  ${meant ? `without ${lost}` : 'whole'}: ${prompt}: ${words.map(({ text, found }) => `${text} ${found.toFixed(2)}`).join(', ')}`,
      );
      if (!keep) continue;
      const raw = { width: WIDTH, height: HEIGHT, channels: 4 as const };
      const file = path.join(keep, `${String(k).padStart(2, '0')}${meant ? 'b' : 'a'}.png`);
      await writeFile(file, await sharp(Buffer.from(rgba.buffer), { raw }).png().toBuffer());
    }
  }
  return [
    { what: `lost things that are named, of ${SCENES.length}, ${name}`, figure: named, least: 18 },
    {
      what: `takes of ${2 * SCENES.length} in which something is called lost that is there, ${name}`,
      figure: wrong,
      most: 2,
    },
  ];
}
