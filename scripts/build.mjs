// Builds core, engine and server (tsc) and the interface (vite). Each skips what has not changed by itself.
import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const run = (args, cwd = root) => {
  const { status } = spawnSync(process.execPath, args, { cwd, stdio: 'inherit' });
  if (status !== 0) process.exit(status ?? 1);
};
run([path.join(root, 'node_modules/typescript/bin/tsc'), '-b', 'apps/server/tsconfig.build.json']);
run([path.join(root, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'], path.join(root, 'apps/web'));
