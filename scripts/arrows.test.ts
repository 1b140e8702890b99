/** Each arrow that docs/architecture.md forbids is refused, however it is asked for; each that it allows is not. */
import { execFileSync } from 'child_process';
import path from 'path';

const SERVER = 'apps/server/src';
const WAYS: readonly (readonly [string, (from: string) => string])[] = [
  ['a value', (from) => `import { x } from '${from}'; x();`],
  ['a type', (from) => `import type { X } from '${from}'; export const y = (x: X) => x;`],
  ['passed on', (from) => `export { x } from '${from}';`],
  ['everything passed on', (from) => `export * from '${from}';`],
  ['for its effects', (from) => `import '${from}';`],
];

const FORBIDDEN: readonly (readonly [string, string])[] = [
  ['packages/core/src/mix/x.ts', '@urbild/engine'],
  ['packages/core/src/mix/x.ts', 'fs'],
  ['packages/core/src/mix/x.ts', 'node:fs'],
  ['packages/core/src/mix/x.ts', 'sharp'],
  ['packages/core/src/mix/x.ts', '@napi-rs/canvas'],
  ['packages/engine/src/painter/x.ts', '@urbild/server'],
  ['packages/engine/src/painter/x.ts', '@urbild/engine-tools'],
  ['packages/engine/src/painter/x.ts', 'fs/promises'],
  ['packages/engine/src/painter/x.ts', '@urbild/core/src/mix/mix'],
  [`${SERVER}/platform/jobs/x.ts`, '../../takes/take.entity'],
  [`${SERVER}/platform/x.ts`, '../library/reference.entity'],
  [`${SERVER}/platform/x.ts`, '../app.module'],
  [`${SERVER}/platform/database/x.ts`, '../../entities'],
  [`${SERVER}/masks/x.ts`, '../library/reference.dto'],
  [`${SERVER}/library/imports/x.ts`, '../../takes/take.entity'],
  [`${SERVER}/looks/x.ts`, '../cast/cast.service'],
  [`${SERVER}/looks/x.ts`, '../takes/takes.service'],
  [`${SERVER}/cast/x.ts`, '../mixes/mix.entity'],
  [`${SERVER}/mixes/x.ts`, '../takes/take.entity'],
  [`${SERVER}/takes/x.ts`, '../series/series.entity'],
  [`${SERVER}/series/sequences/x.ts`, '../../trials/trial.entity'],
  [`${SERVER}/trials/x.ts`, '../studio/demo.service'],
  [`${SERVER}/studio/x.ts`, '../app.module'],
  [`${SERVER}/studio/x.ts`, '@urbild/web'],
  ['apps/web/src/views/bench/x.ts', '@urbild/engine'],
  ['apps/web/src/views/series/x.tsx', '../bench/influences'],
  ['apps/web/src/views/library/x.tsx', '../take/TakeView'],
  ['apps/web/src/shared/mix/x.ts', '../../views/bench/words'],
  ['apps/web/src/api/x.ts', '../views/bench/words'],
  ['apps/web/src/parts/x.tsx', 'fs'],
  ['apps/web/src/views/bench/x.ts', '@nestjs/common'],
  ['packages/api/src/x.ts', '@urbild/core'],
  ['packages/engine-tools/src/sheets/x.ts', '@urbild/server'],
  ['packages/engine-tools/src/sheets/x.ts', '@urbild/engine/src/engine'],
];

const ALLOWED: readonly (readonly [string, string])[] = [
  ['packages/engine-tools/src/sheets/x.ts', '@urbild/engine/tools'],
  ['packages/engine/src/painter/x.ts', '@urbild/core'],
  [`${SERVER}/takes/x.ts`, '../mixes/mix.entity'],
  [`${SERVER}/takes/tasks/x.ts`, '../../platform/pictures/decode'],
  [`${SERVER}/trials/x.ts`, '../series/series.entity'],
  [`${SERVER}/studio/x.ts`, '@urbild/engine'],
  [`${SERVER}/app.module.ts`, './studio/studio.module'],
  [`${SERVER}/platform/x.test.ts`, '../takes/take.entity'],
  ['apps/web/src/views/bench/x.ts', '@urbild/api'],
  ['apps/web/src/views/bench/x.ts', './words'],
  ['apps/web/src/views/series/x.tsx', '../../shared/mix/lookup'],
];

/** import() as a value and as a type, and where it is allowed. */
const HIDDEN: readonly (readonly [string, string, number])[] = [
  [`${SERVER}/platform/x.ts`, `void import('../takes/take.entity');`, 1],
  [`${SERVER}/platform/x.ts`, `export type X = import('../takes/take.entity').Take;`, 1],
  ['apps/web/src/main.tsx', `void import('./views/bench/BenchView');`, 0],
];

const key = (file: string, code: string) => `${file} ${code}`;
/** How many arrows are refused, by file and code: the linter is asked once for all of them. */
let refused: Map<string, number>;
beforeAll(() => {
  const cases = [
    ...[...FORBIDDEN, ...ALLOWED].flatMap(([file, from]) => WAYS.map(([, code]) => ({ file, code: code(from) }))),
    ...HIDDEN.map(([file, code]) => ({ file, code })),
  ];
  const lint = path.join(__dirname, 'lintTexts.mjs');
  const said = execFileSync(process.execPath, [lint], { input: JSON.stringify(cases), encoding: 'utf8' });
  refused = new Map((JSON.parse(said) as string[][]).map((m, k) => [key(cases[k].file, cases[k].code), m.length]));
});

describe.each(WAYS)('asked for as %s', (_, code) => {
  test.each(FORBIDDEN)('%s must not import %s', (file, from) => {
    expect(refused.get(key(file, code(from)))).toBe(1);
  });
  test.each(ALLOWED)('%s may import %s', (file, from) => {
    expect(refused.get(key(file, code(from)))).toBe(0);
  });
});

test.each(HIDDEN)('in %s, %s is refused %d times', (file, code, times) => {
  expect(refused.get(key(file, code))).toBe(times);
});
