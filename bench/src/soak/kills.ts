import { createHash } from 'crypto';
import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import { strangePng } from '../../../e2e/src/page';
import { lookInto } from './folder';
import { chance, hold, tell } from './report';
import { lookOf, SoakStudio } from './studio';

interface Versioned {
  readonly id: string;
  readonly version: number;
}

/** What the server has answered with a 2xx, and what it may have taken without answering. */
class Memory {
  /** By import id, the hash of the file. */
  readonly imports = new Map<string, string>();
  readonly proofs = new Set<string>();
  readonly marks = new Map<string, { rating: number; version: number; maybe?: number }>();
  runs = 0;
  edits = 0;
  exports = 0;
  drafts = 0;
  mix: { version: number; prompt: string; maybe?: string } = { version: 0, prompt: '' };
}

/** Clients that all work at once until the server is gone. */
class Load {
  private stopped = false;
  constructor(
    private readonly studio: SoakStudio,
    private readonly memory: Memory,
    private readonly random: () => number,
    private readonly ids: { mixId: string; draftMixId: string; seriesId: string },
    private readonly round: number,
  ) {}

  stop(): void {
    this.stopped = true;
  }

  run(): Promise<unknown> {
    return Promise.all([
      this.again(() => this.import(), 250),
      this.again(() => this.edit(), 33),
      this.again(() => this.draft(), 150),
      this.again(() => this.proof(), 2500),
      this.again(() => this.mark(), 200),
      this.again(() => this.renderSeries(), 1500),
      this.again(() => this.export(), 700),
    ]);
  }

  private async again(act: () => Promise<void>, every: number): Promise<void> {
    while (!this.stopped && !this.studio.isGone) {
      await act();
      await new Promise((resolve) => setTimeout(resolve, every * (0.5 + this.random())));
    }
  }

  private async import(): Promise<void> {
    const bytes = await strangePng(1 + Math.floor(this.random() * 1e6), 60 + Math.floor(this.random() * 60), 60);
    const id = crypto.randomUUID();
    const { status } = await this.studio.send('/imports', bytes, `${id}.png`, { id });
    if (status === 201) this.memory.imports.set(id, createHash('sha256').update(bytes).digest('hex'));
  }

  private async edit(): Promise<void> {
    const { mix } = this.memory;
    const prompt = `Ilse in the harbour, ${this.round}.${++this.memory.edits}`;
    mix.maybe = prompt;
    const { status, body } = await this.studio.ask<Versioned>('PATCH', `/mixes/${this.ids.mixId}`, {
      version: mix.version,
      prompt,
    });
    if (status === 200) this.memory.mix = { version: body.version, prompt };
  }

  private async draft(): Promise<void> {
    const wish = { mixId: this.ids.draftMixId, quality: 'draft', prompt: `Brom, number ${this.random()}` };
    if ((await this.studio.ask('POST', '/takes', wish)).status === 201) this.memory.drafts++;
  }

  private async proof(): Promise<void> {
    const wish = { mixId: this.ids.draftMixId, quality: 'proof', seed: Math.floor(this.random() * 1e9) };
    const { status, body } = await this.studio.ask<Versioned>('POST', '/takes', wish);
    if (status === 201) this.memory.proofs.add(body.id);
  }

  private async mark(): Promise<void> {
    const { status, body } = await this.studio.ask<(Versioned & { status: string })[]>(
      'GET',
      `/takes?mixId=${this.ids.draftMixId}`,
    );
    if (status !== 200) return;
    const done = body.filter((t) => t.status === 'done' && this.memory.proofs.has(t.id));
    const take = done[Math.floor(this.random() * done.length)];
    if (!take) return;
    const rating = Math.floor(this.random() * 6);
    const before = this.memory.marks.get(take.id);
    if (before) before.maybe = rating;
    else this.memory.marks.set(take.id, { rating: -1, version: 0, maybe: rating });
    const answer = await this.studio.ask<Versioned>('PATCH', `/takes/${take.id}`, {
      version: take.version,
      rating,
      keeper: true,
    });
    if (answer.status === 200) this.memory.marks.set(take.id, { rating, version: answer.body.version });
  }

  private async renderSeries(): Promise<void> {
    const { status } = await this.studio.ask('POST', `/series/${this.ids.seriesId}/render`, { quality: 'draft' });
    if (status === 202) this.memory.runs++;
  }

  private async export(): Promise<void> {
    const { status } = await this.studio.ask('GET', `/series/${this.ids.seriesId}/export/zip`);
    if (status === 200) this.memory.exports++;
  }
}

/** Kills the server at random moments under a mixed load, and looks whether anything that it acknowledged is lost. */
export async function kills(times: number, seed = 1): Promise<void> {
  const dataDir = await mkdtemp(path.join(os.tmpdir(), 'urbild-soak-'));
  const random = chance(seed);
  const memory = new Memory();
  let studio = await SoakStudio.start(dataDir);
  const reference = (await studio.send<{ reference: Versioned }>('/references', await strangePng(3), 'a.png')).body
    .reference;
  const newMix = async (name: string) =>
    (await studio.ask<Versioned>('POST', '/mixes', { name, prompt: 'Ilse', influences: [lookOf(reference.id)] })).body;
  const [mix, drafts] = [await newMix('edited'), await newMix('drafts')];
  memory.mix = { version: mix.version, prompt: 'Ilse' };
  const shots = ['dusk', 'noon', 'rain'].map((prompt) => ({ title: prompt, prompt: `Ilse at ${prompt}` }));
  const series = (await studio.ask<Versioned>('POST', '/series', { name: 'S', mixId: drafts.id, shots })).body;
  const ids = { mixId: mix.id, draftMixId: drafts.id, seriesId: series.id };
  // something to mark and to hand over from the first round on
  for (let seed = 1; seed <= 3; seed++) {
    const { body } = await studio.ask<Versioned>('POST', '/takes', { mixId: drafts.id, quality: 'proof', seed });
    memory.proofs.add(body.id);
  }
  await studio.ask('POST', `/series/${series.id}/render`, { quality: 'draft' });
  await studio.idle(300);
  let lost = 0;
  let slowest = 0;
  for (let round = 1; round <= times; round++) {
    const load = new Load(studio, memory, random, ids, round);
    const running = load.run();
    await new Promise((resolve) => setTimeout(resolve, 250 + random() * 2500));
    await studio.kill();
    load.stop();
    await running;
    const since = Date.now();
    studio = await SoakStudio.start(dataDir);
    slowest = Math.max(slowest, Date.now() - since);
    // what was acknowledged last is there; one more write may have been taken without an answer
    const now = (await studio.ask<Versioned & { prompt: string }>('GET', `/mixes/${mix.id}`)).body;
    const right =
      (now.version === memory.mix.version && now.prompt === memory.mix.prompt) ||
      (now.version === memory.mix.version + 1 && now.prompt === memory.mix.maybe);
    if (!right) {
      lost++;
      tell(
        `round ${round}: the mix is ${JSON.stringify([now.version, now.prompt])}, not ${JSON.stringify(memory.mix)}`,
      );
    }
    memory.mix = { version: now.version, prompt: now.prompt };
  }
  const aside = await retryAside(studio);
  const empty = await studio.idle(1800);
  lost += await lostOf(studio, memory);
  const { body: troubled } = await studio.ask<unknown[]>('GET', '/jobs/troubled');
  await studio.stop();
  const folder = lookInto(dataDir);
  tell(
    `${times} kills; acknowledged: ${memory.imports.size} imports, ${memory.edits} edits, ${memory.drafts} drafts, ${memory.proofs.size} proofs, ${memory.marks.size} marks, ${memory.runs} runs, ${memory.exports} exports; ${aside} jobs were set aside and tried again; slowest start ${slowest} ms`,
  );
  hold('acknowledged things lost', lost, '0', lost === 0);
  hold('the queue is empty at the end', empty ? 'yes' : 'no', 'yes', empty);
  const left = Object.values(folder.jobs).reduce((a, b) => a + b, 0);
  hold('jobs left, stuck or troubled', left + troubled.length, '0', left + troubled.length === 0);
  hold(
    'takes without a job, controls of nobody',
    folder.stuck + folder.ghosts,
    '0',
    folder.stuck + folder.ghosts === 0,
  );
  hold('integrity of the database', folder.integrity, 'ok', folder.integrity === 'ok');
  hold(`files of ${folder.blobs} that are not what their name says`, folder.wrong, '0', folder.wrong === 0);
  hold('files that are named and missing', folder.missing, '0', folder.missing === 0);
  await rm(dataDir, { recursive: true, force: true });
}

/** Tries jobs again that were set aside because they were running at several ends; returns how many. */
async function retryAside(studio: SoakStudio): Promise<number> {
  const { body } = await studio.ask<{ id: string; setAside: boolean }[]>('GET', '/jobs/troubled');
  const aside = body.filter((j) => j.setAside);
  for (const { id } of aside) await studio.ask('POST', `/jobs/${id}/retry`);
  return aside.length;
}

async function lostOf(studio: SoakStudio, memory: Memory): Promise<number> {
  let lost = 0;
  const miss = (what: string) => {
    lost++;
    if (lost < 12) tell(what);
  };
  const { body: files } = await studio.ask<{ id: string; state: string; fileUrl: string; reason?: string }[]>(
    'GET',
    '/imports',
  );
  const listed = new Map(files.map((f) => [f.id, f]));
  // the list has an end; what was acknowledged first is looked for by its bytes
  for (const [id, hash] of memory.imports) {
    const file = listed.get(id);
    if (file && !['done', 'question'].includes(file.state)) miss(`import ${id} is ${file.state}: ${file.reason}`);
    if ((await studio.ask('GET', `/blobs/${hash}`)).status !== 200) miss(`file of import ${id} is gone`);
  }
  for (const id of memory.proofs) {
    const { status, body } = await studio.ask<{ status: string; error?: string }>('GET', `/takes/${id}`);
    if (status !== 200 || body.status !== 'done') miss(`proof ${id} is ${status} ${body?.status} ${body?.error}`);
  }
  for (const [id, mark] of memory.marks) {
    const { body } = await studio.ask<{ rating: number; version: number }>('GET', `/takes/${id}`);
    if (body.rating !== mark.rating && body.rating !== mark.maybe && mark.rating >= 0)
      miss(`take ${id} is rated ${body.rating}, not ${mark.rating}`);
  }
  return lost;
}
