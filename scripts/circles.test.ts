/** No file imports itself by way of others: whoever reads one can stop somewhere. Imports of types count too. */
import path from 'path';
import { importsOf, root, sourcesOf } from './importsOf';

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
  const files = sourcesOf(workspace);
  expect(files.length).toBeGreaterThan(5);
  expect(circlesOf(files)).toEqual([]);
});
