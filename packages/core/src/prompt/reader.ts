import type {
  Action,
  Age,
  CastName,
  Expression,
  NamedColour,
  Pattern,
  Placed,
  Relation,
  TextSpan,
  UnderstoodSpan,
  View,
} from './brief';
import { isAnimate, nothingPending, shaded, type EntityDraft, type Pending } from './draft';
import { COLOUR_VALUES } from './english/colours';
import { DETERMINERS, GRAMMAR, NEGATIONS } from './english/grammar';
import { HOLDABLE, SMALL_CREATURES } from './english/things';
import { applyFeature, takeAdjectives } from './traits';
import { lookUp, on, type Axis, type Found } from './lexicon';
import { tokenise, type Token } from './tokens';

/** Axes that hold for the whole picture. */
const GLOBAL: readonly Axis[] = ['time', 'weather', 'season', 'light', 'framing', 'camera', 'place', 'medium'];

/** A place as it was named: behind which preposition. */
export interface PlaceMention {
  readonly place: string;
  readonly how?: Relation['how'] | 'of';
  readonly distance?: Placed['distance'];
}

/**
 * Reads a text word by word and builds up who and what is in the picture: adjectives wait for the next noun, verbs go to
 * the last subject, prepositions tie the next noun to the last one. Never throws.
 */
export class Reader {
  readonly entities: EntityDraft[] = [];
  readonly heard = new Map<Axis, string[]>();
  readonly places: PlaceMention[] = [];
  readonly refused = new Set<string>();
  readonly understood: UnderstoodSpan[] = [];
  readonly unheard: TextSpan[] = [];
  readonly inks: NamedColour[] = [];
  /** View and expression that were said before anybody was named. */
  general: { view?: View } = {};

  #pending: Pending = nothingPending();
  #relation?: Relation['how'] | 'of';
  /** The noun that the relation starts from. */
  #from?: EntityDraft;
  #current?: EntityDraft;
  #group: EntityDraft[] = [];
  #negated = false;
  #opened = false;
  #joined = false;
  #afterMedium = false;
  /** The last noun was a place. */
  #placeLast = false;

  read(text: string): void {
    const tokens = tokenise(text);
    for (let i = 0; i < tokens.length;) {
      const token = tokens[i];
      if (token.mark) {
        this.#endPhrase(token.word);
        i++;
        continue;
      }
      if (NEGATIONS.has(token.word)) {
        this.#flushColours();
        this.#negated = true;
        this.#opened = true;
        i++;
        continue;
      }
      const found = lookUp(tokens, i);
      if (found) {
        this.#note(text, token, tokens[i + found.count - 1].end, found);
        this.#take(found, tokens[i + found.count]);
        i += found.count;
        continue;
      }
      this.#otherWord(token);
      i++;
    }
    this.#endPhrase('.');
  }

  #note(text: string, token: Token, end: number, found: Found): void {
    const means = found.meanings.map((m) => `${m.axis}: ${m.value}`).join(', ');
    this.understood.push({
      start: token.start,
      end,
      text: text.slice(token.start, end),
      means: this.#negated && isNoun(found) ? `no ${means}` : means,
    });
  }

  #otherWord(token: Token): void {
    if (token.word === 'and' || token.word === 'or') {
      this.#flushColours();
      this.#joined = true;
      if (token.word === 'and') this.#negated = false;
      this.#opened = false;
      return;
    }
    if (DETERMINERS.includes(token.word)) {
      this.#opened = true;
      return;
    }
    if (GRAMMAR.has(token.word)) return;
    this.unheard.push({ start: token.start, end: token.end, text: token.text });
    this.#pending = nothingPending();
    this.#negated = false;
    this.#relation = undefined;
    this.#opened = false;
  }

  /** "a woman in red": colours with no noun after them are those of the clothes, or of the medium. */
  #flushColours(): void {
    const { colours } = this.#pending;
    if (!colours.length) return;
    const wearer = this.#group.find((e) => e.kind === 'person');
    if (this.#afterMedium) this.inks.push(...colours);
    else if (this.#relation === 'in' && wearer) wearer.clothes = colours[0];
    this.#pending = { ...this.#pending, colours: [] };
  }

  #endPhrase(mark: string): void {
    this.#flushColours();
    const view = this.#pending.view;
    this.#pending = nothingPending();
    if (view) this.#apply('view', view);
    this.#relation = undefined;
    this.#negated = false;
    this.#opened = false;
    this.#joined = mark === ',';
    if (mark !== ',') this.#afterMedium = false;
  }

  #take(found: Found, next: Token | undefined): void {
    const get = (axis: Axis) => on(found, axis);
    const noun =
      this.#person(found) ||
      this.#creature(found) ||
      this.#garment(found, next) ||
      this.#feature(found, next) ||
      this.#hand(found) ||
      this.#thing(found);
    this.#globals(found, !!noun);
    if (noun) return;
    const p = this.#pending;
    const colour = get('colour');
    if (colour) p.colours.push({ name: colour, lch: COLOUR_VALUES[colour] });
    else if (get('shade')) p.shade = get('shade');
    else if (get('pattern')) p.pattern = get('pattern') as Pattern;
    else if (get('count')) {
      p.count = Number(get('count'));
      this.#opened = true;
    } else if (get('age')) p.age = get('age') as Age;
    else if (get('size')) p.size = get('size') as Placed['size'];
    else if (get('build')) p.build = get('build') as Pending['build'];
    else if (get('skin')) this.#skin(get('skin') as Pending['skin']);
    else if (get('hair colour')) this.#hairColour(get('hair colour')!);
    else if (get('side')) this.#where({ side: get('side') as Placed['side'] });
    else if (get('distance')) this.#where({ distance: get('distance') as Placed['distance'] });
    else if (get('expression')) this.#apply('expression', get('expression') as Expression);
    else if (get('action')) this.#apply('action', get('action') as Action);
    else if (get('view')) this.#apply('view', get('view') as View);
    else if (get('relation')) {
      this.#flushColours();
      this.#relation = get('relation') as Relation['how'];
      this.#from = this.#current;
      this.#joined = false;
      this.#opened = false;
    }
    if (colour || get('shade') || get('pattern') || get('age') || get('size') || get('build')) this.#opened = true;
  }

  #globals(found: Found, isNounToo: boolean): void {
    for (const { axis, value } of found.meanings) {
      if (!GLOBAL.includes(axis)) continue;
      if (this.#negated) {
        this.refused.add(`${axis}: ${value}`);
        continue;
      }
      this.heard.set(axis, [...(this.heard.get(axis) ?? []), value]);
      if (axis === 'place') {
        this.places.push({ place: value, how: this.#relation });
        this.#placeLast = !isNounToo;
        if (!isNounToo) this.#closeNoun();
      }
      if (axis === 'medium') {
        this.#afterMedium = true;
        this.inks.push(...this.#pending.colours);
        this.#pending = nothingPending();
      }
    }
  }

  #closeNoun(): void {
    this.#pending = nothingPending();
    this.#opened = false;
    this.#negated = false;
    this.#joined = false;
  }

  /** Verbs and looks go to the noun that follows an article or adjective, otherwise to the last subjects. */
  #apply(axis: 'action' | 'expression' | 'view', value: Action & Expression & View): void;
  #apply(axis: 'action' | 'expression' | 'view', value: string): void;
  #apply(axis: 'action' | 'expression' | 'view', value: string): void {
    const subjects = this.#group.filter((e) => isAnimate(e));
    if (axis === 'view' && !subjects.length) this.general = { ...this.general, view: value as View };
    if (this.#opened || !subjects.length) {
      (this.#pending as unknown as Record<string, string>)[axis] = value;
      return;
    }
    for (const e of subjects)
      if (!(axis === 'action' && e.action && e.action !== 'stand'))
        (e as unknown as Record<string, string>)[axis] = value;
    this.#relation = undefined;
    this.#joined = false;
  }

  #where(place: Pick<Placed, 'side' | 'distance'>): void {
    const target = this.#current;
    if (target && !this.#placeLast) Object.assign(target, place);
    else if (this.places.length && place.distance) {
      const last = this.places.pop()!;
      this.places.push({ ...last, distance: place.distance });
    }
    this.#relation = undefined;
  }

  #skin(skin: Pending['skin']): void {
    const wearer = this.#group.find((e) => e.kind === 'person');
    if (this.#relation && wearer && !this.#opened) wearer.skin = skin;
    else this.#pending.skin = skin;
  }

  #hairColour(name: string): void {
    this.#pending.hairColour = { name, lch: COLOUR_VALUES[name] };
  }

  #wearer(): EntityDraft | undefined {
    return (
      [...this.#group].reverse().find((e) => e.kind === 'person') ??
      [...this.entities].reverse().find((e) => e.kind === 'person')
    );
  }

  #person(found: Found): boolean {
    const cast = on(found, 'cast') as CastName | undefined;
    const noun = on(found, 'person');
    if (!cast && !noun) return false;
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
    else {
      draft.age = age;
      if (sex === 'woman' || sex === 'girl') draft.sex = 'woman';
      if (sex === 'man' || sex === 'boy') draft.sex = 'man';
    }
    if (this.#negated) {
      this.refused.add(cast ? `cast: ${cast}` : 'person');
      this.#closeNoun();
      return true;
    }
    const known = cast && this.entities.find((e) => e.cast === cast);
    if (known) {
      this.#current = known;
      this.#group = [known];
      this.#closeNoun();
      return true;
    }
    takeAdjectives(draft, this.#pending, found.plural);
    this.#enter(draft);
    return true;
  }

  #creature(found: Found): boolean {
    const species = on(found, 'creature');
    if (!species) return false;
    if (this.#negated) return this.#refuse(`creature: ${species}`);
    const draft: EntityDraft = { kind: 'creature', what: species, count: 1, garments: [], bare: [], holds: [] };
    const flock = found.plural && this.#pending.count === undefined && species === 'gull' ? 5 : undefined;
    takeAdjectives(draft, this.#pending, found.plural);
    if (flock) draft.count = flock;
    const holder = this.#wearer();
    const lifts = holder?.action === 'hold' || holder?.action === 'carry';
    if (
      holder &&
      lifts &&
      !this.#relation &&
      !holder.holds.length &&
      SMALL_CREATURES.has(species) &&
      draft.count === 1
    ) {
      holder.holds.push({ what: species, creature: true, colour: draft.colour, size: draft.size });
      return this.#done();
    }
    this.#enter(draft);
    return true;
  }

  #thing(found: Found): boolean {
    const thing = on(found, 'thing');
    if (!thing) return false;
    if (this.#negated) return this.#refuse(`thing: ${thing}`);
    const draft: EntityDraft = { kind: 'thing', what: thing, count: 1, garments: [], bare: [], holds: [] };
    takeAdjectives(draft, this.#pending, found.plural);
    const holder = this.#wearer();
    const lastIsHolder = holder && this.#group.includes(holder);
    const holdable =
      HOLDABLE.has(thing) &&
      (draft.count === 1 || ['apple', 'flower', 'letter', 'book', 'shell', 'bread'].includes(thing));
    const verbal = holder && lastIsHolder && !this.#relation && ['hold', 'carry', 'read'].includes(holder.action ?? '');
    const under = this.#relation === 'under' && thing === 'umbrella';
    // "a basket of apples": the contents belong to the vessel
    if (this.#relation === 'of' && this.#from && !this.#afterMedium) return this.#done();
    if (
      holder &&
      lastIsHolder &&
      holdable &&
      holder.holds.length < 2 &&
      (this.#relation === 'with' || verbal || under)
    ) {
      holder.holds.push({ what: thing, creature: false, colour: draft.colour, size: draft.size });
      return this.#done();
    }
    this.#enter(draft);
    return true;
  }

  #done(): true {
    this.#relation = undefined;
    this.#closeNoun();
    return true;
  }

  #refuse(what: string): true {
    this.refused.add(what);
    const orAnother = this.#negated;
    this.#closeNoun();
    this.#negated = orAnother;
    return true;
  }

  #enter(draft: EntityDraft): void {
    if (this.#relation && this.#relation !== 'of' && this.#from && this.#from !== draft)
      draft.relation = { how: this.#relation, target: this.#from };
    const joins =
      this.#joined && !this.#relation && isAnimate(draft) && this.#group.length && !this.#group.some((e) => e.action);
    if (isAnimate(draft)) this.#group = joins ? [...this.#group, draft] : [draft];
    this.entities.push(draft);
    this.#current = draft;
    this.#placeLast = false;
    this.#relation = undefined;
    this.#closeNoun();
  }

  #garment(found: Found, next: Token | undefined): boolean {
    const kind = on(found, 'garment');
    if (!kind) return false;
    const { colours, pattern, shade } = this.#pending;
    const wearer = this.#wearer();
    if (!this.#negated && this.#opened && !this.#relation && next && !next.mark && isNounWord(next)) {
      this.#pending.garments.push({ kind, colour: shaded(colours[0], shade), pattern });
      return true;
    }
    const animal = [...this.#group].reverse().find((e) => e.kind === 'creature');
    if (this.#negated) {
      if (wearer) wearer.bare.push(kind);
      else this.refused.add(`garment: ${kind}`);
      return this.#done();
    }
    const garment = { kind, colour: shaded(colours[0], shade), second: colours[1], pattern };
    if (animal && (!wearer || this.#group.includes(animal))) animal.garments.push(garment);
    else if (wearer) wearer.garments.push(garment);
    else this.#enterWearer().garments.push(garment);
    this.#relation = undefined;
    this.#pending = nothingPending();
    this.#negated = false;
    this.#opened = false;
    return true;
  }

  /** Clothes without anybody in them: somebody wears them. */
  #enterWearer(): EntityDraft {
    const draft: EntityDraft = { kind: 'person', what: '', count: 1, garments: [], bare: [], holds: [] };
    this.entities.push(draft);
    this.#group = [draft];
    this.#current = draft;
    return draft;
  }

  #feature(found: Found, next: Token | undefined): boolean {
    const feature = on(found, 'feature');
    if (!feature) return false;
    const wearer = this.#wearer();
    if (this.#negated) {
      wearer?.bare.push(feature);
      return this.#done();
    }
    // "a freckled boy", "curly red hair": an adjective before its noun
    const adjective = this.#opened && next && !next.mark && !this.#relation && isNounWord(next) && feature !== 'hair';
    const beforeHair =
      ['curls', 'wavy', 'tousled', 'plait', 'bob'].includes(feature) && next && !next.mark && isHairWord(next);
    if (adjective || beforeHair || !wearer) {
      this.#pending.features.push(feature);
      return true;
    }
    applyFeature(wearer, feature, this.#pending);
    const { count } = this.#pending;
    if (feature === 'plait' && (count === 2 || found.plural)) wearer.hair = { ...wearer.hair, style: 'two plaits' };
    this.#pending = nothingPending();
    this.#opened = false;
    return true;
  }

  /** "a mouse in her hand": what was named last is held. */
  #hand(found: Found): boolean {
    if (!on(found, 'hand')) return false;
    const held = this.#current;
    const holder = [...this.entities].reverse().find((e) => e.kind === 'person' && e !== held);
    if (held && held.kind !== 'person' && holder && (this.#relation === 'in' || this.#relation === 'on')) {
      this.entities.splice(this.entities.indexOf(held), 1);
      holder.holds.push({ what: held.what, creature: held.kind === 'creature', colour: held.colour, size: held.size });
      this.#current = holder;
      this.#group = [holder];
    }
    return this.#done();
  }
}

const isNoun = (found: Found): boolean =>
  found.meanings.some((m) =>
    [
      'person',
      'cast',
      'creature',
      'thing',
      'garment',
      'feature',
      'place',
      'weather',
      'time',
      'season',
      'medium',
      'light',
    ].includes(m.axis),
  );

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
