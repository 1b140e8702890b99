import { spawn, type ChildProcess } from 'child_process';
import { readdirSync, readFileSync } from 'fs';
import path from 'path';
import { performance } from 'perf_hooks';
import { ROOT } from '../../../e2e/src/studio';
import { openJobs } from './folder';

/** What a server answered. */
export interface Answer<T = unknown> {
  /** 0 when there was no answer at all. */
  readonly status: number;
  readonly body: T;
  readonly ms: number;
}

/** A look at a usual weight, as a mix has it. */
export const lookOf = (referenceId: string, id = 'a') => ({
  id,
  referenceId,
  gives: 'look',
  weight: 0.8,
  from: 0,
  to: 1,
  reading: 'normal',
  on: true,
});

/** The built server in a process of its own that may be killed at any moment. */
export class SoakStudio {
  /** Everything that the process wrote to its error output. */
  log = '';
  private ended = false;

  private constructor(
    private readonly child: ChildProcess,
    readonly url: string,
    readonly gone: Promise<number | null>,
    private readonly dataDir: string,
  ) {
    void gone.then(() => (this.ended = true));
    child.stderr!.on('data', (chunk: Buffer) => (this.log = (this.log + chunk.toString()).slice(-20_000)));
  }

  /** Starts it; throws with what it said when it does not. */
  static async start(dataDir: string): Promise<SoakStudio> {
    const args = [path.join(ROOT, 'apps/server/dist/main.js'), '--port', '0', '--no-demo', '--data', dataDir];
    const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'pipe'] });
    const gone = new Promise<number | null>((resolve) => child.on('exit', resolve));
    let said = '';
    const url = await new Promise<string>((resolve, reject) => {
      const look = (chunk: Buffer) => {
        said += chunk.toString();
        const found = /http:\/\/\S+/.exec(said);
        if (found) resolve(found[0]);
      };
      child.stdout.on('data', look);
      child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
      void gone.then((code) => reject(new Error(`the studio ended with ${code}: ${said.slice(-2000)}`)));
    });
    return new SoakStudio(child, url, gone, dataDir);
  }

  get isGone(): boolean {
    return this.ended;
  }

  /** Asks; a broken connection is status 0. */
  async ask<T = unknown>(method: string, address: string, body?: unknown, patience = 60_000): Promise<Answer<T>> {
    const since = performance.now();
    const multipart = body instanceof FormData;
    const raw = typeof body === 'string';
    try {
      const answer = await fetch(this.url + (address.startsWith('/api') ? address : `/api/v1${address}`), {
        method,
        headers: body === undefined || multipart ? undefined : { 'content-type': 'application/json' },
        body: body === undefined ? undefined : multipart || raw ? body : JSON.stringify(body),
        signal: AbortSignal.timeout(patience),
      });
      const text = await answer.text();
      let parsed: unknown = text;
      try {
        parsed = JSON.parse(text);
      } catch {
        // not JSON: the text as it is
      }
      return { status: answer.status, body: parsed as T, ms: performance.now() - since };
    } catch {
      return { status: 0, body: undefined as T, ms: performance.now() - since };
    }
  }

  /** Sends a file. */
  send<T = unknown>(
    address: string,
    bytes: Uint8Array,
    name: string,
    fields: Record<string, string> = {},
  ): Promise<Answer<T>> {
    const form = new FormData();
    // fields first: the server may begin with the file before the rest has come
    for (const [key, value] of Object.entries(fields)) form.append(key, value);
    form.append('file', new Blob([new Uint8Array(bytes)]), name);
    return this.ask<T>('POST', address, form);
  }

  async kill(): Promise<void> {
    this.child.kill('SIGKILL');
    await this.gone;
  }

  async stop(): Promise<void> {
    this.child.kill('SIGTERM');
    await this.gone;
  }

  /** Bytes of memory that the process holds, and how many files it has open (Linux only). */
  usage(): { memory: number; files: number } {
    const proc = `/proc/${this.child.pid}`;
    const kilobytes = /VmRSS:\s+(\d+)/.exec(readFileSync(`${proc}/status`, 'utf8'))![1];
    return { memory: Number(kilobytes) * 1024, files: readdirSync(`${proc}/fd`).length };
  }

  /** Waits until no job is queued or running; false when that takes longer than so many seconds. */
  async idle(seconds: number): Promise<boolean> {
    for (const since = Date.now(); Date.now() - since < seconds * 1000;) {
      if (openJobs(this.dataDir) === 0) return true;
      await new Promise((resolve) => setTimeout(resolve, 400));
    }
    return false;
  }
}
