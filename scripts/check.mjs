// Runs all checks one after the other and counts them. Names of steps as arguments run only those.
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

const scratch = mkdtempSync(path.join(os.tmpdir(), 'urbild-check-'));
const bin = (name) => path.join('node_modules', name);
const workers = String(Math.min(2, os.availableParallelism()));
/** What needs one core each: two rows of steps beside each other. */
const quick = [
  [
    { name: 'types', args: ['scripts/types.mjs'] },
    { name: 'kernels', args: ['scripts/checkKernels.mjs'] },
    { name: 'notices', args: ['scripts/notices.mjs', '--check'] },
  ],
  [
    { name: 'lint', args: [bin('eslint/bin/eslint.js'), '.', '--max-warnings', '0'] },
    { name: 'format', args: [bin('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.'] },
  ],
];
const jest = bin('jest/bin/jest.js');
const e2e = ['--config', 'e2e/jest.config.cjs', '--maxWorkers', workers];
/** What takes all of the machine. */
const steps = [
  { name: 'unit', args: [jest, '--maxWorkers', workers], jest: true },
  { name: 'build', args: ['scripts/build.mjs'] },
  { name: 'e2e', args: [jest, ...e2e], jest: true },
];
/** What differs from the last commit, where this is a checkout: a check may leave nothing behind. */
const tree = () => spawnSync('git', ['status', '--porcelain'], { encoding: 'utf8' }).stdout ?? '';
const before = tree();
const wanted = process.argv.slice(2);
const asked = ({ name }) => !wanted.length || wanted.includes(name);
let passed = 0;
let failed = 0;
/** Tells how a step ended. */
const told = (name, status, since) => {
  const seconds = Math.round((Date.now() - since) / 1000);
  console.log(`${name}: ${status === 0 ? 'passed' : 'FAILED'} in ${seconds} s`);
};

/** Runs a step beside others; what it says comes when it ends. */
const beside = ({ name, args }) =>
  new Promise((resolve) => {
    const since = Date.now();
    const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
    child.on('close', (status) => {
      console.log(`\n== ${name}\n${said.trimEnd()}`);
      told(name, status, since);
      if (status === 0) passed++;
      else failed++;
      resolve();
    });
  });

await Promise.all(
  quick.map(async (row) => {
    for (const step of row.filter(asked)) await beside(step);
  }),
);
for (const { name, args, jest } of steps.filter(asked)) {
  console.log(`\n== ${name}`);
  const report = path.join(scratch, `${name}.json`);
  const since = Date.now();
  const { status } = spawnSync(process.execPath, jest ? [...args, '--json', '--outputFile', report] : args, {
    stdio: ['ignore', jest ? 'ignore' : 'inherit', 'inherit'],
  });
  told(name, status, since);
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
