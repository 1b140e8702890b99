import type { Claim, Entity, NotDrawn, PersonBrief, SceneBrief, UnderstoodSpan } from './brief';
import { nameOf } from './brief';
import type { EntityDraft, Pending } from './draft';
import type { Meaning } from './lexicon';
import { lessThanSaid } from './english/nearly';
import { LANDMARKS } from './english/places';

/** What a reader knows between two words. */
export interface ReaderState {
  readonly entities: readonly EntityDraft[];
  readonly current?: EntityDraft;
  readonly group: readonly EntityDraft[];
  readonly from?: EntityDraft;
  readonly pending: Pending;
  readonly relation?: string;
  /** How many values of the whole picture have been heard or refused. */
  readonly whole: number;
}

/** A word of the prompt, what it may mean, and what it was used for. */
interface Word {
  readonly span: UnderstoodSpan;
  readonly meanings: readonly Meaning[];
  readonly about: Set<EntityDraft>;
  whole: boolean;
}

/** Entities before these are not touched by a word any more. */
const RECENT = 6;
/** Axes whose words only tie others together: they claim nothing by themselves where nothing came of them. */
const TIES: ReadonlySet<string> = new Set(['relation', 'count', 'hand', 'shade']);

/**
 * Follows what every word of a prompt is used for while it is read: an adjective waits for its noun, a preposition for what it ties.
 * It looks at what a word has changed and needs to know nothing of grammar.
 */
export class ClaimTracker {
  readonly #words: Word[] = [];
  readonly #signatures = new WeakMap<EntityDraft, string>();
  readonly #ids = new WeakMap<EntityDraft, number>();
  #nextId = 0;
  #waiting: Word[] = [];
  #tie?: Word;
  #before = { entities: 0, pending: '', whole: 0, relation: undefined as string | undefined };

  /** A word has been taken, or something ended (`span` absent): what came of it. */
  step(state: ReaderState, span?: UnderstoodSpan, meanings: readonly Meaning[] = []): void {
    const word: Word | undefined = span && { span, meanings, about: new Set(), whole: false };
    if (word) this.#words.push(word);
    const { entities, pending, whole, relation } = state;
    const before = this.#before;
    const waits = signatureOf(pending);
    this.#before = { entities: entities.length, pending: waits, whole, relation };
    const changed = this.#changed(state, before.entities);
    const bound = [...(changed.length || whole !== before.whole ? this.#waiting : []), ...(word ? [word] : [])];
    if (changed.length) {
      if (this.#tie && changed.some((e) => e.relation)) bound.push(this.#tie);
      for (const one of bound) for (const e of changed) one.about.add(e);
    }
    if (whole !== before.whole) for (const one of bound) one.whole = true;
    else if (!changed.length && word && waits !== before.pending && waits !== NOTHING) this.#waiting.push(word);
    else if (!changed.length && word && relation && relation !== before.relation) this.#tie = word;
    // somebody who was named already
    else if (!changed.length && word)
      for (const e of [...state.group, ...(state.current ? [state.current] : [])]) word.about.add(e);
    if (changed.length || waits === NOTHING) this.#waiting = [];
    if (!relation) this.#tie = undefined;
  }

  #changed({ entities, current, group, from }: ReaderState, known: number): EntityDraft[] {
    const seen = new Set([...entities.slice(-RECENT), ...group]);
    for (const e of [current, from, lastPerson(entities)]) if (e) seen.add(e);
    return [...seen].filter((e) => {
      const signature = this.#signature(e);
      const before = this.#signatures.get(e);
      this.#signatures.set(e, signature);
      return before === undefined ? entities.indexOf(e) >= known : before !== signature;
    });
  }

  #signature(e: EntityDraft): string {
    return JSON.stringify(e, (key, value: unknown) => {
      if (key !== 'relation' || !value) return value;
      const { how, target, also } = value as NonNullable<EntityDraft['relation']>;
      return [how, this.#id(target), also.map((o) => this.#id(o))];
    });
  }

  #id(e: EntityDraft): number {
    if (!this.#ids.has(e)) this.#ids.set(e, this.#nextId++);
    return this.#ids.get(e)!;
  }

  /**
   * What the words claim of a finished brief, and what of them came to nothing. `kept` are the drafts of the brief's entities, in
   * their order.
   */
  claims(
    brief: Omit<SceneBrief, 'claims' | 'unused'>,
    kept: readonly EntityDraft[],
  ): { claims: Claim[]; unused: NotDrawn[] } {
    const claims: Claim[] = [];
    const unused: NotDrawn[] = [];
    for (const word of this.#words) {
      const { start, end, text, means } = word.span;
      const span = { start, end, text };
      if (means.startsWith('no ')) {
        for (const { axis, value } of word.meanings) claims.push({ ...span, axis: 'no', value: `${axis}: ${value}` });
        continue;
      }
      const own = claimsOf(word, brief, kept);
      const less = own.map(({ axis, value }) => lessThanSaid(axis, value, text)).find((reason) => reason);
      if (less) unused.push({ ...span, means, why: less });
      else if (own.length) claims.push(...own.map((one) => ({ ...span, ...one })));
      else if (!word.meanings.every(({ axis }) => TIES.has(axis)))
        unused.push({ ...span, means, why: whyUnused(word, brief, kept) });
      else if (POINTS_BACK.test(brief.text.slice(end)))
        unused.push({ ...span, means, why: 'Whom the next word means is not understood: say the name again.' });
    }
    return { claims, unused };
  }
}

/** A word that stands for something named before; "her" before a noun says whose that is. */
const POINTS_BACK =
  /^\s+(?:(?:it|them|him|us|me|this|that|these|those)\b|her\b(?!\s+(?!(?:and|or|in|on|at|by|with|from|to)\b)\p{L}))/iu;

const signatureOf = (pending: Pending): string => JSON.stringify(pending);
const NOTHING = signatureOf({ colours: [], features: [], garments: [] });
const lastPerson = (entities: readonly EntityDraft[]) => [...entities].reverse().find((e) => e.kind === 'person');

type Own = Pick<Claim, 'axis' | 'value' | 'entity'>;

/** What a word claims: of whom it was said, else of anybody of whom it is true, else of the whole picture. */
function claimsOf(word: Word, brief: Omit<SceneBrief, 'claims' | 'unused'>, kept: readonly EntityDraft[]): Own[] {
  const { entities } = brief;
  const said = [...word.about].map((e) => kept.indexOf(e)).filter((k) => k >= 0);
  const of = (indexes: readonly number[]): Own[] =>
    word.meanings.flatMap(({ axis, value }) =>
      indexes.filter((k) => isSaidOf(entities[k], axis, value)).map((entity) => ({ axis, value, entity })),
    );
  const whole = word.meanings.filter(({ axis, value }) => isSaidOfAll(brief, axis, value));
  if (whole.length && word.whole) return whole;
  const own = of(said);
  if (own.length) return own;
  // what ties others together is said of those whom it ties, or of nobody
  const anybody = word.meanings.every(({ axis }) => TIES.has(axis)) ? [] : of(entities.map((_, k) => k));
  return anybody.length ? anybody : whole;
}

const isSaidOfAll = (brief: Omit<SceneBrief, 'claims' | 'unused'>, axis: string, value: string): boolean => {
  switch (axis) {
    case 'time':
    case 'weather':
    case 'season':
    case 'light':
    case 'framing':
    case 'camera':
    case 'place':
    case 'medium':
      return brief[axis] === value;
    case 'colour':
      return brief.inks.some((ink) => isNamed(ink.name, value));
    default:
      return false;
  }
};

/** "light blue" is a blue. */
const isNamed = (name: string | undefined, colour: string): boolean =>
  name !== undefined && (name === colour || name.endsWith(` ${colour}`));

/** Whether an entity of a brief is, has or does what a word says. */
export function isSaidOf(e: Entity, axis: string, value: string): boolean {
  switch (axis) {
    case 'cast':
      return nameOf(e) === value;
    case 'creature':
      return (e.kind === 'creature' && e.species === value) || holdsIt(e, value, true);
    case 'thing':
      return (e.kind === 'thing' && e.thing === value) || holdsIt(e, value, false);
    case 'place':
      return e.kind === 'thing' && e.thing === LANDMARKS[value];
    case 'count':
      return e.count === Number(value);
    case 'side':
    case 'distance':
      return e[axis] === value;
    case 'relation':
      return e.relation?.how === value;
    case 'size':
      return (
        e.size === value || (e.kind === 'person' && (e.hair?.length === value || e.holds.some((h) => h.size === value)))
      );
    case 'action':
    case 'view':
      return e.kind !== 'thing' && e[axis] === value;
    case 'outfit':
      return e.kind !== 'thing' && e.outfit?.name === value;
    case 'garment':
      return e.kind !== 'thing' && e.garments.some((g) => g.kind === value);
    case 'colour':
      return coloursOf(e).some((name) => isNamed(name, value));
    default:
      return e.kind === 'person' && isSaidOfPerson(e, axis, value);
  }
}

const holdsIt = (e: Entity, what: string, creature: boolean): boolean =>
  e.kind === 'person' && e.holds.some((h) => h.what === what && h.creature === creature);

function isSaidOfPerson(e: PersonBrief, axis: string, value: string): boolean {
  switch (axis) {
    case 'person': {
      const [, sex] = value.split(' ');
      const said = sex === 'girl' ? 'woman' : sex === 'boy' ? 'man' : sex;
      return nameOf(e) === undefined && (sex === 'any' || e.sex === said);
    }
    case 'age':
    case 'build':
    case 'skin':
    case 'expression':
      return e[axis] === value;
    case 'pattern':
      return e.garments.some((g) => g.pattern === value);
    case 'hair colour':
      return isNamed(e.hair?.colour?.name, value);
    case 'feature':
      return hasFeature(e, value);
    default:
      return false;
  }
}

function hasFeature(e: PersonBrief, feature: string): boolean {
  switch (feature) {
    case 'beard':
      return !!e.beard;
    case 'moustache':
    case 'freckles':
    case 'glasses':
    case 'earring':
    case 'eyes':
    case 'hair':
      return !!e[feature];
    case 'plait':
      return e.hair?.style === 'plait' || e.hair?.style === 'two plaits';
    default:
      return e.hair?.style === feature;
  }
}

/** The names of all colours that are said of an entity. */
function coloursOf(e: Entity): string[] {
  const named =
    e.kind === 'thing'
      ? [e.colour]
      : [
          ...(e.kind === 'creature' ? [e.colour] : [e.clothes, e.eyes, e.hair?.colour, e.beard?.colour]),
          ...e.garments.flatMap((g) => [g.colour, g.second]),
          ...(e.kind === 'person' ? e.holds.map((h) => h.colour) : []),
        ];
  return named.flatMap((c) => c?.name ?? []);
}

/** Why a word came to nothing, as a sentence that a person can act on. */
function whyUnused(
  { meanings, about }: Word,
  brief: Omit<SceneBrief, 'claims' | 'unused'>,
  kept: readonly EntityDraft[],
): string {
  for (const { axis, value } of meanings) {
    if (axis === 'place') return `A picture has one place: this one is "${brief.place}".`;
    if (axis === 'time' || axis === 'weather' || axis === 'season' || axis === 'framing' || axis === 'camera')
      return `A picture has one ${axis}: this one has "${brief[axis] ?? 'the usual one'}".`;
    if (axis === 'action') {
      const doing = [...about].find((e) => kept.includes(e) && e.action)?.action;
      return doing
        ? `Somebody does one thing at a time: here "${doing}".`
        : `Nobody in the picture can do that: name who does it.`;
    }
    if (axis === 'person' || axis === 'creature' || axis === 'thing')
      return [...about].some((e) => kept.includes(e))
        ? `It is taken as part of what was named before it.`
        : `There is no room for it: a picture holds 4 people and 14 things and creatures, or "no ${value}" is asked for.`;
  }
  return 'Nothing in the picture takes it up: put it next to what it is said of.';
}
