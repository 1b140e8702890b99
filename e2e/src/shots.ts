import { mkdir, mkdtemp } from 'fs/promises';
import os from 'os';
import path from 'path';
import { ROOT } from './studio';

/** Where pictures of the views go: beside the docs for `npm run screenshots`, else where nobody keeps them. */
export async function shotsFolder(): Promise<string> {
  const shots = process.env.URBILD_SCREENSHOTS
    ? path.join(ROOT, 'docs/screenshots')
    : await mkdtemp(path.join(os.tmpdir(), 'urbild-shots-'));
  await mkdir(shots, { recursive: true });
  return shots;
}
