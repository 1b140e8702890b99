import Database from 'better-sqlite3';
import { randomUUID } from 'crypto';
import { mkdtemp } from 'fs/promises';
import os from 'os';
import path from 'path';
import { createApplication } from '../../apps/server/src/application';
import { databaseFile } from '../../apps/server/src/platform/database/options';
import { JobsService } from '../../apps/server/src/platform/jobs/jobs.service';
import { Browser } from '../../e2e/src/browser';
import { RunningStudio } from '../../e2e/src/studio';
import { config, medianTime } from './measure';
import { scrollOf } from './scroll';

const SHOTS = 60;
const TAKES = 5;
const SHEET = `document.querySelector('[data-testid=contact-sheet]')`;

/** Opening and scrolling a series of 60 shots with 5 takes each, in Chromium; needs the built application. */
export async function benchSeriesPage(): Promise<void> {
  const dataDir = await mkdtemp(path.join(os.tmpdir(), 'urbild-series-'));
  const id = await fillSeries(dataDir);
  const studio = await RunningStudio.start({ dataDir });
  const browser = await Browser.open();
  const answer = await medianTime(() => studio.get(`/series/${id}`));
  const empty = await medianTime(() => studio.get('/studio'));
  const opened: number[] = [];
  for (let k = 0; k < 5; k++) {
    await browser.driver.get('about:blank');
    await browser.driver.get(`${studio.url}/series/${id}?zoom=sheet`);
    const ms = await browser.until('the contact sheet', () =>
      browser.driver.executeScript<number | null>(
        `const tiles = [...document.querySelectorAll('[data-testid=shot-picture]')].filter((i) => i.getBoundingClientRect().top < innerHeight);
         return tiles.length > 3 && tiles.every((i) => i.complete && i.naturalWidth) ? performance.now() : null`,
      ),
    );
    opened.push(ms!);
  }
  opened.sort((a, b) => a - b);
  console.log(`A series of ${SHOTS} shots with ${TAKES} takes each:`);
  console.log(
    `  the server's answer                  ${answer.toFixed(0)} ms = ${(answer / empty).toFixed(1)} x the smallest answer`,
  );
  console.log(`  from the address to its pictures     ${opened[2].toFixed(0)} ms  (wanted: 1000)`);
  await browser.driver.manage().setTimeouts({ script: 60_000 });
  const times = (await browser.driver.executeAsyncScript<number[]>(scrollOf(SHEET), 12, 120)).sort((a, b) => a - b);
  const at = (part: number) => times[Math.floor(part * (times.length - 1))].toFixed(1);
  console.log(
    `  scrolling, 12 px a frame             median ${at(0.5)} ms a frame, 95 % under ${at(0.95)}  (a display of 60 Hz has 16.7)`,
  );
  await browser.close();
  await studio.remove();
}

/** A series of 60 shots with 5 takes each, all of one rendered take; answers with its id. */
export async function fillSeries(dataDir: string): Promise<string> {
  const app = await createApplication(config(dataDir));
  const { port } = (await app.listen(0, '127.0.0.1')).address() as { port: number };
  const post = async <T>(address: string, body: object): Promise<T> =>
    (await (
      await fetch(`http://127.0.0.1:${port}/api/v1${address}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      })
    ).json()) as T;
  const mix = await post<{ id: string }>('/mixes', { name: 'Sixty', prompt: 'Ilse in the harbour', influences: [] });
  const shots = Array.from({ length: SHOTS }, (_, k) => ({
    title: `Shot ${k + 1}`,
    prompt: `Ilse in the harbour, page ${k + 1}`,
    seed: k,
  }));
  const { id } = await post<{ id: string }>('/series', { name: 'Sixty', mixId: mix.id, shots });
  const { shots: made } = (await (await fetch(`http://127.0.0.1:${port}/api/v1/series/${id}`)).json()) as {
    shots: { id: string }[];
  };
  await post(`/series/${id}/render`, { quality: 'proof', shotIds: [made[0].id] });
  await app.get(JobsService).idle();
  await app.close();
  const db = new Database(databaseFile(dataDir));
  const take = db.prepare('select * from take limit 1').get() as Record<string, unknown>;
  const names = Object.keys(take);
  const put = db.prepare(
    `insert into take (${names.map((n) => `\`${n}\``).join(', ')}) values (${names.map(() => '?').join(', ')})`,
  );
  for (const [k, shot] of made.entries())
    for (let nth = k ? 0 : 1; nth < TAKES; nth++) {
      const origin = JSON.parse(take.origin as string) as { request: object };
      origin.request = { ...origin.request, prompt: `Ilse in the harbour, page ${k + 1}`, seed: k + 7919 * nth };
      const row = {
        ...take,
        id: randomUUID(),
        shot_id: shot.id,
        origin: JSON.stringify(origin),
        request_hash: randomUUID(),
      };
      put.run(...names.map((n) => row[n as keyof typeof row]));
    }
  db.close();
  return id;
}

if (require.main === module) void import('reflect-metadata').then(benchSeriesPage);
