// Builds core, engine and server (tsc) and the interface (vite). Each skips what has not changed by itself.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { lock } from 'proper-lockfile';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
// not waited for in one piece, so that the lock can be renewed meanwhile
const run = async (args, cwd = root) => {
  const child = spawn(process.execPath, args, { cwd, stdio: 'inherit' });
  const [status] = await once(child, 'exit');
  if (status !== 0) process.exit(status ?? 1);
};
// two who start at the same time build one after the other: the second finds everything done
const release = await lock(path.join(root, 'node_modules'), {
  lockfilePath: path.join(root, 'node_modules/.building'),
  stale: 15_000,
  retries: { retries: 600, factor: 1, minTimeout: 500, maxTimeout: 500 },
});
// what has no source any more must not be found instead of what took its place
for (const project of ['packages/core', 'packages/engine', 'packages/api', 'apps/server']) {
  const dist = path.join(root, project, 'dist');
  if (!existsSync(dist)) continue;
  for (const file of readdirSync(dist, { recursive: true })) {
    const source = path.join(root, project, 'src', String(file).replace(/(\.d)?\.(js|ts)(\.map)?$/, '.ts'));
    if (/\.(js|ts)(\.map)?$/.test(String(file)) && !existsSync(source)) rmSync(path.join(dist, String(file)));
  }
}
await run([path.join(root, 'node_modules/typescript/bin/tsc'), '-b', 'apps/server/tsconfig.build.json']);
await run(
  [path.join(root, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'],
  path.join(root, 'apps/web'),
);
// what travels to other machines does so compressed: a copy beside each script and style, once, at its smallest
const assets = path.join(root, 'apps/web/dist/assets');
for (const name of readdirSync(assets).filter((n) => /\.(js|css)$/.test(n))) {
  const bytes = readFileSync(path.join(assets, name));
  writeFileSync(path.join(assets, `${name}.br`), brotliCompressSync(bytes));
  writeFileSync(path.join(assets, `${name}.gz`), gzipSync(bytes, { level: 9 }));
}
await release();
