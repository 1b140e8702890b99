import { Keeper, keptOf, unsavedDocuments } from './keeper';
import type { Kept } from './saveQueue';

interface Words {
  readonly prompt: string;
}

/** What is kept of a document: the state that the server has, and the one that the page shows. */
const kept = (base: string, mine: string, past: string[] = []): Kept<Words> => ({
  base: { state: { prompt: base }, version: 1 },
  mine: { prompt: mine },
  past: past.map((prompt) => ({ prompt })) as never,
  future: [],
});
/** Writes end after the promises that they wait for. */
const written = () => new Promise((resolve) => setTimeout(resolve, 30));

test('what was kept last of a document is found again, with its steps of undo', async () => {
  const keeper = new Keeper<Words>('mix one');
  keeper.keep(kept('a fox', 'a fox at'));
  keeper.keep(kept('a fox', 'a fox at dusk', ['a fox']));
  await written();
  const found = await keptOf<Words>('mix one');
  expect(found.map(({ mine, past }) => [mine.prompt, past.length])).toEqual([['a fox at dusk', 1]]);
  expect(await keptOf('mix two')).toEqual([]);
});

test('documents with edits that nobody sent are named, those that are saved are not', async () => {
  new Keeper<Words>('mix unsaved').keep(kept('a hen', 'a hen in snow'));
  new Keeper<Words>('mix saved').keep(kept('a hen', 'a hen'));
  await written();
  const names = await unsavedDocuments();
  expect(names).toContain('mix unsaved');
  expect(names).not.toContain('mix saved');
});
