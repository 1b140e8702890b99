/**
 * What the tests are worth: changes lines of the code one at a time - a condition, a number, a call that is left out - and runs the
 * tests that stand on the changed file. A change that no test minds is printed.
 *
 *     node scripts/flips.mjs [--seed 1] [--count 40] [--from 1] [--only packages/core] [--workers 2] [--near] [--browser]
 *
 * Works in a copy of the tree. With --from a run that was cut off goes on at a change, by its number. With --browser, what no unit test
 * minds is built and tried by the browser's tests too. With --near a change of the engine that neither the tests beside it nor the frozen
 * pictures and readings mind counts as not minded, without trying every test that stands on it: stricter, and an hour quicker. Not part of ./check: it takes an hour or two.
 */
import { execFileSync, spawnSync } from 'node:child_process';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  readlinkSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import ts from 'typescript';

const root = path.join(path.dirname(fileURLToPath(import.meta.url)), '..');
const { values: said } = parseArgs({
  options: {
    seed: { type: 'string', default: '1' },
    count: { type: 'string', default: '40' },
    from: { type: 'string', default: '1' },
    only: { type: 'string', default: '' },
    workers: { type: 'string', default: '50%' },
    near: { type: 'boolean', default: false },
    browser: { type: 'boolean', default: false },
  },
});

/** Mulberry32: a small generator of numbers 0..1 that gives the same ones for a seed. */
function numbersFrom(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

const OTHER = {
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: '!==',
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: '===',
  [ts.SyntaxKind.LessThanToken]: '>=',
  [ts.SyntaxKind.GreaterThanToken]: '<=',
  [ts.SyntaxKind.LessThanEqualsToken]: '>',
  [ts.SyntaxKind.GreaterThanEqualsToken]: '<',
  [ts.SyntaxKind.AmpersandAmpersandToken]: '||',
  [ts.SyntaxKind.BarBarToken]: '&&',
};
/** Calls that nobody would miss: they tell, and do nothing. */
const TELLS = /^(console|log|this\.log|lap)\b/;

/** Attributes of elements that say how something looks, by a number. */
const LOOKS = ['size', 'sideOffset', 'collisionPadding', 'strokeWidth'];

/** All single changes of a source: where, instead of what, what. */
function changesOf(file, text) {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const changes = [];
  const put = (kind, node, by) =>
    changes.push({ file, kind, start: node.getStart(source), end: node.getEnd(), by, was: node.getText(source) });
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isImportDeclaration(node)) return;
    // how large a sign is drawn is no behaviour
    if (ts.isJsxAttribute(node) && LOOKS.includes(node.name.getText(source))) return;
    if (ts.isBinaryExpression(node) && OTHER[node.operatorToken.kind])
      put('condition', node.operatorToken, OTHER[node.operatorToken.kind]);
    if (ts.isNumericLiteral(node) && !ts.isEnumMember(node.parent))
      put('number', node, Number(node.text) === 0 ? '1' : `(${node.text} * 1.5 + 1)`);
    if (ts.isExpressionStatement(node)) {
      const call = ts.isAwaitExpression(node.expression) ? node.expression.expression : node.expression;
      if (ts.isCallExpression(call) && !TELLS.test(call.getText(source))) put('call', node, ';');
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return changes;
}

/** Sources that hold logic: no tests, nothing generated, no tables of words, no commands. */
function sources() {
  const files = execFileSync('git', ['ls-files', 'packages', 'apps'], { cwd: root, encoding: 'utf8' }).split('\n');
  return files.filter(
    (file) =>
      /\.tsx?$/.test(file) &&
      file.startsWith(said.only) &&
      !/\.test\.tsx?$|\.generated\.|\.d\.ts$|testing\.ts$|\/test\/|\/kernel\/|\/prompt\/english\/|\/migrations\/|packages\/(api|engine-tools)\/|\/main\.tsx?$|(openapi|schemaSql)\.ts$|vite\.config/.test(
        file,
      ),
  );
}

/** Lines, each as likely as any other, and of each one change. */
function chosen(count) {
  const next = numbersFrom(Number(said.seed));
  const lines = new Map();
  for (const file of sources()) {
    const text = readFileSync(path.join(root, file), 'utf8');
    for (const change of changesOf(file, text)) {
      const line = text.slice(0, change.start).split('\n').length;
      const key = `${file}:${line}`;
      lines.set(key, [...(lines.get(key) ?? []), { ...change, line }]);
    }
  }
  const all = [...lines.values()];
  return Array.from({ length: count }, () => {
    const [line] = all.splice(Math.floor(next() * all.length), 1);
    return line[Math.floor(next() * line.length)];
  });
}

/** A copy of the tree, with the packages of this one and no build in it. */
function copied() {
  const copy = mkdtempSync(path.join(os.tmpdir(), 'urbild-flips-'));
  const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { cwd: root, encoding: 'utf8' });
  for (const file of files.split('\n').filter(Boolean)) cpSync(path.join(root, file), path.join(copy, file));
  for (const workspace of ['', 'apps/server', 'apps/web', 'packages/core', 'packages/engine', 'packages/api']) {
    const from = path.join(root, workspace, 'node_modules');
    if (!existsSync(from)) continue;
    const to = path.join(copy, workspace, 'node_modules');
    mkdirSync(to, { recursive: true });
    // our own packages are those of the copy
    for (const name of readdirSync(from).filter((n) => n !== '@urbild' && n !== '.cache'))
      symlinkSync(path.join(from, name), path.join(to, name));
    if (workspace) continue;
    mkdirSync(path.join(to, '@urbild'));
    for (const name of readdirSync(path.join(from, '@urbild')))
      symlinkSync(readlinkSync(path.join(from, '@urbild', name)), path.join(to, '@urbild', name));
  }
  return copy;
}

const copy = copied();
/** A change may make a loop that never ends: longer than this no run of unchanged tests takes, ms. */
const PATIENCE = { beside: 900_000, pictures: 600_000, elsewhere: 3_600_000, browser: 3_600_000, build: 600_000 };
const run = (where, ...args) =>
  spawnSync(process.execPath, args, {
    cwd: copy,
    stdio: ['ignore', 'ignore', 'pipe'],
    encoding: 'utf8',
    maxBuffer: 256 * 1024 * 1024,
    timeout: PATIENCE[where],
    killSignal: 'SIGKILL',
  });
const jest = path.join('node_modules', 'jest', 'bin', 'jest.js');

/** Runs Jest; returns the first suite that failed, with the name of its first failing test. Undefined where all pass. */
function failureOf(where, ...args) {
  const { status, stderr } = run(where, jest, '--colors=false', `--maxWorkers=${said.workers}`, ...args);
  if (status === 0) return undefined;
  const suite = /^FAIL (?:\S+ )?(\S+\.(?:test|e2e)\.tsx?)/m.exec(stderr)?.[1] ?? '';
  return { suite, test: /^ {2}● (.+)$/m.exec(stderr)?.[1] ?? 'the run did not come to its end' };
}

/** The suites of what is kept of pictures and readings that a file can change, the likeliest first. */
function frozenFor(file) {
  if (/engine\/src\/painter\//.test(file)) return ['painted', 'made', 'readings'];
  if (/engine\/src\/(understand|traits|measure)\/|packages\/core\//.test(file)) return ['readings', 'made', 'painted'];
  return /engine\//.test(file) ? ['made', 'readings', 'painted'] : [];
}

/**
 * What is tried for a change, in this order: the tests beside the file, those of its package, the frozen pictures, all tests that stand
 * on it.
 */
function trials(file) {
  const beside = path.dirname(file).replaceAll('/', '[\\\\/]');
  return [
    ['beside', '--bail', '--passWithNoTests', '--testPathPatterns', `${beside}[\\\\/][^\\\\/]*\\.test`],
    ...(/packages\/core\//.test(file)
      ? [['elsewhere', '--bail', '--passWithNoTests', '--selectProjects', 'core', '--findRelatedTests', file]]
      : []),
    ...frozenFor(file).map((name) => ['pictures', '--selectProjects', 'tools', '--testPathPatterns', `frozen/${name}`]),
    ...(said.near && file.startsWith('packages/engine/')
      ? []
      : [['elsewhere', '--bail', '--passWithNoTests', '--findRelatedTests', file]]),
  ];
}

/** The first trial that fails, with the suite and the test that did; undefined where none does. */
function minded({ file }) {
  for (const [where, ...args] of trials(file)) {
    const failure = failureOf(where, ...args);
    if (failure) return { where, ...failure };
  }
  if (!said.browser || !/apps\//.test(file)) return undefined;
  if (run('build', 'scripts/build.mjs').status) return { where: 'build', suite: '', test: 'the build' };
  const failure = failureOf('browser', '--config', 'e2e/jest.config.cjs', '--runInBand', '--bail');
  return failure && { where: 'browser', ...failure };
}

const sound = new Map();
/** A suite that fails without any change says nothing: then the copy, or a test, is broken. */
function assertSound({ where, suite }) {
  if (!suite || where === 'browser') return;
  if (!sound.has(suite)) sound.set(suite, !failureOf('elsewhere', '--runTestsByPath', suite));
  if (sound.get(suite)) return;
  console.error(`${suite} fails without a change`);
  process.exit(2);
}

let caught = 0;
const first = Number(said.from);
const all = chosen(Number(said.count)).slice(first - 1);
for (const [k, change] of all.entries()) {
  const { file, line, kind, was, by, start, end } = change;
  const at = path.join(copy, file);
  const text = readFileSync(at, 'utf8');
  writeFileSync(at, text.slice(0, start) + by + text.slice(end));
  const failing = minded(change);
  writeFileSync(at, text);
  if (failing) {
    assertSound(failing);
    caught++;
  }
  const short = was.replace(/\s+/g, ' ').slice(0, 70);
  const verdict = failing ? `caught ${failing.where}` : 'NOT MINDED';
  console.log(`${String(k + first).padStart(3)} ${verdict}  ${file}:${line}  ${kind}: ${short} -> ${by}`);
  if (failing) console.log(`      by ${failing.suite}: ${failing.test}`);
}
rmSync(copy, { recursive: true, force: true });
console.log(`\n${caught} of ${all.length} changes were minded by a test (wanted: ${Math.ceil(all.length * 0.85)})`);
process.exit(caught >= Math.ceil(all.length * 0.85) ? 0 : 1);
