import { pictureFromRgba, understand } from '@urbild/core';
import { BuiltInEngine, paintStage, readRequest, RenderStopped } from '@urbild/engine';

const TRIES = 50;
const [WIDTH, HEIGHT] = [768, 512];

/** How soon a render of 768 px gives up after it was stopped, at 50 moments spread over its course. */
export async function benchCancel(): Promise<void> {
  const engine = new BuiltInEngine();
  const stage = paintStage(understand('a mill by the dyke at dusk'), {
    width: 720,
    height: 480,
    seed: 3,
    medium: 'pastel',
  });
  const reference = pictureFromRgba(stage.rgba, 720, 480);
  const start = async (seed: number, signal?: { readonly aborted: boolean }) =>
    engine.render(
      readRequest({
        prompt: 'Ilse walking in the harbour at noon',
        seed,
        width: WIDTH,
        height: HEIGHT,
        influences: [{ pictures: [{ content: 'look' }] }],
      }),
      () => Promise.resolve(reference),
      undefined,
      signal,
    );
  await start(1);
  const since = performance.now();
  await start(2);
  const whole = performance.now() - since;
  const late: { at: number; ms: number }[] = [];
  for (let k = 0; k < TRIES; k++) {
    const begun = performance.now();
    // seeds differ in how long they take: none is to be finished before it is stopped
    const at = ((k + 0.5) / TRIES) * 0.85 * whole;
    const signal = {
      get aborted() {
        return performance.now() - begun >= at;
      },
    };
    try {
      await start(100 + k, signal);
    } catch (error) {
      if (!(error instanceof RenderStopped)) throw error;
      late.push({ at: at / whole, ms: performance.now() - begun - at });
    }
  }
  const sorted = late.map((l) => l.ms).sort((a, b) => a - b);
  const soon = sorted.filter((ms) => ms < 100).length;
  console.log(
    `stopping a render of ${WIDTH} px: heard within 100 ms in ${soon} of ${late.length} tries  (wanted: all); median ${sorted[sorted.length >> 1].toFixed(0)} ms, longest ${sorted[sorted.length - 1].toFixed(0)} ms`,
  );
  for (const { at, ms } of late.filter((l) => l.ms >= 100))
    console.log(`    ${ms.toFixed(0)} ms after a stop at ${(100 * at).toFixed(0)} % of the time`);
}

if (require.main === module) void benchCancel();
