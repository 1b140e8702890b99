import 'reflect-metadata';
import { getMetadataStorage } from 'class-validator';
import { plainToInstance } from 'class-transformer';
import { validateSync, IsString } from 'class-validator';
import fc from 'fast-check';
import { mkdtemp, mkdir, rm, writeFile } from 'fs/promises';
import { request as ask } from 'http';
import os from 'os';
import path from 'path';
import { LibraryService } from '../../library/library.service';
import type { ReferenceDto } from '../../library/reference.dto';
import type { ProblemDocument } from '../problems/problem';
import { bringIn, newMix, openStudio, testPng, type TestStudio } from '../../test/studio';
import { atMost } from './atMost';
import { isId, Nested, NestedList, Optional } from './decorators';
import { faultOf, plainInput } from './plainInput';

describe('what a body may be', () => {
  const nested = (depth: number): unknown => (depth ? { a: nested(depth - 1) } : 1);
  test('is bounded in depth and number, without NUL and without __proto__', () => {
    expect(faultOf(nested(20))).toBeUndefined();
    expect(faultOf(nested(2000))).toMatch(/deeper than 24/);
    expect(faultOf({ a: ['fine', 'bad\0'] })).toMatch(/NUL/);
    expect(faultOf({ 'bad\0': 1 })).toMatch(/NUL/);
    expect(faultOf(JSON.parse('{"__proto__": {"weight": 1}}'))).toMatch(/__proto__/);
    expect(faultOf(Array.from({ length: 70_000 }, () => 0))).toMatch(/too many/);
  });

  test('is anything else that JSON can say', () => {
    fc.assert(
      fc.property(fc.json({ maxDepth: 5, noUnicodeString: false }), (json) => {
        const fault = faultOf(JSON.parse(json));
        expect(fault === undefined || json.includes('\\u0000') || json.includes('__proto__')).toBe(true);
      }),
    );
  });
});

test('an id is letters, digits, - and _, and never a name that every object has', () => {
  for (const id of ['demo-mix', 'a', '018f2b3c-1111-4222-8333-444455556666', 'x_1'])
    expect([id, isId(id)]).toEqual([id, true]);
  for (const id of ['', 'a b', '../x', 'constructor', 'toString', 'é', 'x'.repeat(61), 'a\0', 5, null])
    expect([id, isId(id)]).toEqual([id, false]);
});

class Inner {
  @IsString() text!: string;
}
class Outer {
  @Nested(() => Inner) one!: Inner;
  @Optional() @IsString() maybe?: string;
  @Optional() @NestedList(() => Inner, { least: 1, most: 2 }) list?: Inner[];
}

test.each([
  ['fine', { one: { text: 'a' } }, true],
  ['fine with a list', { one: { text: 'a' }, list: [{ text: 'b' }] }, true],
  ['nothing where an object is wanted', {}, false],
  ['null where an object is wanted', { one: null }, false],
  ['a list where an object is wanted', { one: [] }, false],
  ['a text where an object is wanted', { one: 'a' }, false],
  ['null where something may be left out', { one: { text: 'a' }, maybe: null }, false],
  ['null in a list of objects', { one: { text: 'a' }, list: [null] }, false],
  ['a list in a list of objects', { one: { text: 'a' }, list: [[]] }, false],
  ['too long a list', { one: { text: 'a' }, list: [{ text: 'b' }, { text: 'b' }, { text: 'b' }] }, false],
  ['too short a list', { one: { text: 'a' }, list: [] }, false],
])('nested input: %s', (_, body, fine) => {
  expect(validateSync(plainToInstance(Outer, body)).length === 0).toBe(fine);
});

describe('the server', () => {
  let studio: TestStudio;
  let reference: ReferenceDto;
  let web: string;
  beforeAll(async () => {
    web = await mkdtemp(path.join(os.tmpdir(), 'urbild-web-'));
    await mkdir(path.join(web, 'assets'));
    await writeFile(path.join(web, 'index.html'), '<!doctype html><title>page</title>');
    await writeFile(path.join(web, 'assets', 'main-1.js'), '1');
    studio = await openStudio(undefined, { webDir: web });
    reference = await bringIn(studio);
  });
  afterAll(async () => {
    await studio.close();
    await rm(web, { recursive: true });
  });
  const detail = (body: unknown) => (body as ProblemDocument).detail;

  test('checks every nested object of every request', () => {
    const storage = getMetadataStorage() as unknown as {
      validationMetadatas: Map<unknown, { type: string; propertyName: string; name?: string; each: boolean }[]>;
    };
    const unguarded: string[] = [];
    for (const [target, list] of storage.validationMetadatas)
      for (const nested of list.filter((m) => m.type === 'nestedValidation'))
        if (!list.some((m) => m.propertyName === nested.propertyName && m.name === 'isObject'))
          unguarded.push(`${(target as { name: string }).name}.${nested.propertyName}`);
    expect(unguarded).toEqual([]);
  });

  test('refuses NUL in addresses, queries and texts, and bodies nested too deep, with a sentence', async () => {
    for (const address of ['/takes/a%00b', '/references/search?words=a%00', '/references?ids=%00'])
      expect(detail((await studio.ask.get(`/api/v1${address}`).expect(400)).body)).toMatch(/NUL/);
    const { body } = await studio.ask.post('/api/v1/mixes').send({ name: 'a\0b' }).expect(400);
    expect(detail(body)).toMatch(/NUL/);
    const deep = `${'{"settings":'.repeat(2000)}1${'}'.repeat(2000)}`;
    const answer = await studio.ask
      .post('/api/v1/mixes')
      .set('content-type', 'application/json')
      .send(deep)
      .expect(400);
    expect(detail(answer.body)).toMatch(/nested deeper/);
  });

  test('what an address of the page says twice is left to the page', () => {
    const next = jest.fn();
    const at = (path: string) => ({ url: `${path}?sel=a&sel=b`, path, query: { sel: ['a', 'b'] } }) as never;
    plainInput(at('/library'), {} as never, next);
    plainInput(at('/api/v1/references'), {} as never, next);
    expect(next.mock.calls.map(([problem]: unknown[]) => problem === undefined)).toEqual([true, false]);
  });

  test('refuses what is given twice where one is meant, and escapes that stand for nothing', async () => {
    for (const address of ['/references?ids=a&ids=b', '/takes?mixId=a&mixId=b', '/references/search?words=a&words=b'])
      expect(detail((await studio.ask.get(`/api/v1${address}`).expect(400)).body)).toMatch(/give it once/);
    await studio.ask.get('/api/v1/takes/%E0%A4%A').expect(400);
  });

  test('refuses a try without its own settings, and null where a field may only be left out', async () => {
    const mix = await newMix(studio, reference);
    const series = (
      await studio.ask
        .post('/api/v1/series')
        .send({ name: 'S', mixId: mix.id, shots: [{ title: 'One', prompt: 'Ilse' }] })
        .expect(201)
    ).body as { id: string; shots: { id: string }[] };
    const tries = `/api/v1/series/${series.id}/shots/${series.shots[0].id}/tries`;
    for (const plan of [
      { prompt: 'a', seed: 1 },
      { prompt: 'a', seed: 1, own: null },
      { prompt: 'a', seed: 1, own: [] },
      [],
    ])
      await studio.ask.post(tries).send({ label: 'x', plan }).expect(400);
    for (const fields of [
      { name: null },
      { prompt: null },
      { settings: null },
      { influences: [null] },
      { influences: null },
    ])
      await studio.ask
        .patch(`/api/v1/mixes/${mix.id}`)
        .send({ version: mix.version, ...fields })
        .expect(400);
  });

  test('bounds tags wherever they come from', async () => {
    const before = [{ id: reference.id, tags: ['x'.repeat(5000)], away: false }];
    await studio.ask.post('/api/v1/references/undo').send({ before }).expect(400);
  });

  test('answers 404 for a file of the page that is not there, and the page for a place in it', async () => {
    const missing = await studio.ask.get('/assets/main-gone.js').expect(404);
    expect(missing.headers['content-type']).toContain('application/problem+json');
    await studio.ask.get('/assets/main-1.js').expect(200);
    expect((await studio.ask.get('/bench/demo-mix').expect(200)).text).toContain('<title>page');
  });

  test.each(['cross-site', 'same-site'])(
    'answers no request that a browser says is %s, exports above all',
    async (site) => {
      for (const address of ['/api/v1/series/x/export/zip', '/api/v1/studio'])
        await studio.ask.get(address).set('Sec-Fetch-Site', site).expect(403);
      await studio.ask.get('/').set('Sec-Fetch-Site', site).expect(200);
      await studio.ask.get('/api/v1/studio').set('Sec-Fetch-Site', 'same-origin').expect(200);
    },
  );

  test('keeps at most so many event streams open, and lets new ones in when others close', async () => {
    const { port } = studio.app.getHttpServer().address() as { port: number };
    const open = () =>
      new Promise<{ status: number; end: () => void }>((resolve) => {
        const call = ask({ port, host: '127.0.0.1', path: '/api/v1/events', agent: false }, (r) => {
          r.resume();
          resolve({ status: r.statusCode!, end: () => call.destroy() });
        });
        call.on('error', () => undefined);
        call.end();
      });
    const streams = await Promise.all(Array.from({ length: 64 }, open));
    expect(streams.every((s) => s.status === 200)).toBe(true);
    expect((await open()).status).toBe(429);
    streams.forEach((s) => s.end());
    for (let k = 0; k < 50; k++) {
      const one = await open();
      one.end();
      if (one.status === 200) return;
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    throw new Error('no stream was let in again');
  });

  test('a full disk is a 507 that says what is safe', async () => {
    const full = Object.assign(new Error('ENOSPC: no space left on device, write'), { code: 'ENOSPC' });
    const broken = jest.spyOn(studio.app.get(LibraryService), 'bringIn').mockRejectedValueOnce(full);
    const { body } = await studio.ask
      .post('/api/v1/references')
      .attach('file', await testPng(), 'a.png')
      .expect(507);
    expect(detail(body)).toMatch(/disk is full.*safe.*Make room/s);
    broken.mockRestore();
  });
});

test('a limit counts what is open, not what was', () => {
  const closed: (() => void)[] = [];
  const guard = atMost(2, ({ path: p }) => p === '/a', 'too many');
  const call = (p = '/a') => {
    let refused: unknown;
    guard(
      { path: p } as never,
      { once: (_: string, done: () => void) => closed.push(done) } as never,
      (e?: unknown) => (refused = e),
    );
    return refused !== undefined;
  };
  expect([call(), call(), call(), call('/b')]).toEqual([false, false, true, false]);
  closed[0]();
  expect([call(), call()]).toEqual([false, true]);
});
