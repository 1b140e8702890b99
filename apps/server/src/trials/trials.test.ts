import { MikroORM } from '@mikro-orm/core';
import sharp from 'sharp';
import type { ReferenceDto } from '../library/reference.dto';
import type { InForceDto, MixDto, MixVersionDto } from '../mixes/mix.dto';
import type { TakeDto, WorkedDto } from '../takes/take.dto';
import { TakeEntity } from '../takes/take.entity';
import { bringIn, newMix, openStudio, type TestStudio } from '../test/studio';
import type { SolveDto, StripDto } from './trial.dto';

let studio: TestStudio;
let first: ReferenceDto;
let second: ReferenceDto;
let mix: MixDto;
beforeAll(async () => {
  studio = await openStudio();
  first = await bringIn(studio, 1);
  second = await bringIn(studio, 2);
  mix = await newMix(studio, first, 0.8);
});
afterAll(() => studio.close());

const post = async <T>(path: string, body: object, status = 201): Promise<T> =>
  (await studio.ask.post(`/api/v1${path}`).send(body).expect(status)).body as T;
const get = async <T>(path: string): Promise<T> => (await studio.ask.get(`/api/v1${path}`).expect(200)).body as T;
const change = async (fields: object): Promise<MixDto> => {
  const { version } = await get<MixDto>(`/mixes/${mix.id}`);
  return (
    await studio.ask
      .patch(`/api/v1/mixes/${mix.id}`)
      .send({ version, ...fields })
      .expect(200)
  ).body as MixDto;
};

describe('test strips', () => {
  test('a cell per value; heavier cells arrive further; the strip is there after a reload', async () => {
    const strip = await post<StripDto>('/strips', {
      mixId: mix.id,
      axes: [{ setting: 'weight', influence: 'a', values: [0, 0.5, 1] }],
    });
    expect(strip.cells.map((c) => c.influences[0].weight)).toEqual([0, 0.5, 1]);
    await studio.jobs.idle();
    const { cells } = await get<StripDto>(`/strips/${strip.id}`);
    expect(cells.map((c) => c.status)).toEqual(['done', 'done', 'done']);
    const arrived = cells.map((c) => c.arrivals[0]?.overall ?? 0);
    expect(arrived[1]).toBeGreaterThan(arrived[0]);
    expect(arrived[2]).toBeGreaterThan(arrived[1]);
    expect((await get<StripDto[]>(`/strips?mixId=${mix.id}`)).map((s) => s.id)).toEqual([strip.id]);
    // cells belong to the strip: they do not crowd the light table
    expect(await get<TakeDto[]>(`/takes?mixId=${mix.id}`)).toEqual([]);
  });

  test('a table has rows and columns; one cell can be made a proof', async () => {
    const strip = await post<StripDto>('/strips', {
      mixId: mix.id,
      name: 'Seeds',
      axes: [
        { setting: 'seed', values: [5, 6] },
        { setting: 'swap', influence: 'a', values: [`reference:${first.id}`, `reference:${second.id}`] },
      ],
    });
    expect(strip.cells.map((c) => [c.seed, c.influences[0].referenceId])).toEqual([
      [5, first.id],
      [6, first.id],
      [5, second.id],
      [6, second.id],
    ]);
    const proofed = await post<StripDto>(`/strips/${strip.id}/proof`, { cell: 2 });
    expect(proofed.cells.map((c) => c.quality)).toEqual(['draft', 'draft', 'proof', 'draft']);
    await post(`/strips/${strip.id}/proof`, { cell: 4 }, 404);
    await studio.ask.delete(`/api/v1/strips/${strip.id}`).expect(204);
    await studio.jobs.idle();
    await studio.ask.get(`/api/v1/strips/${strip.id}`).expect(404);
  });

  test.each([
    [{ setting: 'weight', influence: 'z', values: [1] }, /not in the mix/],
    [{ setting: 'weight', influence: 'a', values: [9] }, /from 0 to 4/],
    [{ setting: 'swap', influence: 'a', values: ['reference:nobody'] }, /not in the studio/],
    [{ setting: 'seed', values: [] }, /values/],
  ])('%j is refused with a reason', async (axis, reason) => {
    const { detail } = await post<{ detail: string }>('/strips', { mixId: mix.id, axes: [axis] }, 400);
    expect(detail).toMatch(reason);
  });
});

describe('searches for weights', () => {
  test('targets that a draft has shown are met, step by step, with the drafts to be seen', async () => {
    const { cells } = (await get<StripDto[]>(`/strips?mixId=${mix.id}`))[0];
    const wanted = cells[1].arrivals[0].overall!;
    const asked = await post<SolveDto>('/solves', { mixId: mix.id, targets: [{ influence: 'a', arrival: wanted }] });
    expect(asked.status).toBe('running');
    await studio.jobs.idle();
    const solve = await get<SolveDto>(`/solves/${asked.id}`);
    expect(solve.status).toBe('met');
    const found = solve.path[solve.best!];
    expect(Math.abs(found.weights[0].arrival - wanted)).toBeLessThanOrEqual(0.05);
    expect(found.take?.status).toBe('done');
    expect(solve.path[0].weights[0].weight).toBe(0.8);
  });

  test('what cannot be met is said, with the nearest', async () => {
    const asked = await post<SolveDto>('/solves', {
      mixId: mix.id,
      targets: [{ influence: 'a', arrival: 0.95 }],
      wordsKept: 0.99,
    });
    await studio.jobs.idle();
    const solve = await get<SolveDto>(`/solves/${asked.id}`);
    expect(solve.status).toBe('cannot');
    expect(solve.reason).toMatch(/nearest misses/);
    expect(solve.path.length).toBeLessThanOrEqual(12);
    expect((await get<SolveDto[]>(`/solves?mixId=${mix.id}`))[0].id).toBe(asked.id);
  });

  test('a stop stops, and keeps what was found', async () => {
    const asked = await post<SolveDto>('/solves', { mixId: mix.id, targets: [{ influence: 'a', arrival: 0.31 }] });
    const stopped = await post<SolveDto>(`/solves/${asked.id}/stop`, {}, 200);
    expect(stopped.status).toBe('stopped');
    await studio.jobs.idle();
    expect((await get<SolveDto>(`/solves/${asked.id}`)).status).toBe('stopped');
    await post('/solves', { mixId: mix.id, targets: [{ influence: 'q', arrival: 0.3 }] }, 400);
  });
});

describe('start, mask, region', () => {
  const paint = async (white: boolean) => {
    const box = await sharp({ create: { width: 24, height: 32, channels: 3, background: white ? '#fff' : '#000' } })
      .png()
      .toBuffer();
    const file = await sharp({ create: { width: 48, height: 32, channels: 3, background: '#000' } })
      .composite([{ input: box, left: 0, top: 0 }])
      .png()
      .toBuffer();
    const { body } = await studio.ask.post('/api/v1/masks').attach('file', file, 'mask.png').expect(201);
    return body as { content: string; url: string; covers: number };
  };
  const pixels = async (url: string) => {
    const { body } = await studio.ask.get(url).buffer().expect(200);
    return sharp(body as Buffer)
      .raw()
      .toBuffer({ resolveWithObject: true });
  };

  test('a mask is kept with what it covers; other files are refused', async () => {
    expect((await paint(true)).covers).toBeCloseTo(0.5, 1);
    expect((await paint(false)).covers).toBe(0);
    await studio.ask.post('/api/v1/masks').attach('file', Buffer.from('no picture'), 'mask.png').expect(422);
    await studio.ask.post('/api/v1/masks').expect(400);
  });

  test('a take that starts from another changes only under the mask', async () => {
    const before = await post<TakeDto>('/takes', { mixId: mix.id, quality: 'draft' });
    await studio.jobs.idle();
    const { content } = await paint(true);
    const mask = { content, invert: false, feather: 0.01 };
    const start = { of: 'take', id: before.id, change: 0.9 };
    await change({ settings: { ...mix.settings, seed: 77, start, mask } });
    const asked = await post<TakeDto>('/takes', { mixId: mix.id, quality: 'draft' });
    await studio.jobs.idle();
    const [a, b] = await Promise.all(
      [before.id, asked.id].map(async (id) => pixels((await get<TakeDto>(`/takes/${id}`)).pictureUrl!)),
    );
    const { width, height, channels } = a.info;
    let outside = 0;
    let inside = 0;
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        for (let c = 0; c < channels; c++) {
          const i = (y * width + x) * channels + c;
          const off = Math.abs(a.data[i] - b.data[i]);
          if (x > width / 2) outside += off;
          else inside += off;
        }
    expect(outside).toBe(0);
    expect(inside).toBeGreaterThan(1000);
    await change({ settings: mix.settings });
  });

  test('an influence is bound to a region; a mask that is not there is refused', async () => {
    const { content } = await paint(true);
    const region = { content, invert: false, feather: 0 };
    const bound = await change({ influences: [{ ...mix.influences[0], region }] });
    expect(bound.influences[0].region).toEqual(region);
    const elsewhere = { ...region, content: 'f'.repeat(64) };
    const refused = { version: bound.version, influences: [{ ...mix.influences[0], region: elsewhere }] };
    const { body } = await studio.ask.patch(`/api/v1/mixes/${mix.id}`).send(refused).expect(400);
    expect((body as { detail: string }).detail).toMatch(/paint it again/);
    await change({ influences: mix.influences });
  });
});

describe('the bench', () => {
  test('subject, parts and what a shape fills are kept with the mix', async () => {
    const told = { subject: 'Ilse', parts: ['hair'], fill: 'around', except: ['x'] };
    const kept = await change({ influences: [{ ...mix.influences[0], ...told }] });
    expect(kept.influences[0]).toMatchObject(told);
    await change({ influences: mix.influences });
  });

  test('in force: what acts, what does not and why, and how long it will take', async () => {
    await change({
      influences: [
        ...mix.influences,
        { ...mix.influences[0], id: 'b', referenceId: second.id, weight: 0 },
        { ...mix.influences[0], id: 'c', referenceId: second.id, on: false },
      ],
    });
    const force = await get<InForceDto>(`/takes/in-force/${mix.id}?quality=draft`);
    expect(force).toMatchObject({ width: 256, height: 168, ahead: 0 });
    expect(force.usually).toBeGreaterThan(10);
    expect(force.influences.map((i) => [i.acts, i.why])).toEqual([
      [true, undefined],
      [false, 'its weight is 0'],
      [false, 'it is switched off'],
    ]);
    expect(force.influences[0].pictures[0]).toMatchObject({ referenceId: first.id, weight: 1, fileVersion: 1 });
    await change({ influences: mix.influences });
  });

  test('versions are noted when a proof is asked, once for each state', async () => {
    const proof = () => post<TakeDto>('/takes', { mixId: mix.id, quality: 'proof' });
    await proof();
    await proof();
    await change({ prompt: 'a quay at night' });
    await proof();
    await studio.jobs.idle();
    const versions = await get<MixVersionDto[]>(`/mixes/${mix.id}/versions`);
    expect(versions.map((v) => [v.number, v.prompt])).toEqual([
      [2, 'a quay at night'],
      [1, 'Ilse in the harbour at noon'],
    ]);
  });

  test('takes are rated, rejected and noted; keeping one tells which weights worked', async () => {
    const [take] = await get<TakeDto[]>(`/takes?mixId=${mix.id}`);
    const say = async (fields: object, version: number) =>
      (
        await studio.ask
          .patch(`/api/v1/takes/${take.id}`)
          .send({ version, ...fields })
          .expect(200)
      ).body as TakeDto;
    const kept = await say({ keeper: true, rating: 4, note: 'the sky' }, take.version);
    expect(kept).toMatchObject({ keeper: true, rating: 4, note: 'the sky', rejected: false });
    const worked = await get<WorkedDto[]>(`/takes/worked?ids=${first.id},${second.id}`);
    expect(worked).toEqual([{ referenceId: first.id, low: 0.8, high: 0.8, count: 1 }]);
    // a weight with which nothing arrived did not work, though the take was kept
    const em = studio.app.get(MikroORM).em.fork();
    const stored = await em.findOneOrFail(TakeEntity, { id: take.id });
    const arrivals = Object.entries(stored.measurements!.arrivals).map(([id, a]) => [id, { ...a, overall: 0.01 }]);
    stored.measurements = { ...stored.measurements!, arrivals: Object.fromEntries(arrivals) as never };
    await em.flush();
    expect(await get<WorkedDto[]>(`/takes/worked?ids=${first.id}`)).toEqual([]);
    const { version } = await get<TakeDto>(`/takes/${take.id}`);
    const rejected = await say({ rejected: true }, version);
    expect(rejected).toMatchObject({ keeper: false, rejected: true, rating: 4 });
    expect(await get<WorkedDto[]>('/takes/worked?ids=')).toEqual([]);
  });

  test('a take goes on: larger, and in variations, each knowing where it comes from', async () => {
    const draft = await post<TakeDto>('/takes', { mixId: mix.id, quality: 'draft' });
    await post(`/takes/${draft.id}/enlarge`, { times: 2 }, 409);
    await studio.jobs.idle();
    const larger = await post<TakeDto>(`/takes/${draft.id}/enlarge`, { times: 2 });
    expect(larger).toMatchObject({ width: draft.width * 2, height: draft.height * 2, fromTakeId: draft.id });
    const [one, two] = await post<TakeDto[]>(`/takes/${draft.id}/more`, { count: 2 });
    expect(new Set([draft.seed, one.seed, two.seed]).size).toBe(3);
    expect(one.settings.start).toMatchObject({ of: 'take', id: draft.id });
    await studio.jobs.idle();
    expect((await get<TakeDto>(`/takes/${larger.id}`)).status).toBe('done');
    await post(`/takes/${larger.id}/enlarge`, { times: 9 }, 400);
    const { detail } = await post<{ detail: string }>(
      `/takes/${(await get<TakeDto[]>(`/takes?mixId=${mix.id}`)).find((t) => t.quality === 'proof' && !t.fromTakeId)!.id}/enlarge`,
      { times: 4 },
      409,
    );
    expect(detail).toMatch(/2048/);
  });
});

describe('over several shots of a series', () => {
  const over = async () => {
    const series = (
      await studio.ask
        .post('/api/v1/series')
        .send({
          name: 'Tuned',
          mixId: mix.id,
          shots: [
            { title: 'One', prompt: 'pier at dawn', seed: 5 },
            { title: 'Two', prompt: 'a cat in the kitchen', seed: 6 },
          ],
        })
        .expect(201)
    ).body as { id: string; shots: { id: string }[] };
    return { mixId: mix.id, seriesId: series.id, shotIds: series.shots.map((s) => s.id) };
  };

  test('a strip draws every shot for every value', async () => {
    const shots = await over();
    const axes = [{ setting: 'weight', influence: mix.influences[0].id, values: [0, 1] }];
    const strip = (
      await studio.ask
        .post('/api/v1/strips')
        .send({ ...shots, axes })
        .expect(201)
    ).body as StripDto;
    expect(strip.shots?.map((s) => s.title)).toEqual(['One', 'Two']);
    expect(strip.cells.map((c) => [c.prompt, c.seed, c.influences[0].weight])).toEqual([
      ['pier at dawn', 5, 0],
      ['a cat in the kitchen', 6, 0],
      ['pier at dawn', 5, 1],
      ['a cat in the kitchen', 6, 1],
    ]);
    const own = (await studio.ask.get(`/api/v1/strips/of-series/${shots.seriesId}`).expect(200)).body as StripDto[];
    expect(own.map((s) => s.id)).toEqual([strip.id]);
    const ofMix = (await studio.ask.get(`/api/v1/strips?mixId=${mix.id}`).expect(200)).body as StripDto[];
    expect(ofMix.some((s) => s.id === strip.id)).toBe(false);
    await studio.ask
      .post('/api/v1/strips')
      .send({ ...shots, axes, shotIds: ['nowhere'] })
      .expect(400);
    await studio.jobs.idle();
  });

  test('a search takes the mean over the shots', async () => {
    const shots = await over();
    const influence = mix.influences[0].id;
    const made = (
      await studio.ask
        .post('/api/v1/solves')
        .send({ ...shots, targets: [{ influence, arrival: 0.3 }] })
        .expect(201)
    ).body as SolveDto;
    await studio.jobs.idle();
    const found = (await studio.ask.get(`/api/v1/solves/${made.id}`).expect(200)).body as SolveDto;
    expect(found.path.length).toBeGreaterThan(0);
    expect(found.status).not.toBe('failed');
    expect(found.path[0].take?.prompt).toBe('pier at dawn');
    const alone = found.path[0].take?.arrivals.find((a) => a.influenceId === influence)?.overall;
    expect(found.path[0].weights[0].arrival).not.toBe(alone);
  });
});
