/** What is kept in frozen.json, and how it is held to what is made now. */
import { readFileSync } from 'fs';
import path from 'path';
import type { Readings } from './readings';
import { canvasPrint, type Made, type MadeAndTold } from './requests';

/** Everything that was kept when frozen.json was written. */
export const kept = JSON.parse(readFileSync(path.join(__dirname, 'frozen.json'), 'utf8')) as Readings & {
  readonly canvas: string;
  readonly made: Readonly<Record<string, MadeAndTold>>;
  readonly painted: Readonly<Record<string, Made>>;
};

/** Readings are kept of pictures that the canvas of one machine made: on one that rounds another way there is nothing to hold them to. */
export const sameCanvas = canvasPrint() === kept.canvas;

/** Steps of 0..255 by which a thumbnail may be off on a machine whose canvas rounds another way. */
const ROUNDING = 4;

/** How far a thumbnail is off from the one that was kept, in steps of 0..255, and whether that may be. */
export function isNear(now: Made, before: Made): boolean {
  const [a, b] = [now, before].map((m) => Buffer.from(m.thumbnail, 'hex'));
  return a.length === b.length && a.every((v, i) => Math.abs(v - b[i]) <= ROUNDING);
}
