/**
 * How much of each workspace is tests, in lines of TypeScript and JavaScript. A line counts as a test's when its file is a test
 * (`*.test.ts`, `*.test.tsx`), one of the helpers that only tests use (`testing.ts`, `testing/`, `src/test/`), or the browser's tests and the
 * long campaigns (`e2e/`, `bench/src/soak/`), which count for the whole tree only. Generated files, data, and the
 * sources of kernels, whose twins are the tests, are not counted at all.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** The least share of test lines, 0..1, that each workspace shall have; `all` is the whole tree. */
export const wanted = {
  'packages/core': 0.28,
  'packages/engine': 0.2,
  'apps/server': 0.28,
  'apps/web': 0.22,
  all: 0.25,
};

const isTest = (path) => /\.test\.tsx?$|(^|\/)(testing\.ts|testing\/|src\/test\/)|^(apps\/[a-z]+\/test\/)/.test(path);
const forAll = (path) => isTest(path) || /^(e2e\/|bench\/src\/soak\/)/.test(path);
const counts = (path) =>
  /\.(ts|tsx|mjs|cjs|js)$/.test(path) && !/\.generated\.|^packages\/[a-z]+\/kernel\/|\.tmp\.ts$/.test(path);

/** All files below a folder of the tree, without what is installed, built or kept beside it. */
function* filesBelow(folder) {
  for (const entry of readdirSync(join(root, folder), { withFileTypes: true })) {
    const path = folder ? `${folder}/${entry.name}` : entry.name;
    if (entry.isDirectory() && !/^(node_modules|dist|data|\..*)$/.test(entry.name)) yield* filesBelow(path);
    else if (entry.isFile()) yield path;
  }
}

/** Lines and lines of tests of each workspace, and of the whole tree. */
export function testShares() {
  const shares = { all: { lines: 0, tests: 0 } };
  for (const path of filesBelow('')) {
    if (!counts(path)) continue;
    const lines = readFileSync(join(root, path), 'utf8').split('\n').length - 1;
    const workspace = /^((packages|apps)\/[^/]+|[^/]+)\//.exec(path)?.[1] ?? 'root';
    const share = (shares[workspace] ??= { lines: 0, tests: 0 });
    share.lines += lines;
    shares.all.lines += lines;
    if (isTest(path)) share.tests += lines;
    if (forAll(path)) shares.all.tests += lines;
  }
  return shares;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  for (const [name, { lines, tests }] of Object.entries(testShares())) {
    const least = wanted[name];
    const missing = least === undefined ? 0 : Math.ceil((least * lines - tests) / (1 - least));
    const verdict =
      least === undefined ? '' : missing <= 0 ? 'held' : `wants ${Math.round(least * 100)} %: ${missing} lines more`;
    console.log(
      `${name.padEnd(22)} ${String(tests).padStart(6)} of ${String(lines).padStart(6)} = ${((100 * tests) / lines).toFixed(1)} %  ${verdict}`,
    );
  }
}
