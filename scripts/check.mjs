// Runs all checks one after the other and counts them. Names of steps as arguments run only those.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

const scratch = mkdtempSync(path.join(os.tmpdir(), 'urbild-check-'));
const bin = (name) => path.join('node_modules', name);
const steps = [
  { name: 'lint', args: [bin('eslint/bin/eslint.js'), '.', '--max-warnings', '0'] },
  { name: 'format', args: [bin('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.'] },
  { name: 'types', args: ['scripts/types.mjs'] },
  { name: 'kernels', args: ['scripts/checkKernels.mjs'] },
  { name: 'notices', args: ['scripts/notices.mjs', '--check'] },
  { name: 'unit', args: [bin('jest/bin/jest.js'), '--maxWorkers=2'], jest: true },
  { name: 'build', args: ['scripts/build.mjs'] },
  { name: 'e2e', args: [bin('jest/bin/jest.js'), '--config', 'e2e/jest.config.cjs', '--runInBand'], jest: true },
];
/** What differs from the last commit, where this is a checkout: a check may leave nothing behind. */
const tree = () => spawnSync('git', ['status', '--porcelain'], { encoding: 'utf8' }).stdout ?? '';
const before = tree();
const wanted = process.argv.slice(2);
let passed = 0;
let failed = 0;
for (const { name, args, jest } of steps) {
  if (wanted.length && !wanted.includes(name)) continue;
  console.log(`\n== ${name}`);
  const report = path.join(scratch, `${name}.json`);
  const since = Date.now();
  const { status } = spawnSync(process.execPath, jest ? [...args, '--json', '--outputFile', report] : args, {
    stdio: ['ignore', jest ? 'ignore' : 'inherit', 'inherit'],
  });
  console.log(`${name}: ${status === 0 ? 'passed' : 'FAILED'} in ${Math.round((Date.now() - since) / 1000)} s`);
  if (!jest) {
    if (status === 0) passed++;
    else failed++;
    continue;
  }
  try {
    const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(report, 'utf8'));
    passed += numPassedTests;
    failed +=
      numFailedTests +
      numRuntimeErrorTestSuites +
      (status !== 0 && !numFailedTests && !numRuntimeErrorTestSuites ? 1 : 0);
  } catch {
    failed++;
  }
}
rmSync(scratch, { recursive: true, force: true });
if (tree() === before) passed++;
else {
  failed++;
  console.error(`\nthe check has changed the tree:\n${tree()}`);
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
