// Whether the embedded SIMD kernels are made from their sources as they are.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';

let status = 0;
for (const folder of ['packages/core', 'packages/engine']) {
  const { scripts } = JSON.parse(readFileSync(path.join(folder, 'package.json'), 'utf8'));
  const [, script, ...args] = scripts.kernel.split(' ');
  status ||= spawnSync(process.execPath, [script, ...args, '--check'], { cwd: folder, stdio: 'inherit' }).status ?? 1;
}
process.exit(status);
