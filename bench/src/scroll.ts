import Database from 'better-sqlite3';
import { mkdtemp, rm, writeFile } from 'fs/promises';
import os from 'os';
import path from 'path';
import sharp from 'sharp';
import { createApplication } from '../../apps/server/src/application';
import { databaseFile } from '../../apps/server/src/platform/database/options';
import { JobsService } from '../../apps/server/src/platform/jobs/jobs.service';
import { Browser } from '../../e2e/src/browser';
import { RunningStudio } from '../../e2e/src/studio';
import { fillStudio } from './library';
import { config } from './measure';

/** A script that scrolls a list for so many frames, so many px each, and tells how long each frame took. `find` is an expression. */
export const scrollOf = (find: string): string => `
  const done = arguments[arguments.length - 1];
  const list = ${find};
  const times = [];
  let last;
  const step = (now) => {
    if (last !== undefined) times.push(now - last);
    last = now;
    list.scrollTop += arguments[0];
    if (times.length < arguments[1]) requestAnimationFrame(step);
    else done(times);
  };
  requestAnimationFrame(step);
`;

/** The list of pictures, by its height. */
const LIST = `[...document.querySelectorAll('main *')].find((e) => e.scrollHeight > 50000 && e.clientHeight > 200)`;

/** Frame times of the library in Chromium while it scrolls through 50 000 references; needs the built application. */
export async function benchScroll(): Promise<void> {
  const dataDir = await mkdtemp(path.join(os.tmpdir(), 'urbild-scroll-'));
  await fillPictures(dataDir);
  const studio = await RunningStudio.start({ dataDir });
  const browser = await Browser.open();
  await browser.driver.get(`${studio.url}/library`);
  await browser.until('the list', () =>
    browser.driver.executeScript<boolean>(
      `return [...document.querySelectorAll('main *')].some((e) => e.scrollHeight > 50000 && e.clientHeight > 200)`,
    ),
  );
  await browser.driver.manage().setTimeouts({ script: 60_000 });
  for (const [name, px] of [
    ['slowly, 12 px a frame', 12],
    ['fast, 120 px a frame', 120],
  ] as const) {
    const times = (await browser.driver.executeAsyncScript<number[]>(scrollOf(LIST), px, 240)).sort((a, b) => a - b);
    const at = (part: number) => times[Math.floor(part * (times.length - 1))].toFixed(1);
    console.log(
      `scrolling 50 000 references ${name.padEnd(22)} median ${at(0.5)} ms a frame, 95 % under ${at(0.95)}, longest ${at(1)}  (a display of 60 Hz has 16.7)`,
    );
  }
  await browser.close();
  await studio.remove();
  await rm(dataDir, { recursive: true, force: true });
}

/** A studio of 50 000 references that all show one small picture. */
export async function fillPictures(dataDir: string): Promise<void> {
  const app = await createApplication(config(dataDir));
  const { port } = (await app.listen(0, '127.0.0.1')).address() as { port: number };
  const file = path.join(dataDir, 'one.png');
  await writeFile(
    file,
    await sharp({
      create: {
        width: 480,
        height: 360,
        channels: 3,
        background: '#7f9a86',
        noise: { type: 'gaussian', mean: 90, sigma: 30 },
      },
    })
      .png()
      .toBuffer(),
  );
  const form = new FormData();
  form.append('file', new Blob([new Uint8Array(await sharp(file).toBuffer())]), 'one.png');
  await fetch(`http://127.0.0.1:${port}/api/v1/imports`, { method: 'POST', body: form });
  await app.get(JobsService).idle();
  await app.close();
  const db = new Database(databaseFile(dataDir));
  const row = db.prepare('select picture_hash as hash, thumbnail_hash as thumbnail from reference limit 1').get();
  db.close();
  fillStudio(databaseFile(dataDir), undefined, row as { hash: string; thumbnail: string });
}

if (require.main === module) void benchScroll();
