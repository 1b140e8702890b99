// npm run dev: the server and the page from source, each anew after an edit; the page on http://127.0.0.1:5173. Options go to the server.
import { spawn } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const watched = ['apps/server/src', 'packages/core/src', 'packages/engine/src'].map(
  (folder) => `--watch-path=${folder}`,
);
const source = ['--conditions=source', '-r', '@swc-node/register'];
const run = (args, cwd) =>
  spawn(process.execPath, args, { cwd, stdio: 'inherit', env: { ...process.env, INIT_CWD: root } });
const children = [
  run(['--watch', ...watched, ...source, 'apps/server/src/main.ts', ...process.argv.slice(2)], root),
  run(
    [path.join(root, 'node_modules/vite/bin/vite.js'), '--host', '127.0.0.1', '--strictPort', '--clearScreen', 'false'],
    path.join(root, 'apps/web'),
  ),
];
const end = () => children.forEach((child) => child.kill('SIGTERM'));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, end);
for (const child of children)
  child.on('exit', (code) => {
    end();
    process.exitCode ||= code ?? 0;
  });
