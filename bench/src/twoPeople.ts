import { distancesToPeople, STRANGERS } from '@urbild/core';
import { BuiltInEngine, readRequest } from '@urbild/engine';
import path from 'path';
import type { Sitter } from './foreignSitters';
import type { Line } from './honest/line';
import { sheetOfTiles, type Tile } from './tiles';

const [WIDTH, HEIGHT] = [512, 384];
/** Who stands beside whom, by their numbers among the twelve. */
const PAIRS = [
  [0, 3],
  [1, 8],
  [5, 6],
  [11, 4],
] as const;
const SCENES = [
  'half figure of Anna and Bert on the pier at noon',
  'half figure of Anna and Bert in the kitchen',
  'Anna and Bert walking in the meadow, cloudy',
  'half figure of Anna and Bert in the harbour at dusk',
];

/** Two people in one plate, in four scenes: how many of them are nearer to who they are than to who stands beside them. */
export async function twoPeople(people: readonly Sitter[], dir?: string): Promise<Line> {
  const engine = new BuiltInEngine();
  const sheets = people.map((p) => p.sheet);
  const tiles: Tile[] = [];
  let [right, all] = [0, 0];
  for (const pair of PAIRS) {
    tiles.push(...pair.map((n) => ({ ...people[n].rgba[0], label: people[n].name })));
    for (const [k, prompt] of SCENES.entries()) {
      const request = readRequest({
        ...{ prompt, width: WIDTH, height: HEIGHT, seed: 5 + k },
        names: [
          { name: 'Anna', description: '' },
          { name: 'Bert', description: '' },
        ],
        influences: pair.map((n, side) => {
          const subject = ['Anna', 'Bert'][side];
          const pictures = [{ content: `${subject} ${n}` }];
          return { id: subject, gives: 'character', weight: 1, subject, traits: sheets[n], pictures };
        }),
      });
      const { rgba, figures } = await engine.render(request, () => Promise.resolve(people[pair[0]].pictures[0]));
      const ranks = figures.map((f) => {
        const distances = distancesToPeople(f.traits, sheets, STRANGERS);
        const [own, other] = f.name === 'Anna' ? pair : [pair[1], pair[0]];
        if (distances && distances[own] < distances[other]) right++;
        return distances ? 1 + distances.filter((d) => d < distances[own]).length : Infinity;
      });
      all += 2;
      tiles.push({
        rgba,
        width: WIDTH,
        height: HEIGHT,
        label: figures.map((f, n) => `${f.name} ${ranks[n]}`).join(', '),
      });
    }
  }
  if (dir) await sheetOfTiles(path.join(dir, 'two.png'), tiles, { columns: 2 + SCENES.length, side: 230 });
  return {
    what: `two people in one plate, of ${all} nearer to themselves than to the other`,
    figure: right,
    least: all,
  };
}
