import { existsSync, readdirSync, readFileSync } from 'fs';
import path from 'path';
import ts from 'typescript';

/** The folder of the whole tree. */
export const root = path.resolve(__dirname, '..');

/** The sources of a workspace, tests among them. */
export const sourcesOf = (workspace: string): string[] =>
  readdirSync(path.join(root, workspace, 'src'), { recursive: true, encoding: 'utf8' })
    .filter((f) => /\.tsx?$/.test(f) && !f.includes('.tmp.'))
    .map((f) => path.join(root, workspace, 'src', f));

/** The files of its own workspace that a file imports; imports of types and later ones, `import()`, count too. */
export function importsOf(file: string): string[] {
  const { importedFiles } = ts.preProcessFile(readFileSync(file, 'utf8'), true, true);
  return importedFiles.flatMap(({ fileName }) => {
    if (!fileName.startsWith('.')) return [];
    const base = path.resolve(path.dirname(file), fileName);
    return [`${base}.ts`, `${base}.tsx`, path.join(base, 'index.ts')].filter((f) => existsSync(f)).slice(0, 1);
  });
}
