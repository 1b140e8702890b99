import { spawn, type ChildProcess } from 'child_process';
import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';

export const ROOT = path.resolve(__dirname, '../..');

/** The built application on a free port over a data folder of its own. */
export class RunningStudio {
  private constructor(
    private child: ChildProcess,
    readonly url: string,
    readonly dataDir: string,
  ) {}

  /** `root` is the tree whose build is started, where it is another one than this. */
  static async start({
    demo = false,
    dataDir,
    port = 0,
    root = ROOT,
    share = false,
    options = [],
  }: {
    demo?: boolean;
    dataDir?: string;
    port?: number;
    root?: string;
    share?: boolean;
    options?: readonly string[];
  } = {}): Promise<RunningStudio> {
    const folder = dataDir ?? (await mkdtemp(path.join(os.tmpdir(), 'urbild-e2e-')));
    const args = [
      path.join(root, 'apps/server/dist/main.js'),
      '--port',
      String(port),
      '--data',
      folder,
      ...(demo ? [] : ['--no-demo']),
      ...(share ? ['--share'] : []),
      ...options,
    ];
    const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] });
    const url = await new Promise<string>((resolve, reject) => {
      let text = '';
      child.stdout.on('data', (chunk: Buffer) => {
        text += chunk.toString();
        const found = /http:\/\/\S+/.exec(text);
        if (found) resolve(found[0]);
      });
      child.on('exit', (code) => reject(new Error(`the studio ended with ${code}; was it built?`)));
    });
    return new RunningStudio(child, url, folder);
  }

  /** Starts again where a studio was that has ended: the same address, the same data. */
  again(): Promise<RunningStudio> {
    return RunningStudio.start({ dataDir: this.dataDir, port: Number(new URL(this.url).port) });
  }

  async get<T>(address: string): Promise<T> {
    return (await (await fetch(`${this.url}/api/v1${address}`)).json()) as T;
  }

  /** Waits until the demo is drawn and nothing is queued. */
  async idle(seconds = 420): Promise<number> {
    const since = Date.now();
    for (;;) {
      const { demo, queue } = await this.get<{ demo: { done: number; total: number }; queue: string[] }>('/studio');
      if (demo.done >= demo.total && !queue.length) return (Date.now() - since) / 1000;
      if (Date.now() - since > seconds * 1000) throw new Error(`still busy after ${seconds} s`);
      await new Promise((resolve) => setTimeout(resolve, 300));
    }
  }

  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    if (this.child.exitCode !== null || this.child.signalCode !== null) return;
    const ended = new Promise((resolve) => this.child.on('exit', resolve));
    this.child.kill(signal);
    await ended;
  }

  async remove(): Promise<void> {
    await this.stop();
    await rm(this.dataDir, { recursive: true, force: true });
  }
}
