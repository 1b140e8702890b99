import { distancesToPeople, STRANGERS } from '@urbild/core';
import { BuiltInEngine, readRequest } from '@urbild/engine';
import path from 'path';
import type { Sitter } from './foreignSitters';
import type { Line } from './honest/line';
import { sheetOfTiles, type Tile } from './tiles';

const SIDE = 384;
const WHO = [0, 1, 3, 8] as const;
const WEIGHTS = [0, 0.5, 1, 1.5, 2] as const;
/** Nearer by less than this is as near. */
const EQUAL = 0.03;

/** Four people at rising weights: how many of the steps from one to the next bring the picture nearer to them, or keep it there. */
export async function weightsOfPeople(people: readonly Sitter[], dir?: string): Promise<Line> {
  const engine = new BuiltInEngine();
  const tiles: Tile[] = [];
  let [nearer, steps] = [0, 0];
  for (const n of WHO) {
    const { sheet, rgba, name, pictures } = people[n];
    tiles.push({ ...rgba[0], label: name });
    let before = Infinity;
    for (const weight of WEIGHTS) {
      const who = { id: 'who', gives: 'character', weight, traits: sheet, pictures: [{ content: `who ${n}` }] };
      const result = await engine.render(
        readRequest({
          ...{ prompt: 'portrait of somebody in the meadow, front', width: SIDE, height: SIDE, seed: 5 },
          influences: [who],
        }),
        () => Promise.resolve(pictures[0]),
      );
      const [distance] = distancesToPeople(result.figures[0].traits, [sheet], STRANGERS)!;
      if (before < Infinity) {
        steps++;
        if (distance <= before + EQUAL) nearer++;
      }
      before = distance;
      tiles.push({ rgba: result.rgba, width: SIDE, height: SIDE, label: `${weight}: ${distance.toFixed(2)} away` });
    }
  }
  if (dir) await sheetOfTiles(path.join(dir, 'weights.png'), tiles, { columns: 1 + WEIGHTS.length, side: 220 });
  return { what: `steps of a weight that bring somebody nearer, of ${steps}`, figure: nearer, least: steps };
}
