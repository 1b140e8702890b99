import type { Action, Age, Expression, Pattern, Placed, Relation, View } from './brief';
import { ClaimTracker, type ReaderState } from './claims';
import { isAnimate, nothingPending, shaded, type Pending } from './draft';
import { COLOUR_VALUES } from './english/colours';
import { DETERMINERS, GRAMMAR, NEGATIONS } from './english/grammar';
import { lookUp, on, type Axis, type Found } from './lexicon';
import { NamesReader } from './namesReader';
import { pointedAt } from './pronouns';
import { tokenise, type Token } from './tokens';

/** Axes that hold for the whole picture. */
const GLOBAL: readonly Axis[] = ['time', 'weather', 'season', 'light', 'framing', 'camera', 'place', 'medium'];

/**
 * Reads a text word by word and builds up who and what is in the picture: adjectives wait for the next noun, verbs go to
 * the last subject, prepositions tie the next noun to the last one. Never throws.
 */
export class Reader extends NamesReader {
  /** What every word was used for. */
  readonly tracker = new ClaimTracker();

  read(text: string): void {
    const tokens = tokenise(text);
    for (let i = 0; i < tokens.length;) {
      const token = tokens[i];
      if (token.mark) {
        this.endPhrase(token.word);
        this.tracker.step(this.state());
        i++;
        continue;
      }
      if (NEGATIONS.has(token.word)) {
        this.flushColours();
        this.negated = true;
        this.opened = true;
        this.tracker.step(this.state());
        i++;
        continue;
      }
      const outfit = this.outfitAt(tokens, i);
      const found = this.nameAt(tokens, i) ?? outfit?.found ?? lookUp(tokens, i);
      if (found) {
        this.note(text, token, tokens[i + found.count - 1].end, found);
        if (found === outfit?.found) this.callOutfit(outfit.of);
        else this.take(found, tokens[i + found.count]);
        this.tracker.step(this.state(), this.understood.at(-1), found.meanings);
        i += found.count;
        continue;
      }
      // "a blue and white jumper" has both colours
      if (!this.pointsBack(tokens, i) && !this.joinsColours(token, tokens, i)) this.otherWord(token);
      this.tracker.step(this.state());
      i++;
    }
    this.endPhrase('.');
    this.tracker.step(this.state());
  }

  private state(): ReaderState {
    const { entities, current, group, from, pending, relation } = this;
    const heard = [...this.heard.values()].reduce((n, values) => n + values.length, 0);
    const whole = heard + this.refused.size + this.inks.length;
    return { entities, current, group, from, pending, relation, whole };
  }

  protected note(text: string, token: Token, end: number, found: Found): void {
    const means = found.meanings.map((m) => `${m.axis}: ${m.value}`).join(', ');
    this.understood.push({
      start: token.start,
      end,
      text: text.slice(token.start, end),
      means: this.negated && isNoun(found) ? `no ${means}` : means,
    });
  }

  /** "beside her": the one named last stands so to somebody named before. */
  private pointsBack(tokens: readonly Token[], at: number): boolean {
    const { relation, current } = this;
    if (!relation || relation === 'of' || !current) return false;
    const whom = pointedAt(tokens, at, this.entities, current);
    if (!whom || whom.relation) return false;
    this.flushColours();
    whom.relation = { how: relation, target: current, also: [] };
    this.relation = undefined;
    this.joined = false;
    return true;
  }

  private joinsColours(token: Token, tokens: readonly Token[], at: number): boolean {
    const next = token.word === 'and' && this.pending.colours.length ? lookUp(tokens, at + 1) : undefined;
    return !!next && !!on(next, 'colour') && !!lookUp(tokens, at + 1 + next.count);
  }

  protected otherWord(token: Token): void {
    if (token.word === 'and' || token.word === 'or') {
      this.flushColours();
      this.joined = true;
      if (token.word === 'and') this.negated = false;
      this.opened = false;
      return;
    }
    if (DETERMINERS.includes(token.word)) {
      this.opened = true;
      return;
    }
    if (GRAMMAR.has(token.word)) return;
    this.unheard.push({ start: token.start, end: token.end, text: token.text });
    this.pending = nothingPending();
    this.negated = false;
    this.relation = undefined;
    this.opened = false;
  }

  /** "a woman in red": colours with no noun after them are those of the clothes, or of the medium. */
  protected override flushColours(): void {
    const { colours } = this.pending;
    if (!colours.length) return;
    const wearer = this.group.find((e) => e.kind === 'person');
    if (this.afterMedium) this.inks.push(...colours);
    else if (this.relation === 'in' && wearer) wearer.clothes = colours[0];
    this.pending = { ...this.pending, colours: [] };
  }

  protected endPhrase(mark: string): void {
    this.flushColours();
    const view = this.pending.view;
    this.pending = nothingPending();
    if (view) this.apply('view', view);
    this.relation = undefined;
    this.negated = false;
    this.opened = false;
    this.joined = mark === ',';
    if (mark !== ',') this.afterMedium = false;
  }

  protected take(found: Found, next: Token | undefined): void {
    const get = (axis: Axis) => on(found, axis);
    // "fishing" is what somebody does, "a fish" is somebody
    const verb = found.doing && !!get('action');
    const noun =
      !verb &&
      (this.person(found) ||
        this.creature(found) ||
        this.garment(found, next) ||
        this.feature(found, next) ||
        this.hand(found) ||
        this.thing(found));
    this.globals(found, !!noun);
    if (noun) return;
    const p = this.pending;
    const colour = get('colour');
    if (colour) p.colours.push({ name: colour, lch: COLOUR_VALUES[colour] });
    else if (get('shade')) p.shade = get('shade');
    else if (get('pattern') && found.plural && this.onGarment(get('pattern') as Pattern)) return;
    else if (get('pattern')) p.pattern = get('pattern') as Pattern;
    else if (get('count')) {
      p.count = Number(get('count'));
      this.opened = true;
    } else if (get('age')) p.age = get('age') as Age;
    else if (get('size')) p.size = get('size') as Placed['size'];
    else if (get('build')) p.build = get('build') as Pending['build'];
    else if (get('skin')) this.skin(get('skin') as Pending['skin']);
    else if (get('hair colour')) this.hairColour(get('hair colour')!);
    else if (get('side')) this.where({ side: get('side') as Placed['side'] });
    else if (get('distance')) this.where({ distance: get('distance') as Placed['distance'] });
    else if (get('expression')) this.apply('expression', get('expression') as Expression);
    else if (get('action')) {
      this.apply('action', get('action') as Action);
      if (verb && get('creature') === 'fish') this.give('rod');
    } else if (get('view')) this.apply('view', get('view') as View);
    else if (get('relation')) {
      this.flushColours();
      this.relation = get('relation') as Relation['how'];
      this.from = this.current;
      this.joined = false;
      this.opened = false;
    }
    if (colour || get('shade') || get('pattern') || get('age') || get('size') || get('build')) this.opened = true;
  }

  /** Puts a thing that an action needs into the hands of the last subjects. */
  protected give(what: string): void {
    for (const e of this.group) if (e.kind === 'person' && !e.holds.length) e.holds.push({ what, creature: false });
  }

  protected globals(found: Found, isNounToo: boolean): void {
    for (const { axis, value } of found.meanings) {
      if (!GLOBAL.includes(axis)) continue;
      if (this.negated) {
        this.refused.add(`${axis}: ${value}`);
        continue;
      }
      this.heard.set(axis, [...(this.heard.get(axis) ?? []), value]);
      if (axis === 'place') {
        this.places.push({ place: value, how: this.relation });
        this.placeLast = !isNounToo;
        if (!isNounToo) this.closeNoun();
      }
      if (axis === 'medium') {
        this.afterMedium = true;
        this.inks.push(...this.pending.colours);
        this.pending = nothingPending();
      }
    }
  }

  /** Verbs and looks go to the noun that follows an article or adjective, otherwise to the last subjects. */
  protected apply(axis: 'action' | 'expression' | 'view', value: Action & Expression & View): void;
  protected apply(axis: 'action' | 'expression' | 'view', value: string): void;
  protected apply(axis: 'action' | 'expression' | 'view', value: string): void {
    const subjects = this.group.filter((e) => isAnimate(e));
    if (axis === 'view' && !subjects.length) this.general = { ...this.general, view: value as View };
    if (this.opened || !subjects.length) {
      (this.pending as unknown as Record<string, string>)[axis] = value;
      return;
    }
    for (const e of subjects)
      if (!(axis === 'action' && e.action && e.action !== 'stand'))
        (e as unknown as Record<string, string>)[axis] = value;
    this.relation = undefined;
    this.joined = false;
  }

  protected where(place: Pick<Placed, 'side' | 'distance'>): void {
    const target = this.current;
    if (target && !this.placeLast) Object.assign(target, place);
    else if (this.places.length && place.distance) {
      const last = this.places.pop()!;
      this.places.push({ ...last, distance: place.distance });
    }
    this.relation = undefined;
  }

  /** "a dress with white dots": the pattern goes onto what was put on last. */
  private onGarment(pattern: Pattern): boolean {
    const wearer = this.wearer();
    const last = wearer?.garments.at(-1);
    if (this.relation !== 'with' || !this.dressed || !wearer || !last) return false;
    const second = shaded(this.pending.colours[0], this.pending.shade) ?? last.second;
    wearer.garments[wearer.garments.length - 1] = { ...last, pattern, second };
    this.done();
    return true;
  }

  protected skin(skin: Pending['skin']): void {
    const wearer = this.group.find((e) => e.kind === 'person');
    if (this.relation && wearer && !this.opened) wearer.skin = skin;
    else this.pending.skin = skin;
  }

  protected hairColour(name: string): void {
    this.pending.hairColour = { name, lch: COLOUR_VALUES[name] };
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
      'outfit',
      'feature',
      'place',
      'weather',
      'time',
      'season',
      'medium',
      'light',
    ].includes(m.axis),
  );
