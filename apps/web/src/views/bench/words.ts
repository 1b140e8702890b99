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

/** A prompt with a kept phrase at its end; a phrase that is there already is not said twice. */
export function withPhrase(prompt: string, phrase: string): string {
  const before = prompt.trim().replace(/[\s,.;]+$/, '');
  if (before.toLowerCase().includes(phrase.trim().toLowerCase())) return prompt;
  return before ? `${before}, ${phrase.trim()}` : phrase.trim();
}

/** What of a prompt is to be kept as a phrase: the marked stretch, or all of it where nothing is marked. */
export const phraseOf = (prompt: string, start: number, end: number): string =>
  (end > start ? prompt.slice(start, end) : prompt).trim().replace(/^[\s,.;]+|[\s,.;]+$/g, '');
