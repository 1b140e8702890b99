import { nameOf } from '../prompt/brief';
import { understand } from '../prompt/understand';
import { give } from './gives';
import { MAX_INFLUENCES, type MixInfluence, type MixState } from './mix';
import { sameInfluence } from './equal';
import { stateOfShot, type ShotPlan } from './own';
import { MOST_UNCALLED } from './settings/uncalled';

/** Somebody of the cast, as far as it matters for being called by name. */
export interface CastMember {
  readonly id: string;
  readonly name: string;
  /** The weight at which the name brings the pictures in, 0..2. */
  readonly usualWeight: number;
  /** How many pictures the sheet has; nobody without one is called. */
  readonly pictures: number;
}

/** The id of the influence that a name in the words stands for. */
export const calledId = (characterId: string): string => `called-${characterId}`;

/** What a character gives at first: the whole of its identity, over the whole course. */
export const characterInfluence = (id: string, characterId: string, weight: number): MixInfluence => ({
  id,
  of: 'character',
  referenceId: characterId,
  gives: 'character',
  weight,
  from: 0,
  to: 1,
  reading: 'normal',
  on: true,
});

/** Whoever of the cast the words name, without those whom they refuse. */
function namedIn({ prompt, avoid }: Pick<MixState, 'prompt' | 'avoid'>, cast: readonly CastMember[]): CastMember[] {
  const words = prompt.toLowerCase();
  const likely = cast.filter(({ name, pictures }) => pictures > 0 && name && words.includes(name.toLowerCase()));
  if (!likely.length) return [];
  const { entities } = understand(prompt, avoid, likely);
  const names = new Set(entities.map(nameOf));
  return likely.filter(({ name }) => names.has(name));
}

/** True for the influence that a name stands for, whether as called or with settings of its own. */
export const isByName = ({ id, of, referenceId }: MixInfluence): boolean =>
  of === 'character' && id === calledId(referenceId);

/** True where a mix says itself how a character acts: by a lane of its sheet, or by a reference whose identity acts on that name. */
const isServed = (influences: readonly MixInfluence[], { id, name }: CastMember): boolean =>
  influences.some(
    (i) =>
      (i.of === 'character' && i.referenceId === id) ||
      (i.subject === name && (give(i.gives).factors.identity ?? 0) > 0),
  );

/** The influences of a mix without those of names that its words do not say. */
function spokenOf(mix: MixState, named: readonly CastMember[]): MixInfluence[] {
  return mix.influences.filter((i) => !isByName(i) || named.some(({ id }) => id === i.referenceId));
}

/**
 * The influences that the words of a mix call in: each member of the cast who is named, at its usual weight over the whole course,
 * unless the mix has an influence for it already or says that the name brings nothing in.
 */
export function calledInfluences(mix: MixState, cast: readonly CastMember[]): MixInfluence[] {
  const { uncalled = [] } = mix.settings;
  const named = namedIn(mix, cast);
  const own = spokenOf(mix, named);
  return named
    .filter((member) => !uncalled.includes(member.id) && !isServed(own, member))
    .slice(0, Math.max(0, MAX_INFLUENCES - own.length))
    .map(({ id, usualWeight }) => characterInfluence(calledId(id), id, usualWeight));
}

/**
 * What is rendered of a mix: with everybody whom its words call, and without those who were called and are not named any more. The mix
 * itself where that changes nothing.
 */
export function withCalled<S extends MixState>(mix: S, cast: readonly CastMember[]): S {
  const own = mix.influences.some(isByName) ? spokenOf(mix, namedIn(mix, cast)) : mix.influences;
  const called = calledInfluences(mix, cast);
  return called.length || own.length < mix.influences.length ? { ...mix, influences: [...own, ...called] } : mix;
}

/**
 * A mix as it is kept, of one that was edited as it is rendered ({@link withCalled}): whoever is as called is left to the words, whoever
 * was taken out is not called any more, and what was set for a name is kept for the time when it is said again.
 */
export function withoutCalled<S extends MixState>(before: S, edited: S, cast: readonly CastMember[]): S {
  const was = withCalled(before, cast).influences;
  const there = (list: readonly MixInfluence[], id: string) => list.some((i) => i.id === calledId(id));
  const taken = cast.filter(({ id }) => there(was, id) && !there(edited.influences, id));
  const present = new Set(edited.influences.flatMap((i) => (i.of === 'character' ? i.referenceId : [])));
  const { uncalled: old = [], ...settings } = edited.settings;
  const left = [...new Set([...old, ...namedIn(edited, taken).map((m) => m.id)])].filter((id) => !present.has(id));
  const kept = { ...edited, settings: left.length ? { ...settings, uncalled: left.slice(-MOST_UNCALLED) } : settings };
  const usual = (mix: S) =>
    new Map(
      calledInfluences({ ...mix, influences: mix.influences.filter((i) => !isByName(i)) }, cast).map((i) => [i.id, i]),
    );
  const [called, calledBefore] = [usual(kept), usual(before)];
  const isAs = (one: MixInfluence, other: MixInfluence | undefined) => !!other && sameInfluence(other, one);
  // whoever is not named any more goes with the name, unless something of it was set
  const influences = edited.influences.filter((i) => called.has(i.id) || !isAs(i, calledBefore.get(i.id)));
  // a lane that was moved to another place stays there
  while (influences.length && isAs(influences[influences.length - 1], called.get(influences[influences.length - 1].id)))
    influences.pop();
  const unspoken = before.influences.filter((i) => !was.includes(i) && !influences.some((one) => one.id === i.id));
  return { ...kept, influences: [...influences, ...unspoken] };
}

/** A mix that is shared by shots, with the words of one of them. */
const saying = <S extends MixState>(mix: S, { prompt, own }: Pick<ShotPlan, 'prompt' | 'own'>): S => ({
  ...mix,
  prompt,
  avoid: own.avoid ?? mix.avoid,
});

/** The mix as one shot uses it ({@link stateOfShot}), with everybody whom the words of that shot call. */
export const calledInShot = <S extends MixState>(mix: S, plan: ShotPlan, cast: readonly CastMember[]): S =>
  stateOfShot(withCalled(saying(mix, plan), cast), plan);

/** A mix that is shared by shots, with everybody whom the words of any of them call, and nobody else who was called. */
export function calledByShots<S extends MixState>(
  mix: S,
  plans: readonly Pick<ShotPlan, 'prompt' | 'own'>[],
  cast: readonly CastMember[],
): S {
  const each = plans.map((p) => withCalled(saying(mix, p), cast).influences);
  const spoken = mix.influences.filter((i) => !isByName(i) || each.some((all) => all.includes(i)));
  const all = new Map([...spoken, ...each.flat()].map((i) => [i.id, i]));
  return { ...mix, influences: [...all.values()] };
}

/** A mix without an influence: whoever was called by a name is not called any more. */
export function withoutInfluence<S extends MixState>(mix: S, id: string): S {
  const gone = mix.influences.find((i) => i.id === id);
  const influences = mix.influences.filter((i) => i.id !== id);
  if (!gone || !isByName(gone)) return { ...mix, influences };
  const uncalled = [...(mix.settings.uncalled ?? []), gone.referenceId].slice(-MOST_UNCALLED);
  return { ...mix, settings: { ...mix.settings, uncalled }, influences };
}
