import { channelsOf, envelope, gate, meanShares } from './formula';
import { give, type Gives } from '../mix/gives';
import { CHANNELS, type Channel } from '../mix/gives/give';
import { MAX_WEIGHT } from '../mix/influence/weight';
import type { Influence, Weighing } from './types';

/** What a mend changes when it is applied with one click. */
export interface Mend {
  /** What the click does, in words. */
  readonly label: string;
  /** Fields to set, per influence id. */
  readonly changes: readonly { readonly influence: string; readonly set: Partial<Omit<Influence, 'id'>> }[];
}

export type WarningKind =
  | 'drowned-words'
  | 'drowned-reference'
  | 'dilution'
  | 'over-literal'
  | 'span-misses'
  | 'weight-beyond'
  | 'not-supported'
  | 'word-look-clash'
  | RemarkKind;

/** What a render may find out about an influence. */
export const REMARKS = ['nothing-to-give', 'nobody-to-take', 'toned-shape', 'shape-at-edge', 'thin-shape'] as const;
export type RemarkKind = (typeof REMARKS)[number];

/** Something about a mix that a person should know before time is spent. */
export interface MixWarning {
  readonly kind: WarningKind;
  /** The influences it is about; empty when it is about the whole mix. */
  readonly influences: readonly string[];
  /** The cause, as a sentence. */
  readonly cause: string;
  readonly mend?: Mend;
}

/** What is known of a mix besides its numbers. */
export interface WarningContext {
  /** Names to speak of influences by; their id otherwise. */
  readonly names?: Readonly<Record<string, string>>;
  /** What the engine can draw from; all when absent. */
  readonly supported?: readonly Gives[];
  /** The medium that the words ask for, if any. */
  readonly wordMedium?: string;
  /** The medium of a look, by influence id, where it is known. */
  readonly mediumOf?: Readonly<Record<string, string>>;
}

const percent = (share: number) => `${Math.round(share * 100)} %`;

/** All warnings that need no pictures, in the order of their gravity. A pure function of mix and context. */
export function warningsOf(mix: Weighing, context: WarningContext = {}): MixWarning[] {
  const acting = mix.influences.filter((i) => i.on && i.weight > 0);
  const name = (id: string) => context.names?.[id] ?? id;
  return [
    ...notSupported(acting, context, name),
    ...spanMisses(acting, name),
    ...drownedWords(mix, acting, name),
    ...overLiteral(mix, acting),
    ...drownedReferences(mix, acting, name),
    ...dilution(mix, acting),
    ...weightBeyond(acting, name),
    ...wordLookClash(acting, context, name),
  ];
}

/** What a take found out about an influence. */
export interface Remark {
  readonly influence: string;
  readonly gives: Gives;
  readonly kind: RemarkKind;
}

/** Warnings about what a take found out of its influences, by the names that they are spoken of. */
export function remarkWarnings(remarks: readonly Remark[], names: Readonly<Record<string, string>>): MixWarning[] {
  return remarks.map(({ influence, gives, kind }): MixWarning => {
    const name = names[influence] ?? influence;
    const off = { label: `Switch ${name} off`, changes: [{ influence, set: { on: false } }] };
    const about = { kind, influences: [influence] };
    switch (kind) {
      case 'nobody-to-take':
        return {
          ...about,
          cause: `Nobody is in the picture who could take the ${gives} of ${name}: the words name nobody for it.`,
          mend: off,
        };
      case 'nothing-to-give':
        return {
          ...about,
          cause: `${name} has no ${gives} to give: ${give(gives).missing ?? 'nothing of the kind was found in it'}. It can be marked by hand in the library.`,
          mend: { label: 'Let it give its look', changes: [{ influence, set: { gives: 'look' } }] },
        };
      case 'toned-shape':
        return {
          ...about,
          cause: `${name} is not of two tones: it was taken as a layout, not as a silhouette.`,
          mend: { label: 'Let it give its layout', changes: [{ influence, set: { gives: 'layout' } }] },
        };
      case 'shape-at-edge':
        return { ...about, cause: `The shape of ${name} touches the edge of its picture: it will look cut off there.` };
      case 'thin-shape':
        return {
          ...about,
          cause: `Parts of ${name} are thinner than 2 px at this size: they will break. A larger size or bolder lines hold.`,
        };
    }
  });
}

type Name = (id: string) => string;

function notSupported(acting: readonly Influence[], { supported }: WarningContext, name: Name): MixWarning[] {
  if (!supported) return [];
  return acting
    .filter((i) => !supported.includes(i.gives))
    .map((i) => ({
      kind: 'not-supported',
      influences: [i.id],
      cause: `This engine cannot take ${i.gives} from ${name(i.id)}; it will not be heard.`,
      mend: { label: 'Let it give its look', changes: [{ influence: i.id, set: { gives: 'look' } }] },
    }));
}

function spanMisses(acting: readonly Influence[], name: Name): MixWarning[] {
  return acting
    .filter((i) => !channelsOf(i.gives).some((c) => overlaps(i, c)))
    .map((i) => ({
      kind: 'span-misses',
      influences: [i.id],
      cause: `The span of ${name(i.id)} lies outside the part of the course in which its ${i.gives} is decided.`,
      mend: { label: 'Use the whole course', changes: [{ influence: i.id, set: { from: 0, to: 1 } }] },
    }));
}

function overlaps(influence: Influence, channel: Channel): boolean {
  for (let t = 0; t <= 1; t += 0.01) if (envelope(channel, t) * gate(influence, t) > 0) return true;
  return false;
}

function drownedWords(mix: Weighing, acting: readonly Influence[], name: Name): MixWarning[] {
  for (const channel of ['layout', 'identity'] as const) {
    const { words, influences } = meanShares(mix, channel);
    if (words >= 0.15) continue;
    const strongest = mix.influences[influences.indexOf(Math.max(...influences))];
    if (!acting.includes(strongest)) continue;
    return [
      {
        kind: 'drowned-words',
        influences: [strongest.id],
        cause: `The words have ${percent(words)} of the ${channel}: ${name(strongest.id)} decides it.`,
        mend: {
          label: `Halve ${name(strongest.id)}`,
          changes: [{ influence: strongest.id, set: { weight: strongest.weight / 2 } }],
        },
      },
    ];
  }
  return [];
}

function overLiteral(mix: Weighing, acting: readonly Influence[]): MixWarning[] {
  for (const channel of CHANNELS) {
    const { over } = meanShares(mix, channel);
    if (over <= 1.6) continue;
    const pulling = acting.filter((i) => channelsOf(i.gives).includes(channel));
    return [
      {
        kind: 'over-literal',
        influences: pulling.map((i) => i.id),
        cause: `Together the references pull ${over.toFixed(1)} times on ${channel}: pieces of them will be copied.`,
        mend: {
          label: 'Scale them down to 1',
          changes: pulling.map((i) => ({ influence: i.id, set: { weight: round(i.weight / over) } })),
        },
      },
    ];
  }
  return [];
}

const round = (x: number) => Math.round(x * 100) / 100;

function drownedReferences(mix: Weighing, acting: readonly Influence[], name: Name): MixWarning[] {
  const best = new Map<string, number>();
  for (const channel of CHANNELS) {
    const { influences } = meanShares(mix, channel);
    mix.influences.forEach((i, k) => best.set(i.id, Math.max(best.get(i.id) ?? 0, influences[k])));
  }
  return acting
    .filter((i) => channelsOf(i.gives).some((c) => overlaps(i, c)) && best.get(i.id)! < 0.1)
    .map((i) => ({
      kind: 'drowned-reference',
      influences: [i.id],
      cause: `${name(i.id)} has at most ${percent(best.get(i.id)!)} of anything: it will hardly be seen.`,
      mend: {
        label: 'Raise it',
        changes: [{ influence: i.id, set: { weight: round(Math.min(MAX_WEIGHT, i.weight + 0.4)) } }],
      },
    }));
}

function dilution(mix: Weighing, acting: readonly Influence[]): MixWarning[] {
  for (const channel of CHANNELS) {
    const { influences } = meanShares(mix, channel);
    const sharing = mix.influences.filter((i, k) => acting.includes(i) && influences[k] > 0.02);
    const best = Math.max(0, ...influences);
    if (sharing.length < 3 || best >= 0.4) continue;
    const weakest = mix.influences[influences.indexOf(Math.min(...influences.filter((s) => s > 0.02)))];
    return [
      {
        kind: 'dilution',
        influences: sharing.map((i) => i.id),
        cause: `${sharing.length} references share the ${channel}; the strongest has ${percent(best)}.`,
        mend: { label: 'Switch the weakest off', changes: [{ influence: weakest.id, set: { on: false } }] },
      },
    ];
  }
  return [];
}

function weightBeyond(acting: readonly Influence[], name: Name): MixWarning[] {
  return acting
    .filter((i) => i.weight > MAX_WEIGHT)
    .map((i) => ({
      kind: 'weight-beyond',
      influences: [i.id],
      cause: `${name(i.id)} weighs ${i.weight}: beyond ${MAX_WEIGHT} the words are lost.`,
      mend: { label: `Set it to ${MAX_WEIGHT}`, changes: [{ influence: i.id, set: { weight: MAX_WEIGHT } }] },
    }));
}

function wordLookClash(
  acting: readonly Influence[],
  { wordMedium, mediumOf }: WarningContext,
  name: Name,
): MixWarning[] {
  if (!wordMedium || !mediumOf) return [];
  return acting
    .filter((i) => (i.gives === 'look' || i.gives === 'everything') && mediumOf[i.id] && mediumOf[i.id] !== wordMedium)
    .map((i) => ({
      kind: 'word-look-clash',
      influences: [i.id],
      cause: `The words ask for ${wordMedium}, ${name(i.id)} is ${mediumOf[i.id]}.`,
      mend: {
        label: `Let ${name(i.id)} give its palette only`,
        changes: [{ influence: i.id, set: { gives: 'palette' } }],
      },
    }));
}
