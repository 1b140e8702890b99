import { understand, weighable, type Emphasis, type TextSpan } from '@urbild/core';
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

/** Words of a prompt that can be weighed, each once, with what they weigh. */
export function weighed(prompt: string, avoid: string, emphases: readonly Emphasis[] = []): Emphasis[] {
  const words = new Map<string, string>();
  for (const { text } of weighable(understand(prompt, avoid)))
    if (!words.has(text.toLowerCase())) words.set(text.toLowerCase(), text);
  return [...words].map(([lower, text]) => ({
    words: text,
    weight: emphases.find((e) => e.words.toLowerCase() === lower)?.weight ?? 1,
  }));
}

/** Weights on words with one of them changed; weights of 1 need not be kept. */
export const withWeight = (emphases: readonly Emphasis[] = [], words: string, weight: number): Emphasis[] => [
  ...emphases.filter((e) => e.words.toLowerCase() !== words.toLowerCase()),
  ...(weight === 1 ? [] : [{ words, weight }]),
];
