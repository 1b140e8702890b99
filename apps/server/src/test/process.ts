import { spawn, type ChildProcess } from 'child_process';
import path from 'path';

/** A server in a process of its own, from sources. */
export async function startProcess(dataDir: string): Promise<{ child: ChildProcess; url: string }> {
  const child = spawn(
    process.execPath,
    [
      '--conditions=source',
      '-r',
      '@swc-node/register',
      path.join(__dirname, '../main.ts'),
      '--port',
      '0',
      '--no-demo',
      '--data',
      dataDir,
    ],
    { stdio: ['ignore', 'pipe', 'inherit'] },
  );
  const url = await new Promise<string>((resolve, reject) => {
    let text = '';
    child.stdout!.on('data', (chunk: Buffer) => {
      text += chunk.toString();
      const found = /http:\/\/\S+/.exec(text);
      if (found) resolve(found[0]);
    });
    child.on('exit', (code) => reject(new Error(`the server ended with ${code}`)));
  });
  return { child, url };
}

/** When a process ends, its exit code; null when it was killed. */
export const ended = (child: ChildProcess) => new Promise<number | null>((resolve) => child.on('exit', resolve));
