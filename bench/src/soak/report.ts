let missed = 0;

/** Prints a figure with its threshold, and notes when it is missed. */
export function hold(what: string, figure: number | string, threshold: string, fine: boolean): void {
  if (!fine) missed++;
  console.log(`${fine ? 'held  ' : 'MISSED'} ${what.padEnd(70)} ${String(figure).padStart(9)}   (${threshold})`);
}

/** Prints something that has no threshold. */
export const tell = (text: string): void => console.log(`       ${text}`);

/** How many thresholds were missed so far. */
export const missedSoFar = (): number => missed;

/** Chance that can be repeated: mulberry32. */
export function chance(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
