// Builds core, engine and server (tsc) and the interface (vite). Each skips what has not changed by itself.
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, gzipSync } from 'node:zlib';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const run = (args, cwd = root) => {
  const { status } = spawnSync(process.execPath, args, { cwd, stdio: 'inherit' });
  if (status !== 0) process.exit(status ?? 1);
};
// what has no source any more must not be found instead of what took its place
for (const project of ['packages/core', 'packages/engine', 'packages/api', 'apps/server']) {
  const dist = path.join(root, project, 'dist');
  if (!existsSync(dist)) continue;
  for (const file of readdirSync(dist, { recursive: true })) {
    const source = path.join(root, project, 'src', String(file).replace(/(\.d)?\.(js|ts)(\.map)?$/, '.ts'));
    if (/\.(js|ts)(\.map)?$/.test(String(file)) && !existsSync(source)) rmSync(path.join(dist, String(file)));
  }
}
run([path.join(root, 'node_modules/typescript/bin/tsc'), '-b', 'apps/server/tsconfig.build.json']);
run([path.join(root, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'], path.join(root, 'apps/web'));
// what travels to other machines does so compressed: a copy beside each script and style, once, at its smallest
const assets = path.join(root, 'apps/web/dist/assets');
for (const name of readdirSync(assets).filter((n) => /\.(js|css)$/.test(n))) {
  const bytes = readFileSync(path.join(assets, name));
  writeFileSync(path.join(assets, `${name}.br`), brotliCompressSync(bytes));
  writeFileSync(path.join(assets, `${name}.gz`), gzipSync(bytes, { level: 9 }));
}
