/** Tests are a quarter to a third of the code, in every workspace as much as was agreed on. */
import { execFileSync } from 'child_process';
import path from 'path';

const lines = execFileSync(process.execPath, [path.join(__dirname, 'testShare.mjs')], { encoding: 'utf8' }).split('\n');

test.each(['all', 'apps/server', 'apps/web', 'packages/core', 'packages/engine'])('%s', (workspace) => {
  const line = lines.find((l) => l.startsWith(`${workspace} `));
  expect(line).toMatch(/held$/);
});

test('no part of the tree is mostly tests', () => {
  const all = /(\d+) of +(\d+)/.exec(lines.find((l) => l.startsWith('all '))!)!;
  expect(Number(all[1]) / Number(all[2])).toBeLessThan(0.34);
});
