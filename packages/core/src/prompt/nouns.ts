import { CAST_NAMES } from './brief';
import type { Age, NamedColour, Placed, Relation, TextSpan, UnderstoodSpan, View } from './brief';
import { isAnimate, nothingPending, shaded, type EntityDraft, type Pending } from './draft';
import { HOLDABLE, SMALL_CREATURES } from './english/things';
import { lookUp, on, type Axis, type Found } from './lexicon';
import type { Token } from './tokens';
import { applyFeature, takeAdjectives } from './traits';

/** A place as it was named: behind which preposition. */
export interface PlaceMention {
  readonly place: string;
  readonly how?: Relation['how'] | 'of';
  readonly distance?: Placed['distance'];
}

/** What nouns do: people, creatures and things enter, clothes and hair go to whom they belong. */
export abstract class NounReader {
  readonly entities: EntityDraft[] = [];
  readonly heard = new Map<Axis, string[]>();
  readonly places: PlaceMention[] = [];
  readonly refused = new Set<string>();
  readonly understood: UnderstoodSpan[] = [];
  readonly unheard: TextSpan[] = [];
  readonly inks: NamedColour[] = [];
  /** View and expression that were said before anybody was named. */
  general: { view?: View } = {};

  protected pending: Pending = nothingPending();
  protected relation?: Relation['how'] | 'of';
  /** The noun that the relation starts from. */
  protected from?: EntityDraft;
  protected current?: EntityDraft;
  protected group: EntityDraft[] = [];
  /** Things and creatures named one after the other. */
  protected list: EntityDraft[] = [];
  protected negated = false;
  protected opened = false;
  protected joined = false;
  protected afterMedium = false;
  /** The last noun was a place. */
  protected placeLast = false;
  /** The last noun was something that is worn. */
  protected dressed = false;

  protected closeNoun(): void {
    this.dressed = false;
    this.pending = nothingPending();
    this.opened = false;
    this.negated = false;
    this.joined = false;
  }

  protected wearer(): EntityDraft | undefined {
    return (
      [...this.group].reverse().find((e) => e.kind === 'person') ??
      [...this.entities].reverse().find((e) => e.kind === 'person')
    );
  }

  /** What the studio knows of somebody by name. */
  protected known(_name: string): Partial<EntityDraft> {
    return {};
  }

  protected person(found: Found): boolean {
    const named = on(found, 'cast');
    const cast = CAST_NAMES.find((c) => c === named);
    const name = cast ? undefined : named;
    const noun = on(found, 'person');
    if (!named && !noun) return false;
    const [age, sex] = (noun ?? '').split(' ') as [Age?, string?];
    const draft: EntityDraft = {
      kind: cast === 'Brom' ? 'creature' : 'person',
      what: cast === 'Brom' ? 'heron' : '',
      count: 1,
      garments: [],
      bare: [],
      holds: [],
    };
    if (cast) draft.cast = cast;
    else if (name) Object.assign(draft, copyOf(this.known(name)), { name });
    else {
      draft.age = age;
      if (sex === 'woman' || sex === 'girl') draft.sex = 'woman';
      if (sex === 'man' || sex === 'boy') draft.sex = 'man';
    }
    if (this.negated) {
      this.refused.add(named ? `cast: ${named}` : 'person');
      this.closeNoun();
      return true;
    }
    const known = named && this.entities.find((e) => (e.cast ?? e.name) === named);
    if (known) {
      this.current = known;
      this.group = [known];
      this.closeNoun();
      return true;
    }
    takeAdjectives(draft, this.pending, found.plural, found.number);
    this.enter(draft);
    return true;
  }

  protected creature(found: Found): boolean {
    const species = on(found, 'creature');
    if (!species) return false;
    if (this.negated) return this.refuse(`creature: ${species}`);
    // "Brom the heron" is one heron
    const { current } = this;
    const named = current?.kind === 'creature' && (current.cast ?? current.name) && current.what === species;
    if (named && !this.relation && !this.joined && this.pending.count === undefined && !found.plural)
      return this.done();
    const draft: EntityDraft = { kind: 'creature', what: species, count: 1, garments: [], bare: [], holds: [] };
    const flock = found.plural && this.pending.count === undefined && species === 'gull' ? 5 : undefined;
    takeAdjectives(draft, this.pending, found.plural);
    if (flock) draft.count = flock;
    const holder = this.wearer();
    const lifts = holder?.action === 'hold' || holder?.action === 'carry';
    if (
      holder &&
      lifts &&
      !this.relation &&
      !holder.holds.length &&
      SMALL_CREATURES.has(species) &&
      draft.count === 1
    ) {
      holder.holds.push({ what: species, creature: true, colour: draft.colour, size: draft.size });
      return this.done();
    }
    this.enter(draft);
    return true;
  }

  protected thing(found: Found): boolean {
    const thing = on(found, 'thing');
    if (!thing) return false;
    if (this.negated) return this.refuse(`thing: ${thing}`);
    const draft: EntityDraft = { kind: 'thing', what: thing, count: 1, garments: [], bare: [], holds: [] };
    takeAdjectives(draft, this.pending, found.plural);
    const holder = this.wearer();
    const lastIsHolder = holder && this.group.includes(holder);
    const holdable =
      HOLDABLE.has(thing) &&
      (draft.count === 1 || ['apple', 'flower', 'letter', 'book', 'shell', 'bread'].includes(thing));
    const verbal =
      holder && lastIsHolder && !this.relation && ['hold', 'carry', 'read', 'fly', 'run'].includes(holder.action ?? '');
    const under = this.relation === 'under' && thing === 'umbrella';
    // "a basket of apples": the contents belong to the vessel
    if (this.relation === 'of' && this.from && !this.afterMedium) return this.done();
    if (
      holder &&
      lastIsHolder &&
      holdable &&
      holder.holds.length < 2 &&
      (this.relation === 'with' || verbal || under)
    ) {
      holder.holds.push({ what: thing, creature: false, colour: draft.colour, size: draft.size });
      return this.done();
    }
    this.enter(draft);
    return true;
  }

  protected done(): true {
    this.relation = undefined;
    this.closeNoun();
    return true;
  }

  protected refuse(what: string): true {
    this.refused.add(what);
    const orAnother = this.negated;
    this.closeNoun();
    this.negated = orAnother;
    return true;
  }

  protected enter(draft: EntityDraft): void {
    if (this.relation && this.relation !== 'of' && this.from && this.from !== draft)
      draft.relation = { how: this.relation, target: this.from, also: this.list.filter((e) => e !== this.from) };
    this.list = this.joined && !this.relation ? [...this.list, draft] : [draft];
    const joins =
      this.joined && !this.relation && isAnimate(draft) && this.group.length && !this.group.some((e) => e.action);
    if (isAnimate(draft)) this.group = joins ? [...this.group, draft] : [draft];
    this.entities.push(draft);
    this.current = draft;
    this.placeLast = false;
    this.relation = undefined;
    this.dress(draft);
    this.closeNoun();
  }

  /** Puts an outfit on whoever was named after it. */
  protected dress(_: EntityDraft): void {}

  protected garment(found: Found, next: Token | undefined): boolean {
    const kind = on(found, 'garment');
    if (!kind) return false;
    const { colours, pattern, shade } = this.pending;
    const wearer = this.wearer();
    if (!this.negated && this.opened && !this.relation && next && !next.mark && isNounWord(next)) {
      this.pending.garments.push({ kind, colour: shaded(colours[0], shade), pattern });
      return true;
    }
    const animal = [...this.group].reverse().find((e) => e.kind === 'creature');
    if (this.negated) {
      if (wearer) wearer.bare.push(kind);
      else this.refused.add(`garment: ${kind}`);
      return this.done();
    }
    const garment = { kind, colour: shaded(colours[0], shade), second: colours[1], pattern };
    if (animal && (!wearer || this.group.includes(animal))) animal.garments.push(garment);
    else if (wearer) wearer.garments.push(garment);
    else this.enterWearer().garments.push(garment);
    this.relation = undefined;
    this.pending = nothingPending();
    this.negated = false;
    this.opened = false;
    this.dressed = true;
    return true;
  }

  /** Clothes without anybody in them: somebody wears them. */
  protected enterWearer(): EntityDraft {
    const draft: EntityDraft = { kind: 'person', what: '', count: 1, garments: [], bare: [], holds: [] };
    this.entities.push(draft);
    this.group = [draft];
    this.current = draft;
    return draft;
  }

  protected feature(found: Found, next: Token | undefined): boolean {
    const feature = on(found, 'feature');
    if (!feature) return false;
    const wearer = this.wearer();
    if (this.negated) {
      wearer?.bare.push(feature);
      return this.done();
    }
    // "a freckled boy", "curly red hair": an adjective before its noun
    const adjective = this.opened && next && !next.mark && !this.relation && isNounWord(next) && feature !== 'hair';
    const beforeHair =
      ['curls', 'wavy', 'tousled', 'plait', 'bob'].includes(feature) && next && !next.mark && isHairWord(next);
    if (adjective || beforeHair || !wearer) {
      this.pending.features.push(feature);
      return true;
    }
    applyFeature(wearer, feature, this.pending);
    const { count } = this.pending;
    if (feature === 'plait' && (count === 2 || found.plural)) wearer.hair = { ...wearer.hair, style: 'two plaits' };
    this.pending = nothingPending();
    this.opened = false;
    return true;
  }

  /** "a mouse in her hand": what was named last is held. */
  protected hand(found: Found): boolean {
    if (!on(found, 'hand')) return false;
    const held = this.current;
    const holder = [...this.entities].reverse().find((e) => e.kind === 'person' && e !== held);
    if (held && held.kind !== 'person' && holder && (this.relation === 'in' || this.relation === 'on')) {
      this.entities.splice(this.entities.indexOf(held), 1);
      holder.holds.push({ what: held.what, creature: held.kind === 'creature', colour: held.colour, size: held.size });
      this.current = holder;
      this.group = [holder];
    }
    return this.done();
  }
}

/** What is known of somebody, to be changed by what the words say. */
const copyOf = (known: Partial<EntityDraft>): Partial<EntityDraft> => ({
  ...known,
  garments: [...(known.garments ?? [])],
  bare: [...(known.bare ?? [])],
  holds: [...(known.holds ?? [])],
});

const isNounWord = (token: Token): boolean => {
  const found = lookUp([token], 0);
  return (
    !!found &&
    found.meanings.some((m) =>
      ['person', 'cast', 'age', 'size', 'build', 'skin', 'hair colour', 'feature', 'colour'].includes(m.axis),
    )
  );
};

const isHairWord = (token: Token): boolean => {
  const found = lookUp([token], 0);
  return (
    !!found &&
    found.meanings.some(
      (m) => (m.axis === 'feature' && m.value === 'hair') || m.axis === 'colour' || m.axis === 'shade',
    )
  );
};
