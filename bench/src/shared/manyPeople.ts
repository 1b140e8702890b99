/**
 * Twenty people edit five mixes, three series and two hundred references for some minutes, through the same operations as the page and
 * with its merge: `npm run bench:together -- --minutes 10`. Nothing that was acknowledged may be lost, nothing may end with 5xx, and a
 * backup that is made meanwhile is a state that was there.
 */
import { execFileSync } from 'child_process';
import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import { parseArgs } from 'util';
import { merge, sameData, withValue } from '@urbild/core';
import { bringIn } from '../../../e2e/src/page';
import { askStudio, mustAsk, shareStudio, type Somebody } from '../../../e2e/src/sharedStudio';
import { ROOT, RunningStudio } from '../../../e2e/src/studio';
import { chance, hold, missedSoFar, tell } from '../soak/report';

const PEOPLE = 20;
const COUNT = { mixes: 5, series: 3, shots: 12, references: 200 };
/** What one person does, ms after what they did before: at least, and so much more at most. */
const PACE = [400, 1200] as const;
/** How much slower a write may be than alone, ms. */
const SLOWER = 50;

/** A document as the studio tells it. */
type Doc = Record<string, unknown> & { readonly id: string; readonly version: number };
type Kind = 'mixes' | 'shots' | 'references' | 'series';
type Path = readonly string[];

/** What of a document is edited here, by the paths that core's merge knows. */
const FIELDS: Readonly<Record<Kind, readonly Path[]>> = {
  mixes: [
    ['prompt'],
    ['name'],
    ['avoid'],
    ['influences', 'i0', 'weight'],
    ['influences', 'i1', 'weight'],
    ['influences', 'i2', 'to'],
  ],
  shots: [['title'], ['prompt'], ['notes']],
  references: [['title'], ['notes'], ['tags']],
  series: [['name']],
};
const edited = (kind: Kind, doc: Doc): Record<string, unknown> =>
  Object.fromEntries([...new Set(FIELDS[kind].map(([field]) => field))].map((field) => [field, doc[field]]));

/** Everything that the studio acknowledged. */
class Ledger {
  /** By document and path: what stands there since which version. */
  private readonly last = new Map<string, { readonly version: number; readonly value: unknown }>();
  /** Every state that was there, by document and version. */
  private readonly states = new Map<string, Map<number, Record<string, unknown>>>();
  writes = 0;
  /** Answers that do not say what was written. */
  unlike = 0;

  state(kind: Kind, doc: Doc): void {
    const key = `${kind}/${doc.id}`;
    const versions = this.states.get(key) ?? new Map<number, Record<string, unknown>>();
    this.states.set(key, versions.set(doc.version, edited(kind, doc)));
  }

  /** True where a document was as it is. A series has new versions by its shots too: it is then as it was at the one before. */
  was(kind: Kind, doc: Doc): boolean {
    const versions = this.states.get(`${kind}/${doc.id}`)!;
    const known = Math.max(...[...versions.keys()].filter((version) => version <= doc.version));
    return sameData(versions.get(known), edited(kind, doc));
  }

  acknowledged(kind: Kind, doc: Doc, at: Path, sent: unknown): void {
    this.writes++;
    const value = valueAt(doc, at);
    // tags of two people are joined
    if (at[0] !== 'tags' && !sameData(value, sent)) this.unlike++;
    this.state(kind, doc);
    const key = `${kind}/${doc.id}/${at.join('.')}`;
    if ((this.last.get(key)?.version ?? 0) < doc.version) this.last.set(key, { version: doc.version, value });
  }

  /** Paths of a document that do not say what was acknowledged last. */
  lostIn(kind: Kind, doc: Doc): string[] {
    return FIELDS[kind].flatMap((at) => {
      const key = `${kind}/${doc.id}/${at.join('.')}`;
      const last = this.last.get(key);
      return last && !sameData(valueAt(doc, at), last.value) ? [key] : [];
    });
  }
}

const valueAt = (from: unknown, at: Path): unknown =>
  at.reduce<unknown>(
    (value, step) =>
      Array.isArray(value) && !/^\d+$/.test(step)
        ? value.find((item: { id?: string }) => item.id === step)
        : (value as Record<string, unknown> | undefined)?.[step],
    from,
  );

interface Seen {
  readonly ledger: Ledger;
  readonly latencies: number[];
  readonly statuses: Map<number, number>;
}

/** One edit, as a page makes it: what is overtaken is merged and sent again; a field that both changed is given up or insisted upon. */
async function edit(
  studio: RunningStudio,
  as: Somebody,
  { kind, id, at, value, insists }: { kind: Kind; id: string; at: Path; value: unknown; insists: boolean },
  { ledger, latencies, statuses }: Seen,
): Promise<void> {
  let base = await read(studio, as, kind, id);
  let mine = withValue(edited(kind, base), at, value);
  for (let round = 0; round < 30; round++) {
    if (sameData(mine, edited(kind, base))) return;
    const since = performance.now();
    const body = { ...changedFields(edited(kind, base), mine), version: base.version };
    const { status, body: answer } = await askStudio<Doc & { current?: Doc }>(studio, `PATCH /${kind}/${id}`, {
      body,
      as,
    });
    latencies.push(performance.now() - since);
    statuses.set(status, (statuses.get(status) ?? 0) + 1);
    if (status === 200) return ledger.acknowledged(kind, kind === 'shots' ? shotOf(answer, id) : answer, at, value);
    if (status !== 409) throw new Error(`${kind}: ${status} ${JSON.stringify(answer)}`);
    const theirs = kind === 'shots' ? await read(studio, as, kind, id) : answer.current!;
    const { merged, conflicts } = merge(edited(kind, base), edited(kind, theirs), mine);
    if (conflicts.length && !insists) return;
    mine = merged;
    base = theirs;
  }
  throw new Error('thirty rounds and still overtaken');
}
const changedFields = (before: Record<string, unknown>, now: Record<string, unknown>) =>
  Object.fromEntries(Object.entries(now).filter(([name, value]) => !sameData(before[name], value)));
/** A change of a shot answers with its series. */
const shotOf = (answer: Doc, id: string): Doc =>
  (answer.shots as Doc[] | undefined)?.find((shot) => shot.id === id) ?? answer;

const seriesOf = new Map<string, string>();
async function read(studio: RunningStudio, as: Somebody | undefined, kind: Kind, id: string): Promise<Doc> {
  if (kind !== 'shots') return mustAsk<Doc>(studio, `GET /${kind}/${id}`, { as });
  return shotOf(await mustAsk<Doc>(studio, `GET /series/${seriesOf.get(id)}`, { as }), id);
}

/** The studio with everything that is edited, made alone. */
async function fill(studio: RunningStudio): Promise<Readonly<Record<Kind, string[]>>> {
  const ids: Record<Kind, string[]> = { mixes: [], shots: [], references: [], series: [] };
  for (let k = 0; k < COUNT.references; k++) ids.references.push(await bringIn(studio, k + 1, `picture ${k}`));
  const usual = { gives: 'look', weight: 0.5, from: 0, to: 1, reading: 'normal', on: true };
  for (let k = 0; k < COUNT.mixes; k++) {
    const influences = [0, 1, 2].map((i) => ({ ...usual, id: `i${i}`, referenceId: ids.references[3 * k + i] }));
    const body = { name: `Mix ${k}`, prompt: 'a quay', influences };
    ids.mixes.push((await mustAsk<Doc>(studio, 'POST /mixes', { body })).id);
  }
  for (let k = 0; k < COUNT.series; k++) {
    const shots = Array.from({ length: COUNT.shots }, (_, i) => ({ title: `Shot ${i}`, prompt: 'a boat' }));
    const body = { name: `Series ${k}`, mixId: ids.mixes[k], shots };
    const made = await mustAsk<Doc>(studio, 'POST /series', { body });
    ids.series.push(made.id);
    for (const shot of made.shots as Doc[]) {
      ids.shots.push(shot.id);
      seriesOf.set(shot.id, made.id);
    }
  }
  return ids;
}

const KINDS: readonly Kind[] = [
  'mixes',
  'mixes',
  'mixes',
  'shots',
  'shots',
  'references',
  'references',
  'references',
  'series',
];

/** One person who edits until the time is over. */
async function works(
  studio: RunningStudio,
  as: Somebody,
  until: number,
  seed: number,
  ids: Readonly<Record<Kind, string[]>>,
  seen: Seen,
) {
  const next = chance(seed);
  const oneOf = <T>(all: readonly T[]): T => all[Math.floor(next() * all.length)];
  for (let k = 0; Date.now() < until; k++) {
    const kind = oneOf(KINDS);
    const at = oneOf(FIELDS[kind]);
    const word = `${as.login} ${k}`;
    const value = at.length > 1 ? Math.round(next() * 100) / 100 : at[0] === 'tags' ? [word] : word;
    await edit(studio, as, { kind, id: oneOf(ids[kind]), at, value, insists: next() < 0.5 }, seen);
    await new Promise((resolve) => setTimeout(resolve, PACE[0] + next() * PACE[1]));
  }
}

const median = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const everything = (ids: Readonly<Record<Kind, string[]>>) =>
  (Object.keys(ids) as Kind[]).flatMap((kind) => ids[kind].map((id) => ({ kind, id })));

/** Brings a backup back and compares each document with what it was at its version. */
async function compareBackup(dataDir: string, name: string, ids: Readonly<Record<Kind, string[]>>, ledger: Ledger) {
  const folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-back-'));
  const into = path.join(folder, 'studio');
  const main = path.join(ROOT, 'apps/server/dist/main.js');
  const said = execFileSync(
    process.execPath,
    [main, '--restore', path.join(dataDir, 'backups', name), '--data', into],
    {
      encoding: 'utf8',
    },
  );
  tell(said.trim().split('\n').at(-1) ?? '');
  const studio = await RunningStudio.start({ dataDir: into });
  let others = 0;
  for (const { kind, id } of everything(ids)) {
    const doc = await read(studio, undefined, kind, id);
    if (!ledger.was(kind, doc)) others++;
  }
  await studio.remove();
  await rm(folder, { recursive: true, force: true });
  hold('documents of the backup that never were so', others, '0', others === 0);
}

async function main(): Promise<void> {
  const { values } = parseArgs({ options: { minutes: { type: 'string', default: '10' } } });
  const minutes = Number(values.minutes);
  const alone = await RunningStudio.start();
  const ids = await fill(alone);
  const logins = Array.from({ length: PEOPLE - 1 }, (_, k) => `editor${k}`);
  const { studio, owner, editors } = await shareStudio(alone, 'petra', logins);
  const ledger = new Ledger();
  const seen = (): Seen => ({ ledger, latencies: [], statuses: new Map() });
  for (const { kind, id } of everything(ids)) ledger.state(kind, await read(studio, owner, kind, id));
  const [one, many] = [seen(), seen()];
  await works(studio, owner, Date.now() + Math.min(60_000, minutes * 20_000), 1, ids, one);
  const until = Date.now() + minutes * 60_000;
  const backup = (async () => {
    await new Promise((resolve) => setTimeout(resolve, minutes * 30_000));
    return mustAsk<{ name: string }>(studio, 'POST /backups', { as: owner });
  })();
  await Promise.all([owner, ...editors].map((who, k) => works(studio, who, until, 100 + k, ids, many)));
  const { name } = await backup;
  const lost = [];
  for (const { kind, id } of everything(ids)) lost.push(...ledger.lostIn(kind, await read(studio, owner, kind, id)));
  const bad = [...many.statuses].filter(([status]) => status >= 500).reduce((sum, [, count]) => sum + count, 0);
  const [before, then] = [median(one.latencies), median(many.latencies)];
  tell(
    `${PEOPLE} people, ${minutes} minutes: ${ledger.writes} writes acknowledged; answers ${JSON.stringify([...many.statuses])}`,
  );
  hold('acknowledged changes that are lost', lost.length, '0', lost.length === 0);
  if (lost.length) tell(lost.slice(0, 10).join(', '));
  hold('answers that say something else than was written', ledger.unlike, '0', ledger.unlike === 0);
  hold('answers of 5xx', bad, '0', bad === 0);
  hold(
    'median answer of a write, ms, alone and among twenty',
    `${before.toFixed(1)} ${then.toFixed(1)}`,
    `at most ${SLOWER} more`,
    then - before < SLOWER,
  );
  await compareBackup(studio.dataDir, name, ids, ledger);
  await studio.remove();
  process.exitCode = missedSoFar() ? 1 : 0;
}
void main();
