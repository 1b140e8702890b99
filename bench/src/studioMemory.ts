import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import { foreignLooks } from '@urbild/engine-tools';
import sharp from 'sharp';
import { lookOf, SoakStudio } from './soak/studio';

/** Wanted of a whole running studio, bytes. */
const LIMIT = 2e9;
const PRINTS = 3;

/** The most memory that a process was seen to hold, bytes. */
class Watch {
  most = 0;
  private readonly timer: ReturnType<typeof setInterval>;

  constructor(studio: SoakStudio) {
    this.timer = setInterval(() => (this.most = Math.max(this.most, studio.usage().memory)), 50);
  }

  end(): number {
    clearInterval(this.timer);
    return this.most;
  }
}

/** Pictures as a person brings them in: 12 megapixels of a foreign look each. */
async function pictures(): Promise<Buffer[]> {
  return Promise.all(
    foreignLooks().map(({ rgba, width, height }) => {
      return sharp(Buffer.from(rgba.buffer), { raw: { width, height, channels: 4 } })
        .resize(4000, 3000, { fit: 'cover' })
        .jpeg({ quality: 90 })
        .toBuffer();
    }),
  );
}

/**
 * What a whole studio holds at most - server, threads, models - while it prints and looks at pictures that come in at the same time.
 * A process of its own, built, as ./start runs it (Linux only).
 */
export async function benchStudioMemory(): Promise<void> {
  process.env.MALLOC_MMAP_THRESHOLD_ ??= '4194304';
  const dataDir = await mkdtemp(path.join(os.tmpdir(), 'urbild-memory-'));
  const files = await pictures();
  const studio = await SoakStudio.start(dataDir);
  const watch = new Watch(studio);
  try {
    const bringIn = async (bytes: Buffer, k: number) =>
      (await studio.send<{ reference: { id: string } }>('/references', bytes, `picture ${k}.jpg`)).body.reference.id;
    const [first, second, ...rest] = files;
    const looks = [await bringIn(first, 0), await bringIn(second, 1)];
    const mix = await studio.ask<{ id: string }>('POST', '/mixes', {
      prompt: 'Ilse poles the punt at dusk with Brom among reeds',
      influences: looks.map((id, k) => lookOf(id, `l${k}`)),
    });
    const settled = watch.most;
    for (let seed = 1; seed <= PRINTS; seed++)
      await studio.ask('POST', '/takes', { mixId: mix.body.id, quality: 'print', seed });
    for (const [k, bytes] of rest.entries()) await bringIn(bytes, k + 2);
    if (!(await studio.idle(600))) throw new Error('the studio had not done its work after ten minutes');
    const most = watch.end();
    const mb = (bytes: number) => `${Math.round(bytes / 1e6)} MB`;
    console.log(
      `memory of a studio that prints ${PRINTS} plates and looks at ${files.length} pictures: at most ${mb(most)}, ${mb(settled)} before the prints  (wanted: at most ${mb(LIMIT)})`,
    );
  } finally {
    watch.end();
    await studio.stop();
    await rm(dataDir, { recursive: true, force: true });
  }
}

if (require.main === module) void benchStudioMemory();
