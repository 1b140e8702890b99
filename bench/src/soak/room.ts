import { execFileSync } from 'child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync, unlinkSync, statfsSync } from 'fs';
import os from 'os';
import path from 'path';
import sharp from 'sharp';
import { lookInto } from './folder';
import { hold, tell } from './report';
import { lookOf, SoakStudio } from './studio';

/** A picture that no format makes small. */
const noise = (k: number): Promise<Buffer> =>
  sharp({
    create: {
      width: 300,
      height: 220,
      channels: 3,
      background: { r: k % 255, g: 90, b: 140 },
      noise: { type: 'gaussian', mean: 0, sigma: 30 },
    },
  })
    .png()
    .toBuffer();

/** A studio on a file system of 40 MB that runs full in the middle of imports and a run, and gets room again. */
export async function room(): Promise<void> {
  const mount = mkdtempSync(path.join(os.tmpdir(), 'urbild-room-'));
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=40m', 'tmpfs', mount], { stdio: 'pipe' });
  } catch {
    tell('the full disk was not tried: making a small file system needs root');
    return;
  }
  const filler = path.join(mount, 'filler');
  try {
    writeFileSync(filler, Buffer.alloc(27e6));
    const dataDir = path.join(mount, 'data');
    mkdirSync(dataDir);
    await fill(await SoakStudio.start(dataDir), dataDir, filler, mount);
  } finally {
    execFileSync('umount', ['-l', mount]);
    rmSync(mount, { recursive: true, force: true });
  }
}

async function fill(studio: SoakStudio, dataDir: string, filler: string, mount: string): Promise<void> {
  const first = (await studio.send<{ reference: { id: string } }>('/references', await noise(1), 'a.png')).body
    .reference;
  const look = lookOf(first.id);
  const { id: mixId } = (
    await studio.ask<{ id: string }>('POST', '/mixes', { name: 'M', prompt: 'Ilse', influences: [look] })
  ).body;
  const shots = Array.from({ length: 12 }, (_, k) => ({
    title: `Shot ${k}`,
    prompt: `Ilse in the harbour, ${k} gulls`,
  }));
  const series = (await studio.ask<{ id: string }>('POST', '/series', { name: 'S', mixId, shots })).body;
  const run = await studio.ask<{ queued: number }>('POST', `/series/${series.id}/render`, { quality: 'proof' });
  const taken: string[] = [];
  const sentences = new Set<string>();
  let strange = 0;
  for (let k = 0; k < 60; k++) {
    const answer = await studio.send<{ id?: string; detail?: string }>('/imports', await noise(k + 2), `${k}.png`);
    if (answer.status === 201) taken.push(answer.body.id!);
    else if (answer.status === 507) sentences.add(answer.body.detail!);
    else strange++;
    if (sentences.size && k > 45) break;
  }
  await new Promise((resolve) => setTimeout(resolve, 8000));
  const full = (await studio.ask<{ waitsForRoom: boolean }>('GET', '/studio')).body;
  const edit = await studio.ask('PATCH', `/mixes/${mixId}`, { version: 1, prompt: 'while the disk is full' });
  const { bavail, bsize } = statfsSync(mount);
  tell(
    `${taken.length} of 60 pictures taken, ${run.body.queued} shots queued, ${((bavail * bsize) / 1e6).toFixed(1)} MB left, queue waits: ${full?.waitsForRoom}, an edit answers ${edit.status}`,
  );
  tell([...sentences].join(' | '));
  hold(
    'refusals say that the disk is full',
    sentences.size,
    '1 sentence',
    sentences.size === 1 && /disk is full/.test([...sentences][0]),
  );
  hold('other refusals', strange, '0', strange === 0);
  hold('the process has ended', studio.isGone ? `yes: ${studio.log.slice(-300)}` : 'no', 'no', !studio.isGone);
  unlinkSync(filler);
  const empty = await studio.idle(300);
  const { body: files } = await studio.ask<{ id: string; state: string }[]>('GET', '/imports');
  const lost = taken.filter((id) => !['done', 'question'].includes(files.find((f) => f.id === id)?.state ?? ''));
  const { body: after } = await studio.ask<{ shots: { takes: { status: string }[] }[] }>('GET', `/series/${series.id}`);
  const done = after.shots.filter((s) => s.takes.some((t) => t.status === 'done')).length;
  hold('it goes on by itself when there is room', empty ? 'yes' : 'no', 'yes', empty);
  hold('pictures that were taken and are not there', lost.length, '0', lost.length === 0);
  hold('shots of the run that are rendered', done, `${run.body.queued}`, done === run.body.queued);
  await studio.stop();
  const folder = lookInto(dataDir);
  hold('integrity of the database', folder.integrity, 'ok', folder.integrity === 'ok');
  hold(
    'files that are not what their name says, or missing',
    folder.wrong + folder.missing,
    '0',
    folder.wrong + folder.missing === 0,
  );
}
