/** Keeps what the engine makes of the frozen requests: npm run freeze. Only where pictures are meant to change. */
import { writeFileSync } from 'fs';
import path from 'path';
import { canvasPrint, FROZEN, madeOf, type Made } from '../frozen/requests';
import { paintedOf, VOCABULARY_PROMPTS } from '../frozen/vocabulary';

async function freeze(): Promise<void> {
  const made: Record<string, Made> = {};
  for (const { name, request } of FROZEN) made[name] = await madeOf(request);
  const painted = Object.fromEntries(VOCABULARY_PROMPTS.map((prompt) => [prompt, paintedOf(prompt)]));
  const file = path.join(__dirname, '../frozen/frozen.json');
  writeFileSync(file, `${JSON.stringify({ canvas: canvasPrint(), made, painted }, null, 2)}\n`);
  console.log(`${FROZEN.length + VOCABULARY_PROMPTS.length} pictures kept`);
}
void freeze();
