/**
 * npm run bench:ranking -- [--keep DIR --looks none,wet washes,dabs]: twelve people of foreign families, each in three scenes in the house
 * medium and in two foreign looks: how often the measure puts the right one first of the twelve; two of them in one plate; four of them at
 * rising weights. With --keep, sheets for eyes: the people, the plates with their names, the plates shuffled under numbers, their key apart.
 */
import {
  distancesToPeople,
  identityArrival,
  median,
  pictureFromRgba,
  Random,
  STRANGERS,
  type Picture,
} from '@urbild/core';
import { BuiltInEngine, readRequest, type RenderResult } from '@urbild/engine';
import { asDrawn, influence } from '@urbild/engine/tools';
import { FAMILIES } from '@urbild/engine-tools';
import { mkdir, writeFile } from 'fs/promises';
import path from 'path';
import { parseArgs } from 'util';
import { sitters, withReader, type Sitter } from './foreignSitters';
import { holds, told, type Line } from './honest/line';
import { sheetOfTiles, type Tile } from './tiles';
import { twoPeople } from './twoPeople';
import { weightsOfPeople } from './weightsOfPeople';

const PEOPLE = 12;
const PICTURES = 4;
const [WIDTH, HEIGHT] = [512, 512];
/** Words that name nobody and say nothing of how anybody looks. */
const SCENES = [
  'half figure of somebody on the pier at noon',
  'half figure of somebody in the kitchen in the morning',
  'portrait of somebody in the meadow, cloudy',
];
/** The right one of twelve, of 36 plates. */
const LEAST = { house: 32, look: 26 } as const;

/** A look of a foreign family: three pictures of it. */
const lookOf = (name: string): Picture[] => {
  const family = FAMILIES.find((f) => f.name === name)!;
  return [1, 2, 3].map((seed) => {
    const { rgba, width, height } = family.make({ who: 1, seed });
    return pictureFromRgba(rgba, width, height);
  });
};

/** One plate with who is in it. */
interface Plate {
  readonly who: number;
  readonly rank: number;
  /** Distance to who it is, and to the nearest of the others. */
  readonly own: number;
  readonly nearest: number;
  /** Of who it is among the others, and of each of the others alone. */
  readonly arrival: number;
  readonly wrong: readonly number[];
  readonly result: RenderResult;
}

async function plates(people: readonly Sitter[], look: string): Promise<Plate[]> {
  const engine = new BuiltInEngine();
  const looks = look === 'none' ? [] : lookOf(look);
  const out: Plate[] = [];
  for (const [who, { sheet, pictures }] of people.entries())
    for (const [scene, prompt] of SCENES.entries()) {
      const character = {
        id: 'who',
        gives: 'character',
        weight: 1,
        traits: sheet,
        pictures: [{ content: `who ${who}` }],
      };
      const style = {
        id: 'look',
        gives: 'look',
        weight: 0.8,
        pictures: looks.map((_, k) => ({ content: `${look} ${k}` })),
      };
      const request = readRequest({
        ...{ prompt, width: WIDTH, height: HEIGHT, seed: 5 + scene },
        influences: looks.length ? [character, style] : [character],
      });
      const result = await engine.render(request, (name) =>
        Promise.resolve(name.startsWith('who') ? pictures[0] : looks[Number(name.split(' ').at(-1))]),
      );
      const figure = result.figures[0];
      const seen = figure?.unlooked ?? figure?.traits ?? {};
      // whose pictures tell no colours is drawn in the same made-up ones everywhere
      const sheets = people.map((p, k) =>
        asDrawn(influence({ gives: 'character', pictures: [{ content: `who ${k}`, weight: 1 }] }), p.sheet),
      );
      const distances = distancesToPeople(seen, sheets, STRANGERS) ?? people.map(() => 1);
      const rank = distances.filter((d) => d < distances[who]).length + 1;
      const nearest = Math.min(...distances.filter((_, k) => k !== who));
      const at = (k: number, others = sheets.filter((_, n) => n !== k)) =>
        identityArrival(seen, sheets[k], others)?.value ?? 0;
      // as in a library in which the right one is not
      const wrong = sheets.flatMap((_, k) => (k === who ? [] : [at(k, [])]));
      out.push({ who, rank, own: distances[who], nearest, arrival: at(who), wrong, result });
    }
  return out;
}

function shuffledBy<T>(random: Random, all: readonly T[]): T[] {
  const keys = all.map(() => random.range(0, 1));
  return all
    .map((_, k) => k)
    .sort((a, b) => keys[a] - keys[b])
    .map((k) => all[k]);
}

const tile = ({ result: { rgba } }: Plate, label: string): Tile => ({ rgba, width: WIDTH, height: HEIGHT, label });

/** Sheets for eyes: what belongs to whom, and the same without names. */
async function keep(dir: string, look: string, all: readonly Plate[], people: readonly Sitter[]): Promise<void> {
  const faces = people.map(({ name, rgba: [first] }, k): Tile => ({ ...first, label: `${k + 1} ${name}` }));
  await sheetOfTiles(path.join(dir, 'people.png'), faces, { columns: 6, side: 200 });
  const named = all.map((p) => tile(p, `${p.who + 1}: rank ${p.rank}`));
  await sheetOfTiles(path.join(dir, `${look}-named.png`), named, { columns: 9, side: 140 });
  const shuffled = shuffledBy(new Random(look.length * 7 + 3), all);
  await sheetOfTiles(
    path.join(dir, `${look}-shuffled.png`),
    shuffled.map((p, k) => tile(p, `plate ${k + 1}`)),
    { columns: 9, side: 170 },
  );
  await writeFile(path.join(dir, `${look}-key.txt`), shuffled.map((p, k) => `${k + 1} ${p.who + 1}`).join('\n'));
}

async function run(): Promise<void> {
  const { values } = parseArgs({
    options: { keep: { type: 'string' }, looks: { type: 'string', default: 'none,wet washes,dabs' } },
  });
  const people = await withReader((read) => sitters(read, PEOPLE, PICTURES));
  for (const { name, sheets } of people) console.log(`  ${name.padEnd(22)} read in ${sheets.length} of ${PICTURES}`);
  if (values.keep) await mkdir(values.keep, { recursive: true });
  const lines: Line[] = [await twoPeople(people, values.keep), await weightsOfPeople(people, values.keep)];
  for (const look of values.looks.split(',')) {
    const all = await plates(people, look);
    const first = all.filter((p) => p.rank === 1).length;
    lines.push({
      what: `${look === 'none' ? 'house medium' : `look of ${look}`}: right person first of ${PEOPLE}, of ${all.length}`,
      figure: first,
      least: look === 'none' ? LEAST.house : LEAST.look,
    });
    for (const [who, { name }] of people.entries()) {
      const own = all.filter((p) => p.who === who);
      const told = own.map(
        (p) => `${p.rank} (${p.own.toFixed(2)}, next ${p.nearest.toFixed(2)}, arrived ${p.arrival.toFixed(2)})`,
      );
      console.log(`  ${look.padEnd(10)} ${name.padEnd(22)} ranks ${told.join('  ')}`);
    }
    const wrong = all.flatMap((p) => p.wrong);
    console.log(
      `  ${look}: arrival of the right one, median ${median(all.map((p) => p.arrival)).toFixed(2)}; of the wrong ones ${median(wrong).toFixed(2)}, above .25 ${wrong.filter((v) => v > 0.25).length} of ${wrong.length}`,
    );
    if (values.keep) await keep(values.keep, look, all, people);
  }
  console.log(`\n${lines.map(told).join('\n')}`);
  process.exit(lines.every(holds) ? 0 : 1);
}

void run();
