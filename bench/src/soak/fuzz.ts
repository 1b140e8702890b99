import { readFileSync } from 'fs';
import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import { strangePng } from '../../../e2e/src/page';
import { ROOT } from '../../../e2e/src/studio';
import { hostileFile } from './hostileFiles';
import { chance, hold, tell } from './report';
import { lookOf, SoakStudio, type Answer } from './studio';

interface Schema {
  readonly $ref?: string;
  readonly type?: string;
  readonly enum?: readonly unknown[];
  readonly items?: Schema;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly allOf?: readonly Schema[];
  readonly required?: readonly string[];
  readonly minimum?: number;
  readonly maximum?: number;
  readonly example?: unknown;
}
interface Operation {
  readonly parameters?: readonly { name: string; in: string; schema: Schema }[];
  readonly requestBody?: { content: Readonly<Record<string, { schema: Schema }>> };
}
interface Document {
  readonly paths: Readonly<Record<string, Readonly<Record<string, Operation>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, Schema>> };
}

const HANG = 30_000;
/** What nobody means, and everybody sends. */
const STRANGE: readonly unknown[] = [
  null,
  '',
  ' ',
  'a\0b',
  '\u202eabc',
  'x'.repeat(5000),
  '../../etc/passwd',
  '__proto__',
  'constructor',
  -1,
  0,
  1e308,
  1.5,
  true,
  [],
  {},
  [null],
  [[]],
  [[[[[[]]]]]],
  { a: null },
  'NaN',
  '2026-02-31',
  '<script>',
  "'; drop table take; --",
  '%00',
  '🦊'.repeat(40),
  Number.MAX_SAFE_INTEGER + 2,
];

/** Makes values for the schemas of a document: mostly sensible ones, with ids that exist, and now and then one that nobody means. */
class Maker {
  constructor(
    private readonly document: Document,
    private readonly random: () => number,
    private readonly ids: readonly string[],
    private readonly hashes: readonly string[],
  ) {}

  private pick<T>(list: readonly T[]): T {
    return list[Math.floor(this.random() * list.length)];
  }

  value(schema: Schema, name: string, strange: number, depth = 0): unknown {
    if (this.random() < strange) return this.pick(STRANGE);
    if (schema.$ref)
      return this.value(this.document.components.schemas[schema.$ref.split('/').pop()!], name, strange, depth);
    if (schema.allOf) return this.value(schema.allOf[0], name, strange, depth);
    if (schema.enum) return this.pick(schema.enum);
    if (depth > 8) return null;
    if (schema.type === 'array')
      return Array.from({ length: Math.floor(this.random() * 4) }, () =>
        this.value(schema.items ?? {}, name, strange, depth + 1),
      );
    if (schema.properties) {
      const fields = Object.entries(schema.properties).filter(
        ([key]) => schema.required?.includes(key) || this.random() < 0.5,
      );
      return Object.fromEntries(fields.map(([key, of]) => [key, this.value(of, key, strange, depth + 1)]));
    }
    return this.plain(schema, name);
  }

  private plain({ type, minimum = 0, maximum = 3, example }: Schema, name: string): unknown {
    if (type === 'boolean') return this.random() < 0.5;
    if (type === 'number' || type === 'integer') {
      if (name === 'version') return this.pick([1, 1, 2, 3]);
      const v = minimum + this.random() * (maximum - minimum);
      return this.random() < 0.5 ? Math.round(v) : v;
    }
    if (/hash|content/i.test(name)) return this.pick(this.hashes);
    if (/id$|^ids$|influence|look|character|like|without|from/i.test(name)) return this.pick(this.ids);
    if (/colour/i.test(name)) return '#4a6f8c';
    if (example !== undefined && this.random() < 0.6) return example;
    return this.pick([
      'Ilse in the harbour',
      'two foxes in the rain',
      'Brom',
      'a',
      'no boats',
      'portrait of an old man, close-up',
    ]);
  }
}

/** What there is to ask for: ids by the first part of the addresses below which they are found. */
async function furnish(
  studio: SoakStudio,
): Promise<{ ids: readonly string[]; own: Readonly<Record<string, string[]>>; mask: string }> {
  const own: Record<string, string[]> = { references: [] };
  for (const k of [1, 2, 3, 4]) {
    const { body } = await studio.send<{ reference: { id: string } }>('/references', await strangePng(k), `${k}.png`);
    own.references.push(body.reference.id);
  }
  const mask = (await studio.send<{ content: string }>('/masks', await strangePng(9, 60, 40), 'm.png')).body.content;
  const make = async <T extends { id: string }>(what: string, body: unknown, address = `/${what}`): Promise<T> => {
    const made = (await studio.ask<T>('POST', address, body)).body;
    (own[what] ??= []).push(made.id);
    return made;
  };
  const influences = [lookOf(own.references[0])];
  for (const name of ['One', 'Two']) await make('mixes', { name, prompt: 'Ilse in the harbour', influences });
  const [mixId] = own.mixes;
  await make('looks', { name: 'Chalk', items: [{ referenceId: own.references[1], weight: 1 }] });
  await make('cast', { name: 'Ada', items: [{ referenceId: own.references[2], slot: 'front' }] });
  for (let k = 0; k < 3; k++) await make('takes', { mixId, quality: 'proof', seed: k });
  const shots = ['dusk', 'noon'].map((prompt) => ({ title: prompt, prompt: `Ilse at ${prompt}` }));
  const series = await make<{ id: string; shots: { id: string }[] }>('series', { name: 'S', mixId, shots });
  own.shots = series.shots.map((s) => s.id);
  await make('strips', { mixId, axes: [{ setting: 'weight', influence: 'a', values: [0.3, 0.9] }] });
  await make('solves', { mixId, targets: [{ influence: 'a', arrival: 0.5 }] });
  const move = { across: 0.3 };
  await make('sequences', { name: 'Q', shotId: own.shots[0], frames: 8, move }, `/series/${series.id}/sequences`);
  await studio.idle(300);
  return { ids: [...Object.values(own).flat(), 'a', 'nobody'], own, mask };
}

/** Sends generated requests of every operation of the OpenAPI document. */
async function requests(studio: SoakStudio, times: number, seed: number): Promise<void> {
  const document = JSON.parse(readFileSync(path.join(ROOT, 'packages/api/openapi.json'), 'utf8')) as Document;
  const random = chance(seed);
  const { ids, own, mask } = await furnish(studio);
  const maker = new Maker(document, random, ids, [mask, 'ab'.repeat(32)]);
  const operations = Object.entries(document.paths).flatMap(([address, methods]) =>
    Object.entries(methods).map(([method, operation]) => ({ address, method, operation })),
  );
  const counts = new Map<string, number>();
  let [broken, slow, silent, done] = [0, 0, 0, 0];
  const one = async () => {
    const { address, method, operation } = operations[Math.floor(random() * operations.length)];
    const strange = random() < 0.5 ? 0 : random() * 0.25;
    const found = own[address.split('/')[3]] ?? ids;
    const said = (p: { name: string; schema: Schema }) =>
      encodeURIComponent(
        p.name === 'id' && random() < 0.8
          ? found[Math.floor(random() * found.length)]
          : String(maker.value(p.schema, p.name, strange)),
      );
    const [inPath, inQuery] = ['path', 'query'].map((where) =>
      (operation.parameters ?? []).filter((p) => p.in === where),
    );
    let full = inPath.reduce((a, p) => a.replace(`{${p.name}}`, said(p)), address);
    const query = inQuery.filter(() => random() < 0.6).map((p) => `${p.name}=${said(p)}`);
    if (query.length) full += `?${query.join('&')}`;
    const content = operation.requestBody?.content;
    const json = content?.['application/json']?.schema;
    let answer: Answer;
    if (content?.['multipart/form-data']) answer = await studio.send(full, hostileFile(random), 'x.png');
    else {
      const body = json && (random() < 0.03 ? '{"half": ' : maker.value(json, 'body', strange));
      answer = await studio.ask(method.toUpperCase(), full, body, HANG);
    }
    done++;
    counts.set(`${answer.status}`, (counts.get(`${answer.status}`) ?? 0) + 1);
    if (answer.status >= 500) {
      broken++;
      if (broken <= 8)
        tell(`${answer.status} ${method} ${full.slice(0, 200)}: ${JSON.stringify(answer.body).slice(0, 200)}`);
    }
    if (answer.ms > HANG - 500) {
      slow++;
      if (slow < 5) tell(`${(answer.ms / 1000).toFixed(0)} s: ${method} ${full.slice(0, 200)}`);
    } else if (answer.status === 0) silent++;
    // what waits is thrown away now and then, or everything would soon be refused for being too much
    if (done % 150 === 0) await stopAll(studio);
  };
  await Promise.all(
    Array.from({ length: 6 }, async () => {
      while (done < times && !studio.isGone) await one();
    }),
  );
  tell(
    `${done} requests: ${[...counts]
      .sort()
      .map(([status, n]) => `${status} ${n}`)
      .join(', ')}`,
  );
  hold('answers 5xx', broken, '0', broken === 0);
  hold('requests without an answer', silent, '0', silent === 0);
  hold('requests that took longer than 30 s', slow, '0', slow === 0);
}

async function stopAll(studio: SoakStudio): Promise<void> {
  const { body } = await studio.ask<{ queue: string[] }>('GET', '/studio');
  for (const id of body?.queue ?? []) await studio.ask('POST', `/takes/${id}/cancel`);
}

/** Sends files that nobody would open. */
async function files(studio: SoakStudio, times: number, seed: number): Promise<void> {
  const random = chance(seed);
  let [broken, done] = [0, 0];
  await Promise.all(
    Array.from({ length: 4 }, async () => {
      while (done++ < times && !studio.isGone) {
        const answer = await studio.send('/imports', hostileFile(random), `${done}.jpg`);
        if (answer.status >= 500 || answer.status === 0) {
          broken++;
          if (broken < 5) tell(`${answer.status} ${JSON.stringify(answer.body).slice(0, 200)}`);
        }
      }
    }),
  );
  const since = Date.now();
  const read = await studio.idle(600);
  const { body } = await studio.ask<{ state: string; reason?: string }[]>('GET', '/imports');
  const states = new Map<string, number>();
  for (const { state } of body) states.set(state, (states.get(state) ?? 0) + 1);
  const given = body.filter((f) => f.reason?.includes('took longer')).length;
  tell(
    `${times} files: ${[...states].map(([s, n]) => `${s} ${n}`).join(', ')}; the last was read ${((Date.now() - since) / 1000).toFixed(0)} s after it came`,
  );
  hold('files answered 5xx or not at all', broken, '0', broken === 0);
  hold('files that hold the others up', read ? 0 : 'some', '0', read);
  hold('files that were given up for taking longer than a minute', given, '0', given === 0);
}

/** Generated requests over the OpenAPI document, and hostile files. */
export async function fuzz(times: number, fileCount: number, seed = 1): Promise<void> {
  const dataDir = await mkdtemp(path.join(os.tmpdir(), 'urbild-soak-'));
  const studio = await SoakStudio.start(dataDir);
  await files(studio, fileCount, seed);
  await requests(studio, times, seed);
  await stopAll(studio);
  const empty = await studio.idle(600);
  hold('the queue is empty afterwards', empty ? 'yes' : 'no', 'yes', empty);
  const { body: troubled } = await studio.ask<{ kind: string; subject: string; reason: string }[]>(
    'GET',
    '/jobs/troubled',
  );
  for (const { kind, reason } of troubled.slice(0, 6)) tell(`${kind}: ${reason}`);
  hold('jobs that failed', troubled.length, '0', troubled.length === 0);
  hold('the process has ended', studio.isGone ? 'yes' : 'no', 'no', !studio.isGone);
  if (/Error|TypeError|Cannot read/.test(studio.log)) tell(studio.log.slice(-1500));
  await studio.stop();
  await rm(dataDir, { recursive: true, force: true });
}
