// Checks the types of every workspace, tests included.
import { spawnSync } from 'node:child_process';

const projects = [
  'packages/core',
  'packages/engine',
  'packages/engine-tools',
  'packages/api',
  'apps/server',
  'apps/web',
  'e2e',
  'bench',
];
let failed = false;
for (const project of projects) {
  const { status } = spawnSync(process.execPath, ['node_modules/typescript/bin/tsc', '--noEmit', '-p', project], {
    stdio: 'inherit',
  });
  failed ||= status !== 0;
  if (status !== 0) console.error(`types: ${project} has errors`);
}
process.exit(failed ? 1 : 0);
