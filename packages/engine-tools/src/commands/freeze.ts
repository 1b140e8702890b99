/** Keeps what the engine makes and reads of the frozen requests and pictures: npm run freeze. Only where they are meant to change. */
import { writeFileSync } from 'fs';
import path from 'path';
import { readAll } from '../frozen/readings';
import { canvasPrint, FROZEN, madeOf, type Made } from '../frozen/requests';
import { paintedOf, VOCABULARY_PROMPTS } from '../frozen/vocabulary';

async function freeze(): Promise<void> {
  const made: Record<string, Made> = {};
  for (const { name, request } of FROZEN) made[name] = await madeOf(request);
  const painted = Object.fromEntries(VOCABULARY_PROMPTS.map((prompt) => [prompt, paintedOf(prompt)]));
  const file = path.join(__dirname, '../frozen/frozen.json');
  writeFileSync(
    file,
    `${JSON.stringify({ canvas: canvasPrint(), made, painted, ...readAll(VOCABULARY_PROMPTS) }, null, 2)}\n`,
  );
  console.log(`${FROZEN.length + VOCABULARY_PROMPTS.length} pictures kept`);
}
void freeze();
