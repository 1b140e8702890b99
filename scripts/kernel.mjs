// Compiles a SIMD kernel and embeds it: node kernel.mjs SOURCE.ts GENERATED.ts NAME; with --check it only says whether the
// embedded one is that of the source.
import { readFile, rm, writeFile } from 'node:fs/promises';
import asc from 'assemblyscript/asc';

const [source, generated, name, mode] = process.argv.slice(2);
const wasm = source.replace(/\.ts$/, '.wasm');
const { error, stderr } = await asc.main([
  source,
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
const text = `// Made by \`npm run kernel\` from ${source}; do not edit.\nexport const ${name} =\n  '${base64}';\n`;
if (mode === '--check') {
  if ((await readFile(generated, 'utf8')) !== text) {
    console.error(`${generated} is not made from ${source} as it is: run \`npm run kernel\``);
    process.exit(1);
  }
} else await writeFile(generated, text);
console.log(`${name}: ${base64.length} characters`);
