import { execFileSync } from 'child_process';
import path from 'path';

/** One print of 1536 px with one look, in a process of its own: what it takes at most, and what is left afterwards. */
const PROGRAM = `
  const { BuiltInEngine, readRequest, paintStage } = require('@urbild/engine');
  const { pictureFromRgba, understand } = require('@urbild/core');
  const brief = understand('a mill by the dyke at dusk');
  const { rgba } = paintStage(brief, { width: 720, height: 480, seed: 3, medium: 'pastel' });
  const look = pictureFromRgba(rgba, 720, 480);
  const before = process.memoryUsage().rss;
  const prompt = 'Ilse poles the punt at dusk with Brom among reeds';
  const influences = [{ gives: 'look', weight: 0.8, pictures: [{ content: 'look' }] }];
  new BuiltInEngine()
    .render(readRequest({ prompt, influences, width: 1536, height: 1024 }), () => Promise.resolve(look))
    .then(() => console.log(JSON.stringify({
      before,
      // not ru_maxrss: that begins with what the parent had
      most: 1024 * Number(/VmHWM:\\s+(\\d+)/.exec(require('fs').readFileSync('/proc/self/status', 'utf8'))[1]),
      after: process.memoryUsage().rss,
    })));
`;

/** Prints the memory of a render of 1536 px, as the built engine has it under ./start; needs a build. */
export function benchMemory(): void {
  const env = { ...process.env, MALLOC_MMAP_THRESHOLD_: '4194304' };
  const cwd = path.join(__dirname, '..');
  const out = execFileSync(process.execPath, ['-e', PROGRAM], { cwd, env, encoding: 'utf8' });
  const { before, most, after } = JSON.parse(out) as Record<'before' | 'most' | 'after', number>;
  const mb = (bytes: number) => `${Math.round(bytes / 1e6)} MB`;
  console.log(
    `memory of a process that prints 1536 px: at most ${mb(most)}, ${mb(after)} afterwards, ${mb(before)} before  (wanted: at most 700 MB)`,
  );
}

if (require.main === module) benchMemory();
