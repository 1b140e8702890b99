/** No file imports itself by way of others: whoever reads one can stop somewhere. Imports of types count too. */
import { existsSync, readdirSync, readFileSync } from 'fs';
import path from 'path';
import ts from 'typescript';

const root = path.resolve(__dirname, '..');

/** The files of a workspace that a file imports. */
function importsOf(file: string): string[] {
  const { importedFiles } = ts.preProcessFile(readFileSync(file, 'utf8'), true, true);
  return importedFiles.flatMap(({ fileName }) => {
    if (!fileName.startsWith('.')) return [];
    const base = path.resolve(path.dirname(file), fileName);
    return [`${base}.ts`, `${base}.tsx`, path.join(base, 'index.ts')].filter((f) => existsSync(f)).slice(0, 1);
  });
}

/** Sets of files that reach each other: Tarjan, "Depth-first search and linear graph algorithms" (1972). */
function circlesOf(files: readonly string[]): string[][] {
  const out: string[][] = [];
  const index = new Map<string, number>();
  const low = new Map<string, number>();
  const stack: string[] = [];
  const visit = (file: string): void => {
    index.set(file, index.size);
    low.set(file, index.get(file)!);
    stack.push(file);
    for (const next of importsOf(file)) {
      if (!index.has(next)) visit(next);
      if (stack.includes(next)) low.set(file, Math.min(low.get(file)!, low.get(next)!));
    }
    if (low.get(file) !== index.get(file)) return;
    const circle = stack.splice(stack.indexOf(file));
    if (circle.length > 1) out.push(circle.map((f) => path.relative(root, f)).sort());
  };
  for (const file of files) if (!index.has(file)) visit(file);
  return out;
}

test.each(['packages/core', 'packages/engine', 'apps/server', 'apps/web', 'bench', 'e2e'])('%s', (workspace) => {
  const files = readdirSync(path.join(root, workspace, 'src'), { recursive: true, encoding: 'utf8' })
    .filter((f) => /\.tsx?$/.test(f) && !f.includes('.tmp.'))
    .map((f) => path.join(root, workspace, 'src', f));
  expect(files.length).toBeGreaterThan(5);
  expect(circlesOf(files)).toEqual([]);
});
