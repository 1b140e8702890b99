/**
 * What the engine made of these requests when frozen.json was written. A change of structure may change none of it; a change of the
 * pictures does, and then writes the file anew with `npm run freeze` together with a new version of the engine.
 */
import { readFileSync } from 'fs';
import path from 'path';
import { canvasPrint, FROZEN, madeOf, type Made } from './requests';
import { paintedOf, VOCABULARY_PROMPTS } from './vocabulary';

const kept = JSON.parse(readFileSync(path.join(__dirname, 'frozen.json'), 'utf8')) as {
  readonly canvas: string;
  readonly made: Readonly<Record<string, Made>>;
  readonly painted: Readonly<Record<string, Made>>;
};

/** Steps of 0..255 by which a thumbnail may be off on a machine whose canvas rounds another way. */
const ROUNDING = 4;

test('the kept pictures are those of the requests', () => {
  expect(Object.keys(kept.made).sort()).toEqual(FROZEN.map((r) => r.name).sort());
  expect(Object.keys(kept.painted).sort()).toEqual([...VOCABULARY_PROMPTS].sort());
});

/** Holds a picture to the one that was kept: byte for byte where the canvas rounds as it did there. */
function expectSame(now: Made, before: Made): void {
  const off = Buffer.from(now.thumbnail, 'hex').map((v, i) => Math.abs(v - Buffer.from(before.thumbnail, 'hex')[i]));
  expect(Math.max(...off)).toBeLessThanOrEqual(ROUNDING);
  if (canvasPrint() === kept.canvas) expect(now.hash).toBe(before.hash);
}

test.each(FROZEN)('$name', async ({ request }) => {
  const before = kept.made[FROZEN.find((r) => r.request === request)!.name];
  expectSame(await madeOf(request), before);
});

test.each(VOCABULARY_PROMPTS)('painted: %s', (prompt) => expectSame(paintedOf(prompt), kept.painted[prompt]));
