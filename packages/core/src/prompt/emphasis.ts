import type { Entity, NamedColour, SceneBrief, TextSpan, UnderstoodSpan } from './brief';
import { nameOf } from './brief';

/** How much a stretch of the words counts: 0 left out, 1 as it is said, 2 twice as much. */
export interface Emphasis {
  readonly words: string;
  readonly weight: number;
}

/** What a weight on words can change of the light of the whole picture. */
export const STRESSED_AXES = ['time', 'weather', 'season', 'light'] as const;
export type StressedAxis = (typeof STRESSED_AXES)[number];

/** The most words of a prompt that may be weighed. */
export const MAX_EMPHASES = 24;

const WEIGHED = ['thing', 'creature', 'person', 'cast', 'colour', ...STRESSED_AXES] as const;
type WeighedAxis = (typeof WEIGHED)[number];

interface Meaning {
  readonly axis: WeighedAxis;
  readonly value: string;
}

/** What a stretch means that a weight can act on; its other meanings do not matter here. */
function meaningOf({ means }: UnderstoodSpan): Meaning | undefined {
  for (const one of means.split(', ')) {
    const [axis, value] = one.split(': ');
    if ((WEIGHED as readonly string[]).includes(axis)) return { axis: axis as WeighedAxis, value };
    // "a lighthouse" beside something is both a place and a thing
    if (axis === 'place') return { axis: 'thing', value };
  }
  return undefined;
}

/** The stretches of a prompt that a weight can act on, in their order. */
export const weighable = (brief: SceneBrief): UnderstoodSpan[] =>
  brief.understood.filter((span) => {
    const meaning = meaningOf(span);
    return meaning && (!span.means.startsWith('place') || holds(brief.entities, meaning));
  });

/** Weights on words as a prompt holds them: words that are not in it any more, and weights of 1, do nothing and are left out. */
export const heardEmphases = (prompt: string, emphases: readonly Emphasis[]): Emphasis[] =>
  emphases.filter((e) => e.weight !== 1 && e.words.trim() && stretchOf(prompt, e.words)).slice(0, MAX_EMPHASES);

/** Words that are weighed with nothing at all: they are refused as if somebody had said "without" them. */
export const silenced = (emphases: readonly Emphasis[]): string =>
  emphases
    .filter((e) => e.weight < 0.05)
    .map((e) => e.words)
    .join(', ');

function stretchOf(prompt: string, words: string): Omit<TextSpan, 'text'> | undefined {
  const start = prompt.toLowerCase().indexOf(words.trim().toLowerCase());
  return start < 0 ? undefined : { start, end: start + words.trim().length };
}

const isThat = (e: Entity, { axis, value }: Meaning): boolean => {
  if (axis === 'cast') return nameOf(e) === value;
  if (axis === 'person') return e.kind === 'person' && nameOf(e) === undefined;
  if (axis === 'creature') return e.kind === 'creature' && e.species === value;
  return axis === 'thing' && e.kind === 'thing' && e.thing === value;
};

const holds = (entities: readonly Entity[], meaning: Meaning): boolean => entities.some((e) => isThat(e, meaning));

/** An entity in which every colour of this name is so much stronger or weaker. */
function tinted<T>(of: T, name: string, weight: number): T {
  if (Array.isArray(of)) return of.map((one: unknown) => tinted(one, name, weight)) as T;
  if (typeof of !== 'object' || of === null) return of;
  const colour = of as unknown as NamedColour;
  if (colour.name === name && Array.isArray(colour.lch)) {
    const [L, C, h] = colour.lch;
    return { ...of, lch: [L, C * weight, h] };
  }
  return Object.fromEntries(Object.entries(of).map(([k, v]) => [k, tinted(v, name, weight)])) as T;
}

/**
 * A brief in which some of its words count more or less: who and what is named gets a prominence, time, weather, season and light a
 * stress, named colours more or less chroma. Stretches that mean nothing of the kind change nothing. Never throws.
 */
export function emphasise(brief: SceneBrief, emphases: readonly Emphasis[]): SceneBrief {
  let entities = [...brief.entities];
  const stress: Partial<Record<StressedAxis, number>> = {};
  for (const { words, weight } of heardEmphases(brief.text, emphases)) {
    const at = stretchOf(brief.text, words)!;
    for (const span of brief.understood) {
      if (span.start < at.start || span.end > at.end) continue;
      const meaning = meaningOf(span);
      if (!meaning) continue;
      if ((STRESSED_AXES as readonly string[]).includes(meaning.axis)) stress[meaning.axis as StressedAxis] = weight;
      else if (meaning.axis === 'colour') entities = entities.map((e) => tinted(e, meaning.value, weight));
      else {
        // the second fox of the words is the second fox of the picture
        const before = brief.understood.filter((s) => s.end <= span.start && s.means === span.means).length;
        const those = entities.flatMap((e, k) => (isThat(e, meaning) ? [k] : []));
        const k = those[Math.min(before, those.length - 1)];
        if (k !== undefined) entities[k] = { ...entities[k], prominence: weight };
      }
    }
  }
  return { ...brief, entities, ...(Object.keys(stress).length ? { stress } : {}) };
}
