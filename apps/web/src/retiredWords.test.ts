/** The page speaks plainly: words that were given up do not come back into what it shows. */
import { readdirSync, readFileSync } from 'fs';
import path from 'path';
import ts from 'typescript';

/** What is not said any more, and what is said instead. */
const RETIRED: readonly (readonly [RegExp, string])[] = [
  [/what arrived/i, 'Arrival'],
  [/came unasked/i, 'Uninvited'],
  [/\bin force\b/i, 'active now'],
  [/\bmend\b/i, 'fix'],
  [/have what is left/i, 'takes the rest'],
  [/a draft follows/i, 'Live draft'],
  [/lies on the bench/i, 'Matches the bench'],
  [/series of it/i, 'Make a series'],
  [/mix of its own/i, 'Copy as a new mix'],
  [/nothing on the light table/i, 'Nothing rendered yet'],
  [/\bbring(ing)? in\b|\bbrought in\b/i, 'add'],
  [/let go to/i, 'drop to'],
  [/here already/i, 'Possible duplicates'],
  [/picture of kind/i, 'Kind'],
  [/out of the look|off the sheet/i, 'remove'],
  [/put (the selection )?away/i, 'archived'],
  [/take the shot out/i, 'skip this shot'],
  [/what lies close/i, 'Closeness map'],
  [/palette of all together/i, 'Combined palette'],
  [/engine gets/i, 'What the engine sees'],
  [/went on to/i, 'Led to'],
  [/nothing like that here|an empty wall|nobody yet/i, 'No matches, No ... yet'],
  [/has such a take already/i, 'All shots are up to date.'],
  [/lay all of it/i, 'Load this take on the bench'],
  [/what worked/i, 'Gallery of keepers'],
  [/weights here/i, 'Weights in this shot'],
  [/\bin line\b/i, 'queued'],
  [/^the words$|\bthe words (have|say|do not|become|name|at length|or the looks)\b/i, 'the prompt'],
  [/\bbrings?\b.*\bin\b/i, 'add'],
  [/^waits$/i, 'queued'],
  [/\b[Tt]ake\b.*\bout of\b|^Take $/, 'Remove X'],
];

const SRC = __dirname;
const files = readdirSync(SRC, { recursive: true, encoding: 'utf8' }).filter(
  (f) => /\.tsx?$/.test(f) && !/\.test\.|[\\/]test[\\/]|^test[\\/]/.test(f),
);

/** Everything that a source may show: its strings, the fixed parts of its templates, the text between its tags. */
function shownIn(text: string): string[] {
  const out: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node)) return;
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node) || ts.isTemplateHead(node))
      out.push(node.text);
    else if (ts.isTemplateMiddle(node) || ts.isTemplateTail(node)) out.push(node.text);
    else if (ts.isJsxText(node)) out.push(node.text.replace(/\s+/g, ' ').trim());
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile('x.tsx', text, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX));
  return out;
}

test('what a source shows is found wherever it stands, comments are not', () => {
  const source =
    "/** Bring in */ const a = 'Engine gets'; const b = <p title={`Take ${a} out`}>It waits\n in line</p>;";
  expect(shownIn(source)).toEqual(['Engine gets', 'Take ', ' out', 'It waits in line']);
});

test('no retired word is shown', () => {
  expect(files.length).toBeGreaterThan(200);
  const found = files.flatMap((file) =>
    shownIn(readFileSync(path.join(SRC, file), 'utf8')).flatMap((shown) =>
      RETIRED.filter(([retired]) => retired.test(shown)).map(([, now]) => `${file}: “${shown}”: say “${now}”`),
    ),
  );
  expect(found).toEqual([]);
});
