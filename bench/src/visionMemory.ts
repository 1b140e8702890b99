import { PATTERNED, PEOPLE_FAMILIES } from '@urbild/engine-tools';
import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import sharp from 'sharp';
import { VisionService } from '../../apps/server/src/platform/vision/vision.service';
import { config } from './measure';

/** Wanted of the thread of the vision models while it looks, bytes, and the part of it that may be left after. */
const LIMIT = 600e6;
const LEFT = 0.4;
const PICTURES = 20;

const held = () => process.memoryUsage().rss;
const rest = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** What the thread of the vision models takes while it looks at people of foreign families, and what it gives back when it ends. */
export async function benchVisionMemory(): Promise<void> {
  const dir = await mkdtemp(path.join(os.tmpdir(), 'urbild-vision-'));
  const file = path.join(dir, 'one.png');
  const draw = async (k: number) => {
    const { rgba, width, height } = PEOPLE_FAMILIES[k % PEOPLE_FAMILIES.length].make({ who: PATTERNED + k, seed: k });
    const picture = sharp(Buffer.from(rgba.buffer), { raw: { width, height, channels: 4 } });
    await picture.resize(2000, 1500, { fit: 'contain' }).png().toFile(file);
  };
  // what drawing itself takes does not count
  for (let k = 0; k < PEOPLE_FAMILIES.length; k++) await draw(k);
  const before = held();
  let most = before;
  const watch = setInterval(() => (most = Math.max(most, held())), 20);
  const vision = new VisionService({ ...config(dir), vision: undefined });
  for (let k = 0; k < PICTURES; k++) {
    await draw(k);
    await vision.look(file);
  }
  vision.onModuleDestroy();
  await rest(3000);
  clearInterval(watch);
  const mb = (bytes: number) => `${Math.round(bytes / 1e6)} MB`;
  const [taken, left] = [most - before, held() - before];
  const verdict = taken <= LIMIT && left <= LEFT * taken ? 'holds' : 'MISSED';
  console.log(
    `vision thread, ${PICTURES} pictures   at most ${mb(taken)} of ${mb(LIMIT)}, ${mb(left)} left after it ended   ${verdict}`,
  );
  await rm(dir, { recursive: true, force: true });
}
