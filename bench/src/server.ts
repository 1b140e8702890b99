import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import { monitorEventLoopDelay } from 'perf_hooks';
import sharp from 'sharp';
import { createApplication } from '../../apps/server/src/application';
import { config } from './measure';
import { JobsService } from '../../apps/server/src/platform/jobs/jobs.service';

/** The server: how long its event loop is held up at most while takes are rendered and pictures come in. */
export async function benchServer(): Promise<void> {
  const dataDir = await mkdtemp(path.join(os.tmpdir(), 'urbild-bench-'));
  const app = await createApplication({ ...config(dataDir), vision: undefined });
  const { port } = (await app.listen(0, '127.0.0.1')).address() as { port: number };
  const base = `http://127.0.0.1:${port}/api/v1`;
  const post = async (address: string, body: unknown) =>
    (await (
      await fetch(base + address, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      })
    ).json()) as { id: string };
  const bringIn = async (hue: number) => {
    const noise = await sharp({
      create: {
        width: 1600,
        height: 1200,
        channels: 3,
        background: { r: hue, g: 90, b: 140 },
        noise: { type: 'gaussian', mean: 0, sigma: 30 },
      },
    })
      .png()
      .toBuffer();
    const form = new FormData();
    form.append('file', new Blob([new Uint8Array(noise)]), 'noise.png');
    return (
      (await (await fetch(`${base}/references`, { method: 'POST', body: form })).json()) as {
        reference: { id: string };
      }
    ).reference;
  };
  const reference = await bringIn(60);
  const mix = await post('/mixes', {
    prompt: 'Ilse in the harbour at dusk',
    influences: [
      { id: 'a', referenceId: reference.id, gives: 'look', weight: 0.8, from: 0, to: 1, reading: 'normal', on: true },
    ],
  });
  // the first take starts the threads; what counts is the running studio
  await post('/takes', { mixId: mix.id, quality: 'draft' });
  await app.get(JobsService).idle();
  const delay = monitorEventLoopDelay({ resolution: 5 });
  delay.enable();
  for (let seed = 1; seed <= 3; seed++) await post('/takes', { mixId: mix.id, quality: 'proof', seed });
  await bringIn(160);
  await app.get(JobsService).idle();
  delay.disable();
  const worst = delay.max / 1e6 - 5;
  console.log(
    `event loop of the server held up during renders     ${worst.toFixed(0).padStart(6)} ms at most, median ${(delay.percentile(50) / 1e6 - 5).toFixed(1)} ms  (wanted: under 50 ms)`,
  );
  await app.close();
  await rm(dataDir, { recursive: true, force: true });
}
