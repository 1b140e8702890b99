import { unzipSync } from 'fflate';
import { PDFDocument } from 'pdf-lib';
import sharp from 'sharp';
import type { MixDto } from '../mixes/mix.dto';
import type { TakeDto } from '../takes/take.dto';
import { bringIn, newMix, openStudio, type TestStudio } from '../test/studio';
import type { ConsistencyDto } from './consistency.dto';
import type { NewShotDto, SeriesDto, ShotDto } from './series.dto';

let studio: TestStudio;
let mix: MixDto;

beforeAll(async () => {
  studio = await openStudio();
  mix = await newMix(studio, await bringIn(studio));
});
afterAll(() => studio.close());

const call = async <T>(method: 'get' | 'post' | 'patch' | 'delete', path: string, body?: object, expected?: number) =>
  (
    await studio.ask[method](`/api/v1${path}`)
      .send(body)
      .expect(expected ?? (method === 'post' ? 201 : 200))
  ).body as T;

const PROMPTS = ['Ilse in the harbour', 'Brom in the marsh at dawn', 'a cat on the pier'];
const series = (prompts = PROMPTS, name = 'A series') =>
  call<SeriesDto>('post', '/series', {
    name,
    mixId: mix.id,
    shots: prompts.map((prompt, k) => ({ title: `Shot ${k + 1}`, prompt, seed: 10 + k })),
  });
const read = (id: string) => call<SeriesDto>('get', `/series/${id}`);
const render = async (id: string, wish: object = {}) =>
  (await call<{ queued: number }>('post', `/series/${id}/render`, { quality: 'draft', ...wish }, 202)).queued;
const change = (shot: ShotDto, fields: object) =>
  call<SeriesDto>('patch', `/shots/${shot.id}`, { version: shot.version, ...fields });
const noOwn = { influences: [], added: [] };

test('what is missing or changed is rendered, and the reason is told', async () => {
  const made = await series();
  expect(made.shots.map((s) => s.stale)).toEqual([['not rendered yet'], ['not rendered yet'], ['not rendered yet']]);
  expect(await render(made.id)).toBe(3);
  await studio.jobs.idle();
  expect(await render(made.id)).toBe(0);
  const changed = await change(made.shots[1], { prompt: 'Brom in the marsh at dusk' });
  expect(changed.shots.map((s) => s.stale)).toEqual([
    [],
    ['words: “Brom in the marsh at dawn” → “Brom in the marsh at dusk”'],
    [],
  ]);
  await studio.ask.patch(`/api/v1/shots/${made.shots[1].id}`).send({ version: 1, prompt: 'overtaken' }).expect(409);
  expect(await render(made.id)).toBe(1);
  await studio.jobs.idle();
  const now = await read(made.id);
  expect(now.shots.map((s) => [s.stale.length, s.takes.length])).toEqual([
    [0, 1],
    [0, 2],
    [0, 1],
  ]);
  // going back to what was rendered before needs nothing new
  const back = await change(now.shots[1], { prompt: 'Brom in the marsh at dawn' });
  expect(back.shots[1].stale).toEqual([]);
  // several takes of chosen shots: the first is there already
  expect(await render(made.id, { shotIds: [made.shots[0].id], takes: 3 })).toBe(2);
  await studio.jobs.idle();
  const { shots } = await read(made.id);
  expect(new Set(shots[0].takes.map((t) => t.seed)).size).toBe(3);
  // the keeper stands for its shot, with its seed
  const other = shots[0].takes.find((t) => t.seed !== 10)!;
  await call('patch', `/takes/${other.id}`, { version: other.version, keeper: true });
  expect((await read(made.id)).shots[0]).toMatchObject({ leadId: other.id, seed: other.seed, stale: [] });
});

test('own settings differ from the mix one by one, and act on the request', async () => {
  const made = await series(PROMPTS.slice(0, 1));
  const pose = await bringIn(studio, 7);
  const added = {
    id: 'mine',
    referenceId: pose.id,
    gives: 'layout',
    weight: 0.5,
    from: 0,
    to: 1,
    reading: 'normal',
    on: true,
  };
  const own = { balance: 0.5, influences: [{ id: 'a', weight: 0.2 }], added: [added] };
  const { shots } = await change(made.shots[0], { own });
  expect(shots[0].differs.map((d) => d.key)).toEqual(['balance', 'weight:a', 'added:mine']);
  expect(shots[0].differs[0].text).toBe('balance 0.5 instead of 1');
  await render(made.id);
  await studio.jobs.idle();
  const [take] = (await read(made.id)).shots[0].takes;
  const whole = await call<TakeDto>('get', `/takes/${take.id}`);
  expect(whole.influences.map((i) => [i.id, i.weight])).toEqual([
    ['a', 0.2],
    ['mine', 0.5],
  ]);
  expect(whole.settings.balance).toBe(0.5);
  const without = await change(shots[0], { own: noOwn });
  expect(without.shots[0].differs).toEqual([]);
  expect(without.shots[0].stale.join()).toContain('balance 0.5 → 1');
  const strange = { ...noOwn, added: [{ ...added, referenceId: 'nowhere' }] };
  await studio.ask.patch(`/api/v1/shots/${made.shots[0].id}`).send({ version: 3, own: strange }).expect(400);
});

test('shots are added, duplicated, moved, skipped, taken out and put back', async () => {
  const made = await series();
  const titles = (s: SeriesDto) => s.shots.map((x) => x.title);
  const more = await call<SeriesDto>('post', `/series/${made.id}/shots`, {
    shots: [{ title: 'New', prompt: 'pier' }],
    at: 1,
  });
  expect(titles(more)).toEqual(['Shot 1', 'New', 'Shot 2', 'Shot 3']);
  const twice = await call<SeriesDto>('post', `/shots/${more.shots[1].id}/duplicate`, {});
  expect(titles(twice)).toEqual(['Shot 1', 'New', 'New, again', 'Shot 2', 'Shot 3']);
  expect(new Set(twice.shots.map((s) => s.seed)).size).toBe(5);
  const moved = await change(twice.shots[4], { position: 0 });
  expect(titles(moved)).toEqual(['Shot 3', 'Shot 1', 'New', 'New, again', 'Shot 2']);
  const shorter = await call<SeriesDto>('delete', `/shots/${moved.shots[2].id}`);
  expect(titles(shorter)).toEqual(['Shot 3', 'Shot 1', 'New, again', 'Shot 2']);
  expect(titles(await call<SeriesDto>('post', `/shots/${moved.shots[2].id}/restore`, {}, 200))).toEqual(titles(moved));
  const skipped = await change((await read(made.id)).shots[0], { skipped: true });
  expect(skipped.shots[0].stale).toEqual([]);
  expect(await render(made.id)).toBe(4);
  await call('post', `/series/${made.id}/stop`, {}, 200);
});

test('shots are read from lines and from tables', async () => {
  const shots = (text: string) => call<NewShotDto[]>('post', '/shots/read', { text }, 200);
  expect(await shots('The bag is full: Ilse walking in the harbour\n\n2. Brom in the marsh, at dawn\n- pier')).toEqual([
    { title: 'The bag is full', prompt: 'Ilse walking in the harbour' },
    { title: 'Brom in the marsh', prompt: 'Brom in the marsh, at dawn' },
    { title: 'Pier', prompt: 'pier' },
  ]);
  expect(await shots('Title;Prompt;Seed;Notes\nOne;"Ilse; waving";7;red page\n;pier;;')).toEqual([
    { title: 'One', prompt: 'Ilse; waving', seed: 7, notes: 'red page' },
    { title: 'Pier', prompt: 'pier' },
  ]);
  const refused = await call<{ errors: { message: string }[] }>(
    'post',
    '/shots/read',
    { text: 'title,prompt,seed\nx,pier,many' },
    400,
  );
  expect(refused.errors[0].message).toContain('Row 2: the seed "many"');
  await call('post', '/shots/read', { text: '  \n ' }, 400);
  await call('post', '/shots/read', { text: 'pier\n'.repeat(121) }, 400);
});

test('a paused series waits, goes on, and can be stopped', async () => {
  const made = await series([...PROMPTS, 'a dog on the beach', 'a boat', 'the mill'], 'Waits');
  await render(made.id, { quality: 'proof' });
  const held = await call<SeriesDto>('post', `/series/${made.id}/pause`, {}, 200);
  expect(held.paused).toBe(true);
  await studio.jobs.idle();
  const now = await read(made.id);
  expect(now.queue.rendering).toBe(0);
  expect(now.queue.waiting).toBeGreaterThan(2);
  await call('post', `/series/${made.id}/go-on`, {}, 200);
  await call('post', `/series/${made.id}/stop`, {}, 200);
  await studio.jobs.idle();
  const stopped = await read(made.id);
  expect(stopped).toMatchObject({ paused: false, queue: { waiting: 0, rendering: 0 } });
  expect(stopped.shots.some((s) => s.takes.some((t) => t.status === 'cancelled'))).toBe(true);
  expect(stopped.shots.some((s) => s.stale.length)).toBe(true);
});

test('a try changes nothing until it is kept, and can be taken back', async () => {
  const made = await series(PROMPTS.slice(0, 1), 'Tries');
  await render(made.id);
  await studio.jobs.idle();
  const plan = {
    prompt: 'half figure of Ilse in the harbour',
    seed: 10,
    own: { influences: [{ id: 'a', weight: 1.4 }], added: [] },
  };
  const tried = await call<SeriesDto>('post', `/series/${made.id}/shots/${made.shots[0].id}/tries`, {
    label: 'Bring Ilse nearer',
    plan,
  });
  await studio.jobs.idle();
  const before = (await read(made.id)).shots[0];
  const attempt = before.takes.find((t) => t.trial)!;
  expect(attempt.trial).toMatchObject({ kind: 'remedy', label: 'Bring Ilse nearer', kept: false });
  expect(attempt.quality).toBe('draft');
  expect(before).toMatchObject({ prompt: PROMPTS[0], stale: [], leadId: tried.shots[0].leadId });
  const kept = await call<SeriesDto>('post', `/series/${made.id}/tries/${attempt.trial!.batch}/keep`, {}, 200);
  expect(kept.shots[0]).toMatchObject({ prompt: plan.prompt, stale: [], leadId: attempt.id });
  expect(kept.shots[0].differs.map((d) => d.key)).toEqual(['weight:a']);
  const back = await call<SeriesDto>('post', `/series/${made.id}/tries/${attempt.trial!.batch}/take-back`, {}, 200);
  expect(back.shots[0]).toMatchObject({ prompt: PROMPTS[0], stale: [], leadId: before.leadId, differs: [] });
  const dropped = await call<SeriesDto>('delete', `/series/${made.id}/tries/${attempt.trial!.batch}`);
  expect(dropped.shots[0].takes.map((t) => t.id)).toEqual([before.leadId]);
  await call('post', `/series/${made.id}/tries/nowhere/keep`, {}, 404);
});

test('a swap is tried over all shots with layouts held, kept, and taken back with the mix', async () => {
  const made = await series(PROMPTS.slice(0, 2), 'Swaps');
  await render(made.id);
  await studio.jobs.idle();
  const other = await bringIn(studio, 5);
  const swap = { influence: 'a', of: 'reference', referenceId: other.id };
  const asked = await call<SeriesDto>('post', `/series/${made.id}/swaps`, swap);
  expect(asked.shots[0].takes[0].trial!.label).toBe(other.title);
  await studio.jobs.idle();
  const { shots } = await read(made.id);
  const tries = shots.map((s) => s.takes.find((t) => t.trial)!);
  const batch = tries[0].trial!.batch;
  expect(tries.map((t) => [t.trial!.batch, t.seed])).toEqual([
    [batch, 10],
    [batch, 11],
  ]);
  const compared = await call<ConsistencyDto>('get', `/series/${made.id}/consistency?batch=${batch}`);
  expect(compared.shots).toHaveLength(2);
  for (const s of compared.shots) expect(s.layout).toBeGreaterThan(0.5);
  const source = async () => (await call<MixDto>('get', `/mixes/${mix.id}`)).influences[0].referenceId;
  const first = await source();
  const kept = await call<SeriesDto>('post', `/series/${made.id}/tries/${batch}/keep`, {}, 200);
  expect(await source()).toBe(other.id);
  expect(kept.shots.map((s) => [s.stale, s.leadId])).toEqual(tries.map((t) => [[], t.id]));
  const back = await call<SeriesDto>('post', `/series/${made.id}/tries/${batch}/take-back`, {}, 200);
  expect(await source()).toBe(first);
  expect(back.shots.map((s) => s.stale)).toEqual([[], []]);
  expect(back.shots.map((s) => s.leadId)).toEqual(shots.map((s) => s.leadId));
  await call('post', `/series/${made.id}/swaps`, { ...swap, influence: 'none' }, 400);
});

test('a series is handed over as archive, contact sheets and table', async () => {
  const made = await series(PROMPTS.slice(0, 2), 'Zwei Briefe: Ärger');
  const binary = (form: string) =>
    studio.ask
      .get(`/api/v1/series/${made.id}/export/${form}`)
      .buffer(true)
      .parse((res, done) => {
        const chunks: Buffer[] = [];
        res.on('data', (c: Buffer) => chunks.push(c));
        res.on('end', () => done(null, Buffer.concat(chunks)));
      });
  await binary('zip').expect(409);
  await render(made.id);
  await studio.jobs.idle();
  const zip = await binary('zip').expect(200);
  expect(zip.headers['content-disposition']).toContain('zwei-briefe-arger.zip');
  const files = unzipSync(zip.body as Buffer);
  expect(Object.keys(files).sort()).toEqual(['001-shot-1.png', '002-shot-2.png', 'credits.txt', 'measurements.csv']);
  expect(await sharp(files['001-shot-1.png']).metadata()).toMatchObject({ format: 'png', width: 256 });
  expect(Buffer.from(files['credits.txt']).toString()).toContain('picture 1, not cleared');
  const pdf = await PDFDocument.load((await binary('pdf').expect(200)).body as Buffer);
  expect([pdf.getPageCount(), pdf.getTitle()]).toEqual([2, 'Zwei Briefe: Ärger']);
  const sheet = await sharp((await binary('png').expect(200)).body as Buffer).metadata();
  expect(sheet.width).toBeGreaterThan(900);
  const csv = (await binary('csv').expect(200)).body as Buffer;
  const lines = csv.toString().trim().split('\n');
  expect(lines).toHaveLength(3);
  expect(lines[0]).toContain('arrival of');
  await studio.ask.get(`/api/v1/series/${made.id}/export/exe`).expect(400);
});

test('a mix becomes a series and a shot becomes a mix', async () => {
  const made = await call<SeriesDto>('post', '/series/from-mix', { mixId: mix.id });
  expect(made).toMatchObject({ name: 'Test', mixId: mix.id });
  expect(made.shots.map((s) => s.prompt)).toEqual([mix.prompt]);
  const { shots } = await change(made.shots[0], { own: { influences: [{ id: 'a', weight: 0.3 }], added: [] } });
  const own = await call<MixDto>('post', `/shots/${shots[0].id}/mix`, {});
  expect(own).toMatchObject({ prompt: mix.prompt, settings: { seed: shots[0].seed } });
  expect(own.influences[0].weight).toBe(0.3);
  const pinned = await call<SeriesDto>('patch', `/series/${made.id}`, { version: made.version + 1, name: 'Pinned' });
  expect(pinned.name).toBe('Pinned');
  await studio.ask.patch(`/api/v1/series/${made.id}`).send({ version: 1, name: 'late' }).expect(409);
  await studio.ask.patch(`/api/v1/series/${made.id}`).send({ version: pinned.version, mixVersion: 99 }).expect(404);
  await call('delete', `/series/${made.id}`, undefined, 204);
  await call('get', `/series/${made.id}`, undefined, 404);
  await call('post', `/series/${made.id}/restore`, {}, 204);
  expect((await read(made.id)).name).toBe('Pinned');
  await studio.ask.post('/api/v1/series').send({ name: 'x', mixId: 'nowhere' }).expect(404);
});
