import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import request from 'supertest';
import { ended, startProcess } from '../test/process';
import { bringIn, newMix, openStudio } from '../test/studio';
import type { SeriesDto } from './series.dto';

test('killed in the middle of a run of twelve shots, the run ends complete, and no shot is rendered twice', async () => {
  const folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-kill-'));
  const setup = await openStudio(folder);
  const mix = await newMix(setup, await bringIn(setup));
  await setup.close();
  const first = await startProcess(folder);
  const shots = Array.from({ length: 12 }, (_, k) => ({
    title: `Shot ${k + 1}`,
    prompt: `Ilse in the harbour with ${k + 1} cats`,
    seed: 40 + k,
  }));
  const made = (
    await request(first.url).post('/api/v1/series').send({ name: 'Twelve', mixId: mix.id, shots }).expect(201)
  ).body as SeriesDto;
  const read = async (url: string) => (await request(url).get(`/api/v1/series/${made.id}`)).body as SeriesDto;
  const done = (s: SeriesDto) => s.shots.filter((shot) => shot.takes.some((t) => t.status === 'done'));
  await request(first.url).post(`/api/v1/series/${made.id}/render`).send({ quality: 'draft' }).expect(202);
  for (;;) {
    const now = await read(first.url);
    if (done(now).length >= 3 && now.queue.rendering > 0) break;
    await new Promise((resolve) => setTimeout(resolve, 30));
  }
  const gone = ended(first.child);
  first.child.kill('SIGKILL');
  await gone;

  const second = await startProcess(folder);
  const atOnce = await read(second.url);
  const before = done(atOnce);
  expect(before.length).toBeGreaterThanOrEqual(3);
  expect(before.length).toBeLessThan(12);
  let now = atOnce;
  while (now.queue.waiting + now.queue.rendering > 0) {
    await new Promise((resolve) => setTimeout(resolve, 100));
    now = await read(second.url);
  }
  expect(now.shots.map((s) => s.takes.map((t) => t.status))).toEqual(Array.from({ length: 12 }, () => ['done']));
  expect(new Set(now.shots.map((s) => s.takes[0].pictureUrl)).size).toBe(12);
  // what was finished before is the same take, not another one
  for (const shot of before)
    expect(now.shots.find((s) => s.id === shot.id)!.takes[0]).toMatchObject({
      id: shot.takes[0].id,
      pictureUrl: shot.takes[0].pictureUrl,
    });
  expect(now.shots.every((s) => s.stale.length === 0)).toBe(true);
  const stopped = ended(second.child);
  second.child.kill('SIGINT');
  await stopped;
  await rm(folder, { recursive: true, force: true });
});
