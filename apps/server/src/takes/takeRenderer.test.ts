/** Takes drawn by an engine of the test's own: the order of control and take, what is told, what is kept, and what stops. */
import type { SqlEntityManager } from '@mikro-orm/better-sqlite';
import type { MixInfluence } from '@urbild/core';
import type { Job } from '../platform/jobs/job.entity';
import { JobCancelled } from '../platform/jobs/jobs.service';
import { openMemory, putTake, type Memory } from '../test/memory';
import { requestHash } from './renderPlan';
import { TakeEntity, type Take } from './take.entity';
import type { EngineWork, TakeEngine } from './takeEngine';
import { TakeRenderer } from './takeRenderer';
import type { RenderedTake, RenderProgressShown } from './tasks/render';

const PRESENT = { name: 'somebody', version: '2' };
const WAITING = { status: 'queued' as const, finishedAt: null };

let memory: Memory;
let em: SqlEntityManager;
let drawn: EngineWork[];
let told: { readonly type: string; readonly id: string; readonly fraction?: number; readonly status?: string }[];
/** What the engine does with a request; it gives a picture of the request's seed unless a test says otherwise. */
let draws: (work: EngineWork, progress: (p: RenderProgressShown) => void) => Promise<RenderedTake>;
let halted: () => void;

const rendered = (work: EngineWork): RenderedTake => ({
  picture: Buffer.from(`picture ${work.request.seed}`),
  thumbnail: Buffer.from('small'),
  descriptors: Buffer.from('numbers'),
  shares: [],
  understood: [],
  unheard: [],
  timings: {},
  figures: [{ name: 'Okka', box: [0, 0, 1, 1] } as never],
  remarks: [],
  arrivals: {},
  words: [{ start: 0, end: 3, text: 'dog', means: 'creature: dog', found: 0.9 }],
  notDrawn: [],
  wordsKept: work.control ? 0.9 : undefined,
  unasked: [],
});

const halfDone = (): RenderProgressShown => ({
  fraction: 0.5,
  step: 'painting',
  width: 2,
  height: 1,
  rgba: new Uint8ClampedArray(8),
});

const engine: TakeEngine = {
  capabilities: { ...PRESENT, gives: [], maxSide: 512 },
  start(work, progress) {
    drawn.push(work);
    return { result: draws(work, progress), stop: () => halted() };
  },
};

/** What is known of others of the cast. */
const OTHERS = [{ glasses: { choice: 'yes', confidence: 1 } }];

function renderer(): TakeRenderer {
  const blobs = { put: (bytes: Uint8Array) => Promise.resolve(`hash of ${Buffer.from(bytes).toString()}`) };
  const events = { publish: (event: (typeof told)[number]) => void told.push(event) };
  const sources = {
    of: (influences: readonly MixInfluence[]) =>
      Promise.resolve(new Map(influences.map((i) => [i.id, { pictures: [{ descriptorsHash: 'd', weight: 1 }] }]))),
    people: (influences: readonly MixInfluence[]) => Promise.resolve(new Map(influences.map((i) => [i.id, OTHERS]))),
  };
  const others = { config: { renderThreads: 1 }, jobs: {}, queue: {} };
  return new TakeRenderer(
    others.config as never,
    others.jobs as never,
    engine,
    blobs as never,
    events as never,
    sources as never,
    others.queue as never,
  );
}

const jobOf = (take: Take) => ({ kind: 'take', subject: take.id }) as Job;
const now = (take: Take) => memory.em().findOneOrFail(TakeEntity, { id: take.id });

beforeEach(async () => {
  memory = await openMemory();
  em = memory.em();
  drawn = [];
  told = [];
  halted = () => {};
  draws = (work) => Promise.resolve(rendered(work));
});
afterEach(() => memory.close());

test('the control is drawn first and once, then the take with what is measured against it', async () => {
  const control = putTake(em, { ...WAITING, isControl: true, requestHash: 'c' });
  const take = putTake(em, { ...WAITING, controlId: control.id, quality: 'proof', requestHash: 't' });
  await em.flush();
  await renderer().run(jobOf(take), em);
  expect(drawn).toHaveLength(2);
  expect(drawn[0].control).toBeUndefined();
  expect(drawn[1]).toMatchObject({ control: 'hash of numbers', controlPicture: 'hash of picture 1' });
  expect(drawn[1].controlFigures).toEqual([expect.objectContaining({ name: 'Okka' })]);
  expect(await now(take)).toMatchObject({ status: 'done', measurements: { wordsKept: 0.9 } });
  expect(await now(control)).toMatchObject({ status: 'done', pictureHash: 'hash of picture 1' });

  const origin = { ...take.origin, engine: PRESENT };
  const next = putTake(em, { ...WAITING, controlId: control.id, requestHash: 'n', origin });
  await em.flush();
  await renderer().run(jobOf(next), em);
  expect(drawn).toHaveLength(3);
  expect(drawn[2].controlPicture).toBeUndefined(); // of drafts nobody wants to know what came unasked
});

test('what is measured against are the pictures behind every influence, and who else could be meant', async () => {
  const one = putTake(em, { ...WAITING, requestHash: 'o' });
  one.origin = { ...one.origin, influences: [{ id: 'who' } as MixInfluence] };
  await em.flush();
  await renderer().run(jobOf(one), em);
  expect(drawn[0].references).toEqual([
    { influence: 'who', pictures: [{ descriptors: 'd', weight: 1 }], people: OTHERS },
  ]);
});

test('progress of both is told under the take that somebody waits for, and never goes back', async () => {
  const control = putTake(em, { ...WAITING, isControl: true, requestHash: 'c' });
  const take = putTake(em, { ...WAITING, controlId: control.id, requestHash: 't' });
  await em.flush();
  draws = async (work, progress) => {
    progress(halfDone());
    await new Promise((done) => setTimeout(done, 80));
    return rendered(work);
  };
  await renderer().run(jobOf(take), em);
  const fractions = told.filter((e) => e.type === 'progress').map((e) => [e.id, e.fraction]);
  expect(fractions).toEqual([
    [take.id, expect.closeTo(0.15)],
    [take.id, expect.closeTo(0.65)],
  ]);
});

test('what was drawn already is not drawn again', async () => {
  const there = putTake(em, { requestHash: 'same', pictureHash: 'there', measurements: { wordsKept: 0.4 } as never });
  const take = putTake(em, { ...WAITING, requestHash: 'same', origin: { ...there.origin, engine: PRESENT } });
  await em.flush();
  await renderer().run(jobOf(take), em);
  expect(drawn).toEqual([]);
  expect(await now(take)).toMatchObject({ status: 'done', pictureHash: 'there', measurements: { wordsKept: 0.4 } });
});

test('what waited for an older engine says that this one drew it', async () => {
  const take = putTake(em, { ...WAITING, requestHash: 'old' });
  await em.flush();
  await renderer().run(jobOf(take), em);
  const after = await now(take);
  expect(after.origin.engine).toEqual(PRESENT);
  expect(after.requestHash).toBe(requestHash(take.origin.request, PRESENT));
});

test.each(['done', 'cancelled'] as const)('a take that is %s is left as it is', async (status) => {
  const take = putTake(em, { status });
  await em.flush();
  await renderer().run(jobOf(take), em);
  expect([drawn, told]).toEqual([[], []]);
});

test('a take that is stopped ends as cancelled, and its engine is told', async () => {
  const take = putTake(em, { ...WAITING, requestHash: 't' });
  await em.flush();
  const renders = renderer();
  draws = (_, progress) =>
    new Promise((_done, fail) => {
      halted = () => fail(new Error('stopped'));
      progress(halfDone());
      setImmediate(() => renders.stop(take.id));
    });
  await expect(renders.run(jobOf(take), em)).rejects.toBeInstanceOf(JobCancelled);
  expect(await now(take)).toMatchObject({ status: 'cancelled' });
  renders.stop(take.id); // nothing runs any more: nothing happens
});

test('an engine that fails leaves the reason on the take, and its control is not waited for', async () => {
  const control = putTake(em, { ...WAITING, isControl: true, requestHash: 'c' });
  const take = putTake(em, { ...WAITING, controlId: control.id, requestHash: 't' });
  await em.flush();
  draws = () => Promise.reject(new Error('out of paint'));
  const renders = renderer();
  await expect(renders.run(jobOf(take), em)).rejects.toThrow('out of paint');
  await renders.failed(jobOf(take), new Error('out of paint'), memory.em());
  expect(await now(take)).toMatchObject({ status: 'failed', error: 'It was not rendered: out of paint' });
  expect(await memory.em().findOne(TakeEntity, { id: control.id })).toBeNull();
});

test('marks that somebody sets while it is drawn stay', async () => {
  const take = putTake(em, { ...WAITING, requestHash: 't' });
  await em.flush();
  draws = async (work) => {
    await memory.em().nativeUpdate(TakeEntity, { id: take.id }, { rating: 4, note: 'this one' });
    return rendered(work);
  };
  await renderer().run(jobOf(take), em);
  expect(await now(take)).toMatchObject({ status: 'done', rating: 4, note: 'this one' });
});
