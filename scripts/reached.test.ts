/** No file of the page is out of the reach of its unit tests; what only starts it is tried in the browser. */
import path from 'path';
import { importsOf, root, sourcesOf } from './importsOf';

const STARTS = ['main.tsx'];

test('every file of the page is imported by a test, or by what a test imports', () => {
  const files = sourcesOf('apps/web');
  const reached = new Set<string>();
  const visit = (file: string): void => {
    if (reached.has(file)) return;
    reached.add(file);
    importsOf(file).forEach(visit);
  };
  files.filter((f) => /\.test\.tsx?$/.test(f)).forEach(visit);
  const out = files.filter((f) => !reached.has(f) && !f.endsWith('.d.ts'));
  expect(files.length).toBeGreaterThan(200);
  expect(out.map((f) => path.relative(path.join(root, 'apps/web/src'), f))).toEqual(STARTS);
});
