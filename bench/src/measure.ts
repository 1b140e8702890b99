/** Runs `work` once to warm up, then `times` times; the median in milliseconds. */
export async function medianTime(work: () => unknown, times = 5): Promise<number> {
  await work();
  const taken: number[] = [];
  for (let i = 0; i < times; i++) {
    const since = performance.now();
    await work();
    taken.push(performance.now() - since);
  }
  taken.sort((a, b) => a - b);
  return taken[taken.length >> 1];
}

/** Prints one result as a ratio to a named floor of the same run. */
export function report(name: string, ms: number, floorName: string, floorMs: number, limit?: string): void {
  const ratio = (ms / floorMs).toFixed(1);
  console.log(
    `${name.padEnd(46)} ${ms.toFixed(0).padStart(6)} ms  ${ratio.padStart(6)} x ${floorName}${limit ? `  (${limit})` : ''}`,
  );
}

/** A studio of its own in a folder: no demo, one render thread, no vision models, any free port. */
export const config = (dataDir: string) => ({
  port: 0,
  host: '127.0.0.1',
  dataDir,
  demo: false,
  renderThreads: 1,
  quiet: true,
  vision: false,
});
