import type { TextSpan } from '@urbild/core';
import type { Take } from '../../api/client';

const SHOWN = 8;

/** A prompt with another word in a stretch of it. */
export const replaced = (prompt: string, { start, end }: TextSpan, word: string): string =>
  prompt.slice(0, start) + word + prompt.slice(end);

/** The words of takes, the newest first, each once, without those that stand there now; at most eight. */
export function usedBefore(takes: readonly Pick<Take, 'prompt'>[], now: string): string[] {
  const all = new Set(takes.map((t) => t.prompt.trim()).filter(Boolean));
  all.delete(now.trim());
  return [...all].slice(0, SHOWN);
}
