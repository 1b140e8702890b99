import { fuseTraits, pictureFromRgba, traitDistance, type Medium, type TraitSheet } from '@urbild/core';
import { BuiltInEngine, readRequest } from '@urbild/engine';
import { peopleWatcher } from './people';

const CAST = [
  'Ilse',
  'Marek',
  'Tove',
  'Juna',
  'an old woman with white hair in a bun and glasses, in a green coat',
  'a girl with two blond plaits in a blue dress',
];
const DRAWN: readonly Medium[] = ['ink wash', 'pastel', 'linocut'];
const PROMPTS = [
  'half figure of a woman in the meadow, front',
  'portrait of a girl in the harbour at noon, front',
  'half figure of a man in the forest',
  'portrait of a young woman on the beach at dusk',
  'half figure of an old woman in the kitchen',
  'a woman walking on the pier at noon',
  'portrait of a boy in the attic',
  'half figure of a woman holding a cup, market quay in the morning',
  'half figure of a girl in the orchard, autumn',
  'portrait of a woman, stilt village at dawn',
];
const [WIDTH, HEIGHT] = [480, 600];

/** Ilse from three drawn pictures of her: whether the figure of ten other prompts becomes her, against five others of the cast. */
export async function benchIdentity(): Promise<void> {
  const { see, done } = await peopleWatcher(WIDTH, HEIGHT);
  const seen = async (who: string, medium: Medium, seed: number) => (await see(who, medium, seed)).read?.traits;
  const own: TraitSheet[] = [];
  for (const [k, medium] of DRAWN.entries()) own.push(...[await seen(CAST[0], medium, 40 + k)].flatMap((s) => s ?? []));
  const sheet = fuseTraits(own);
  // the others, and she herself, as one picture in the house look shows them
  const cast: TraitSheet[] = [];
  for (const [k, words] of CAST.entries()) cast.push((await seen(words, 'gouache', 60 + k)) ?? {});
  await done();
  const engine = new BuiltInEngine();
  const firsts: Record<string, number> = {};
  const misses: string[] = [];
  for (const weight of [0, 1])
    for (const prompt of PROMPTS) {
      const request = readRequest({
        prompt,
        width: 512,
        height: 512,
        seed: 11,
        influences: [{ gives: 'character', weight, traits: sheet, pictures: [{ content: 'none' }] }],
      });
      const { figures } = await engine.render(request, () =>
        Promise.resolve(pictureFromRgba(new Uint8ClampedArray(4 * 64), 8, 8)),
      );
      const distances = cast.map((c) => traitDistance(figures[0]?.traits ?? {}, c) ?? Infinity);
      const first = distances.indexOf(Math.min(...distances));
      if (first === 0) firsts[weight] = (firsts[weight] ?? 0) + 1;
      else if (weight === 1) misses.push(`${prompt}: ${CAST[first]}`);
    }
  console.log(
    `Ilse from ${own.length} drawn pictures (${DRAWN.join(', ')}), in ${PROMPTS.length} prompts that do not name her:`,
  );
  console.log(`  ranks first at weight 1              ${firsts[1] ?? 0}/${PROMPTS.length}  (wanted: 8)`);
  console.log(`  ranks first at weight 0              ${firsts[0] ?? 0}/${PROMPTS.length}  (wanted: few)`);
  for (const m of misses) console.log(`    missed: ${m}`);
}

if (require.main === module) void import('reflect-metadata').then(benchIdentity);
