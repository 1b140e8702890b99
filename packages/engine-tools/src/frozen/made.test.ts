/**
 * What the engine made of these requests when frozen.json was written. A change of structure may change none of it; a change of the
 * pictures does, and then writes the file anew with `npm run freeze` together with a new version of the engine.
 */
import { isNear, kept, sameCanvas } from './kept';
import { FROZEN, madeOf } from './requests';

test('the kept pictures are those of the requests', () => {
  expect(Object.keys(kept.made).sort()).toEqual(FROZEN.map((r) => r.name).sort());
});

test.each(FROZEN)('$name', async ({ name, request }) => {
  const [now, before] = [await madeOf(request), kept.made[name]];
  expect(isNear(now, before)).toBe(true);
  if (sameCanvas) expect(now).toEqual(before);
});
