import { VectorTable } from './vectorTable';
import type { CheckState, Kind, RightsKind } from '../reference.entity';
import { usedIn, type MixUse, type Uses } from './uses';

/** What the catalogue knows of a reference. */
export interface CatalogueRow {
  readonly id: string;
  readonly kind: Kind;
  readonly title: string;
  readonly tags: readonly string[];
  readonly rating: number;
  readonly favourite: boolean;
  readonly rights: RightsKind;
  readonly state: CheckState;
  /** Milliseconds since 1970. */
  readonly createdAt: number;
  readonly aspect: number;
  readonly away: boolean;
  /** L, a, b, weight of up to six colours. */
  readonly colours: readonly number[];
  readonly hash: string;
}

/** Vectors of a row, 8 bits a number. */
export interface RowVectors {
  readonly likeness: Int8Array;
  readonly mirrored: Int8Array;
  readonly style: Int8Array;
}

export const SORTS = ['newest', 'oldest', 'title', 'rating', 'used', 'recent', 'arranged', 'likeness'] as const;
export type Sort = (typeof SORTS)[number];

/** What is looked for; what is absent does not narrow. */
export interface CatalogueQuery {
  /** Ids that the words were found in. */
  readonly found?: ReadonlySet<string>;
  readonly kind?: Kind;
  readonly tag?: string;
  readonly rights?: RightsKind;
  readonly state?: CheckState;
  /** At least so many stars. */
  readonly rating?: number;
  readonly favourite?: boolean;
  readonly look?: string;
  readonly character?: string;
  /** Id of one that is put together by hand. */
  readonly collection?: string;
  readonly used?: 'used' | 'unused';
  readonly away?: boolean;
  /** OKLab, and how far off it may be (a distance in OKLab). */
  readonly colour?: { readonly lab: readonly [number, number, number]; readonly tolerance: number };
  readonly like?: { readonly id: string; readonly by: 'content' | 'style' };
  readonly sort?: Sort;
  /** Projects of which whoever asks may not know: what is used there only is not used, for them. */
  readonly hidden?: readonly string[];
}

/** How often each value of each facet occurs among what the other facets leave. */
export type Facets = Readonly<
  Record<'kind' | 'tag' | 'rights' | 'state' | 'look' | 'character' | 'collection', Readonly<Record<string, number>>>
> & {
  readonly favourite: number;
  readonly unused: number;
  readonly away: number;
};

export interface CatalogueResult {
  readonly ids: string[];
  readonly aspects: number[];
  readonly facets: Facets;
}

type Narrowing = keyof Omit<CatalogueQuery, 'like' | 'sort' | 'colour' | 'found' | 'hidden'>;

const NOWHERE: Uses = { looks: new Map(), cast: new Map(), mixes: new Map(), collections: new Map() };

/** How many pictures "like this" shows. */
const ALIKE = 200;

/**
 * All references in memory, in columns, so that any filter over tens of thousands takes a few milliseconds. Pure: rows and
 * vectors are put in, questions answered; where they come from is the worker's matter.
 */
export class Catalogue {
  readonly #rows = new Map<string, CatalogueRow>();
  readonly #vectors = new Map<string, RowVectors>();
  readonly #content = new VectorTable();
  readonly #style = new VectorTable();
  #uses: Uses = NOWHERE;
  #mixes: ReadonlyMap<string, MixUse> = new Map();
  #order: CatalogueRow[] | undefined;
  #titles: CatalogueRow[] | undefined;

  get size(): number {
    return this.#rows.size;
  }

  /** Puts a row in or in the place of the one with the same id. */
  put(row: CatalogueRow, vectors?: RowVectors): void {
    this.#rows.set(row.id, row);
    if (vectors) {
      this.#vectors.set(row.id, vectors);
      this.#content.put(row.id, vectors.likeness);
      this.#style.put(row.id, vectors.style);
    }
    this.#order = undefined;
    this.#titles = undefined;
  }

  drop(id: string): void {
    this.#rows.delete(id);
    this.#vectors.delete(id);
    this.#content.drop(id);
    this.#style.drop(id);
    this.#order = undefined;
    this.#titles = undefined;
  }

  useIn(uses: Uses): void {
    this.#uses = uses;
    this.#mixes = usedIn(uses.mixes, []);
  }

  /** Answers a query: ids in order, their aspects for laying them out, counts for every facet. */
  ask(query: CatalogueQuery): CatalogueResult {
    const { looks, cast, collections } = this.#uses;
    const hidden = query.hidden ?? [];
    const mixes = hidden.length ? usedIn(this.#uses.mixes, hidden) : this.#mixes;
    const look = query.look ? (looks.get(query.look) ?? new Set<string>()) : undefined;
    const character = query.character ? (cast.get(query.character) ?? new Set<string>()) : undefined;
    const places = query.collection ? (collections.get(query.collection) ?? new Map<string, number>()) : undefined;
    const tests: [Narrowing, (r: CatalogueRow) => boolean][] = [['away', (r) => r.away === (query.away ?? false)]];
    const test = (name: Narrowing, check: (r: CatalogueRow) => boolean) => {
      if (query[name] !== undefined) tests.push([name, check]);
    };
    test('kind', (r) => r.kind === query.kind);
    test('tag', (r) => r.tags.includes(query.tag!));
    test('rights', (r) => r.rights === query.rights);
    test('state', (r) => r.state === query.state);
    test('rating', (r) => r.rating >= query.rating!);
    test('favourite', (r) => r.favourite === query.favourite);
    test('look', (r) => look!.has(r.id));
    test('character', (r) => character!.has(r.id));
    test('collection', (r) => places!.has(r.id));
    test('used', (r) => mixes.has(r.id) === (query.used === 'used'));
    const colour = query.colour && colourTest(query.colour.lab, query.colour.tolerance);
    const counts = emptyFacets();
    const chosen: CatalogueRow[] = [];
    const like = query.like && this.alike(query.like.id, query.like.by);
    const among = like
      ? this.#alikeRows(query.like!.id, like)
      : query.sort === 'title'
        ? this.#inTitleOrder()
        : this.#inOrder();
    for (const row of among) {
      if (query.found && !query.found.has(row.id)) continue;
      if (colour && !(colour(row) <= 1)) continue;
      let failed: Narrowing | undefined;
      let failures = 0;
      for (const [name, check] of tests)
        if (!check(row)) {
          failed = name;
          if (++failures > 1) break;
        }
      if (failures > 1) continue;
      count(counts, row, failed, mixes);
      if (!failures) chosen.push(row);
    }
    const sorted = this.#sort(chosen, query, { colour, places, mixes });
    for (const [id, members] of looks) counts.look[id] = members.size;
    for (const [id, members] of cast) counts.character[id] = members.size;
    for (const [id, members] of collections) {
      if (hidden.includes(id)) continue;
      counts.collection[id] = [...members.keys()].filter((m) => this.#rows.get(m)?.away === false).length;
    }
    return {
      ids: sorted.map((r) => r.id),
      aspects: sorted.map((r) => Math.round(r.aspect * 1000) / 1000),
      facets: counts,
    };
  }

  /** The references whose vectors lie nearest, best first, with their likeness (-1..1; for style 1 - distance). */
  alike(id: string, by: 'content' | 'style', limit = ALIKE): { id: string; score: number }[] {
    const own = this.#vectors.get(id);
    return own ? this.nearestTo(own, by, limit, id) : [];
  }

  /** As {@link alike}, for a picture that is not in the library. Content is compared mirrored as well. */
  nearestTo(own: RowVectors, by: 'content' | 'style', limit: number, except?: string): { id: string; score: number }[] {
    const scores = by === 'content' ? this.#content.scores(own.likeness, own.mirrored) : this.#style.scores(own.style);
    const ids = by === 'content' ? this.#content.ids : this.#style.ids;
    const best: { id: string; score: number }[] = [];
    let least = -Infinity;
    for (let k = 0; k < ids.length; k++) {
      const score = scores[k];
      if (score === -Infinity || score <= least || ids[k] === except || ids[k] === undefined) continue;
      let at = best.length;
      while (at > 0 && best[at - 1].score < score) at--;
      best.splice(at, 0, { id: ids[k]!, score });
      if (best.length > limit) best.pop();
      if (best.length === limit) least = best[limit - 1].score;
    }
    return best;
  }

  get(id: string): CatalogueRow | undefined {
    return this.#rows.get(id);
  }

  /** Rows that are not put away, for comparing hashes. */
  *present(): Iterable<CatalogueRow> {
    for (const row of this.#rows.values()) if (!row.away) yield row;
  }

  /** The picture itself and what is like it, nearest first. */
  #alikeRows(id: string, like: readonly { readonly id: string }[]): CatalogueRow[] {
    return [id, ...like.map((l) => l.id)].flatMap((one) => this.#rows.get(one) ?? []);
  }

  #inTitleOrder(): CatalogueRow[] {
    const { compare } = new Intl.Collator('en', { numeric: true });
    this.#titles ??= [...this.#inOrder()].sort((a, b) => compare(a.title, b.title));
    return this.#titles;
  }

  #inOrder(): CatalogueRow[] {
    this.#order ??= [...this.#rows.values()].sort((a, b) => b.createdAt - a.createdAt || (a.id < b.id ? -1 : 1));
    return this.#order;
  }

  #sort(rows: CatalogueRow[], query: CatalogueQuery, { colour, places, mixes }: Ordering): CatalogueRow[] {
    if (query.like) return rows;
    switch (query.sort ?? (colour ? 'likeness' : places ? 'arranged' : 'newest')) {
      case 'likeness': {
        if (!colour) return rows;
        const far = new Map(rows.map((r) => [r.id, colour(r)]));
        return rows.sort((a, b) => far.get(a.id)! - far.get(b.id)!);
      }
      case 'oldest':
        return rows.reverse();
      case 'title':
        return rows;
      case 'rating':
        return rows.sort((a, b) => b.rating - a.rating);
      case 'used':
        return rows.sort((a, b) => (mixes.get(b.id)?.count ?? 0) - (mixes.get(a.id)?.count ?? 0));
      case 'recent':
        return rows.sort((a, b) => (mixes.get(b.id)?.last ?? 0) - (mixes.get(a.id)?.last ?? 0));
      case 'arranged':
        return places ? rows.sort((a, b) => places.get(a.id)! - places.get(b.id)!) : rows;
      case 'newest':
        return rows;
    }
  }
}

/** What rows can be ordered by. */
interface Ordering {
  readonly colour: ((r: CatalogueRow) => number) | undefined;
  readonly places: ReadonlyMap<string, number> | undefined;
  readonly mixes: ReadonlyMap<string, MixUse>;
}

/** How far a row is from having a colour, over the tolerance; small spots count less. */
function colourTest([L, a, b]: readonly [number, number, number], tolerance: number): (r: CatalogueRow) => number {
  return ({ colours }) => {
    let best = Infinity;
    for (let k = 0; k < colours.length; k += 4) {
      if (colours[k + 3] < 0.03) continue;
      const d = Math.hypot(0.8 * (colours[k] - L), 1.4 * (colours[k + 1] - a), 1.4 * (colours[k + 2] - b));
      best = Math.min(best, d + 0.01 * (1 - colours[k + 3]));
    }
    return best / tolerance;
  };
}

type Counting = { -readonly [K in keyof Facets]: Facets[K] extends number ? number : Record<string, number> };

const emptyFacets = (): Counting => ({
  kind: {},
  tag: {},
  rights: {},
  state: {},
  look: {},
  character: {},
  collection: {},
  favourite: 0,
  unused: 0,
  away: 0,
});

/** Counts a row in the facets that it passes: a facet counts what all the others leave. */
function count(c: Counting, r: CatalogueRow, failed: Narrowing | undefined, mixes: ReadonlyMap<string, MixUse>): void {
  const add = (name: 'kind' | 'tag' | 'rights' | 'state', value: string) => {
    if (!failed || failed === name) c[name][value] = (c[name][value] ?? 0) + 1;
  };
  add('kind', r.kind);
  add('rights', r.rights);
  add('state', r.state);
  for (const tag of r.tags) add('tag', tag);
  if ((!failed || failed === 'favourite') && r.favourite) c.favourite++;
  if ((!failed || failed === 'used') && !mixes.has(r.id)) c.unused++;
  if (failed === 'away' || (!failed && r.away)) c.away++;
}
