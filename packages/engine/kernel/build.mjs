// Compiles the patch matching kernel and embeds it in src/synthesis/kernel.generated.ts.
import { readFile, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import asc from 'assemblyscript/asc';

const here = path.dirname(fileURLToPath(import.meta.url));
const wasm = path.join(here, 'patchmatch.wasm');
const { error, stderr } = await asc.main([
  path.join(here, 'patchmatch.ts'),
  '-o',
  wasm,
  '-O3',
  '--enable',
  'simd',
  '--runtime',
  'stub',
  '--noAssert',
]);
if (error) {
  console.error(stderr.toString());
  process.exit(1);
}
const base64 = (await readFile(wasm)).toString('base64');
await rm(wasm);
await writeFile(
  path.join(here, '../src/synthesis/kernel.generated.ts'),
  `// Made by \`npm run kernel\` from kernel/patchmatch.ts; do not edit.\nexport const KERNEL_WASM =\n  '${base64}';\n`,
);
console.log(`kernel: ${base64.length} characters`);
