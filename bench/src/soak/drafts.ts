import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import { strangePng } from '../../../e2e/src/page';
import { lookInto } from './folder';
import { hold, tell } from './report';
import { lookOf, SoakStudio } from './studio';

/** Drafts that the studio keeps of one mix, at most. */
const KEPT = 61;

/** Asks for drafts with new words each, every one replacing the one before at once, as ordinary typing does. */
export async function drafts(times: number): Promise<void> {
  const dataDir = await mkdtemp(path.join(os.tmpdir(), 'urbild-soak-'));
  const studio = await SoakStudio.start(dataDir);
  const { reference } = (await studio.send<{ reference: { id: string } }>('/references', await strangePng(3), 'a.png'))
    .body;
  const look = lookOf(reference.id);
  const { id: mixId } = (
    await studio.ask<{ id: string }>('POST', '/mixes', { name: 'M', prompt: 'Ilse', influences: [look] })
  ).body;
  const draft = (k: number) =>
    studio.ask('POST', '/takes', { mixId, quality: 'draft', prompt: `Ilse in the harbour, ${k} gulls` });
  let refused = 0;
  let warm = studio.usage();
  for (let k = 0; k < times; k++) {
    if ((await draft(k)).status !== 201) refused++;
    if (k === Math.floor(times / 4)) {
      await studio.idle(120);
      warm = studio.usage();
    }
  }
  const empty = await studio.idle(120);
  await new Promise((resolve) => setTimeout(resolve, 2000));
  const end = studio.usage();
  const { body: left } = await studio.ask<unknown[]>('GET', `/takes?mixId=${mixId}`);
  await studio.stop();
  const folder = lookInto(dataDir);
  const mb = (bytes: number) => (bytes / 1e6).toFixed(0);
  tell(`${times} drafts replaced at once: ${left.length} kept, database ${(folder.bytes / 1e6).toFixed(2)} MB in use`);
  hold('drafts refused', refused, '0', refused === 0);
  hold('the queue is empty afterwards', empty ? 'yes' : 'no', 'yes', empty);
  const jobs = Object.values(folder.jobs).reduce((a, b) => a + b, 0);
  hold('jobs left in the database', jobs, '0', jobs === 0);
  hold('takes in the database, controls among them', folder.takes, `at most ${2 * KEPT}`, folder.takes <= 2 * KEPT);
  hold('controls of nobody', folder.ghosts, '0', folder.ghosts === 0);
  hold('database in use, MB', (folder.bytes / 1e6).toFixed(2), 'under 3', folder.bytes < 3e6);
  hold(
    'memory after a quarter and at the end, MB',
    `${mb(warm.memory)} ${mb(end.memory)}`,
    'at most a quarter more',
    end.memory < 1.25 * warm.memory + 60e6,
  );
  hold(
    'files open after a quarter and at the end',
    `${warm.files} ${end.files}`,
    'at most 8 more',
    end.files <= warm.files + 8,
  );
  await rm(dataDir, { recursive: true, force: true });
}
