import fc from 'fast-check';
import { Random, quantise } from '@urbild/core';
import { Catalogue, type CatalogueQuery, type CatalogueRow, type RowVectors } from './catalogue';

const KINDS = ['style', 'character', 'face', 'image'] as const;
const RIGHTS = ['own work', 'licensed', 'not cleared'] as const;
const STATES = ['fine', 'warning', 'serious'] as const;

const rowOf = (k: number, r = new Random(k + 1)): CatalogueRow => ({
  id: `r${k}`,
  kind: r.pick(KINDS),
  title: `Picture ${k}`,
  tags: ['sea', 'dusk', 'mill'].filter(() => r.chance(0.4)),
  rating: Math.floor(r.next() * 6),
  favourite: r.chance(0.2),
  rights: r.pick(RIGHTS),
  state: r.pick(STATES),
  createdAt: 1000 + k,
  aspect: r.range(0.6, 1.8),
  away: r.chance(0.1),
  colours: [r.next(), r.range(-0.1, 0.1), r.range(-0.1, 0.1), 0.5],
  hash: '0'.repeat(16),
});
const vectorsOf = (k: number): RowVectors => {
  const r = new Random(k + 500);
  const vector = () => quantise(Array.from({ length: 24 }, () => r.normal()));
  return { likeness: vector(), mirrored: vector(), style: vector() };
};
const filled = (n: number) => {
  const c = new Catalogue();
  for (let k = 0; k < n; k++) c.put(rowOf(k), vectorsOf(k));
  return c;
};
const rows = Array.from({ length: 80 }, (_, k) => rowOf(k));
const catalogue = filled(80);

test('any filters together give just the rows that pass each of them', () => {
  const query = fc.record(
    {
      kind: fc.constantFrom(...KINDS),
      tag: fc.constantFrom('sea', 'dusk', 'mill'),
      rights: fc.constantFrom(...RIGHTS),
      state: fc.constantFrom(...STATES),
      rating: fc.integer({ min: 1, max: 5 }),
      favourite: fc.constant(true),
      away: fc.boolean(),
    },
    { requiredKeys: [] },
  );
  fc.assert(
    fc.property(query, (q: CatalogueQuery) => {
      const expected = rows.filter(
        (r) =>
          r.away === (q.away ?? false) &&
          (q.kind === undefined || r.kind === q.kind) &&
          (q.tag === undefined || r.tags.includes(q.tag)) &&
          (q.rights === undefined || r.rights === q.rights) &&
          (q.state === undefined || r.state === q.state) &&
          (q.rating === undefined || r.rating >= q.rating) &&
          (q.favourite === undefined || r.favourite === q.favourite),
      );
      const { ids, aspects } = catalogue.ask(q);
      expect(ids).toEqual(expected.map((r) => r.id).reverse());
      expect(aspects).toHaveLength(ids.length);
    }),
  );
});

test('a facet counts what choosing it would leave', () => {
  const q: CatalogueQuery = { tag: 'sea', kind: 'style' };
  const { facets } = catalogue.ask(q);
  for (const kind of KINDS) expect(facets.kind[kind] ?? 0).toBe(catalogue.ask({ ...q, kind }).ids.length);
  for (const state of STATES) expect(facets.state[state] ?? 0).toBe(catalogue.ask({ ...q, state }).ids.length);
  for (const tag of ['sea', 'dusk', 'mill']) {
    const both = catalogue.ask({ kind: 'style', tag }).ids.length;
    expect(facets.tag[tag] ?? 0).toBe(
      tag === 'sea'
        ? both
        : catalogue.ask(q).ids.filter((id) => rows[Number(id.slice(1))].tags.includes(tag)).length +
            rows.filter((r) => !r.away && r.kind === 'style' && !r.tags.includes('sea') && r.tags.includes(tag)).length,
    );
  }
  expect(facets.away).toBe(catalogue.ask({ ...q, away: true }).ids.length);
  const favourites = rows.filter((r) => r.favourite && !r.away);
  expect(favourites.length).toBeGreaterThan(0);
  for (const asked of [{}, { favourite: true }]) expect(catalogue.ask(asked).facets.favourite).toBe(favourites.length);
});

test('sorting', () => {
  const ids = (sort: CatalogueQuery['sort']) => catalogue.ask({ sort }).ids;
  expect(ids('oldest')).toEqual([...ids('newest')].reverse());
  const rating = (id: string) => rows[Number(id.slice(1))].rating;
  const best = ids('rating').map(rating);
  expect(best).toEqual([...best].sort((a, b) => b - a));
  expect(ids('title')[1]).toBe(
    `r${Math.min(
      ...rows
        .filter((r) => !r.away)
        .map((r) => Number(r.id.slice(1)))
        .filter((k) => `r${k}` !== ids('title')[0]),
    )}`,
  );
});

test('a colour finds what has it, nearest first, and more with a wider tolerance', () => {
  const lab = [0.5, 0, 0] as const;
  const narrow = catalogue.ask({ colour: { lab, tolerance: 0.1 } }).ids;
  const wide = catalogue.ask({ colour: { lab, tolerance: 0.3 } }).ids;
  expect(narrow.length).toBeGreaterThan(0);
  expect(wide.length).toBeGreaterThan(narrow.length);
  expect(wide.slice(0, narrow.length)).toEqual(narrow);
});

test('like this: the picture itself first, then by cosine; a mirrored one counts as much', () => {
  const c = filled(30);
  const own = vectorsOf(3);
  c.put({ ...rowOf(200), away: false }, { likeness: own.mirrored, mirrored: own.likeness, style: vectorsOf(9).style });
  expect(c.alike('r3', 'content')[0]).toMatchObject({ id: 'r200' });
  expect(c.alike('r3', 'content')[0].score).toBeCloseTo(1, 2);
  expect(c.alike('r9', 'style')[0].id).toBe('r200');
  c.put({ ...rowOf(3), away: false });
  expect(c.ask({ like: { id: 'r3', by: 'content' } }).ids.slice(0, 2)).toEqual(['r3', 'r200']);
  expect(c.alike('nobody', 'content')).toEqual([]);
  const scores = c.alike('r3', 'content').map((a) => a.score);
  expect(scores).toEqual([...scores].sort((a, b) => b - a));
});

test('looks, cast, collections and mixes: where a picture is used', () => {
  const c = filled(6);
  for (let k = 0; k < 6; k++) c.put({ ...rowOf(k), away: false });
  c.useIn({
    looks: new Map([['chalk', new Set(['r1', 'r2'])]]),
    cast: new Map([['ilse', new Set(['r3'])]]),
    mixes: new Map([
      [
        'r1',
        [
          { project: 'book', count: 1, last: 10 },
          { project: 'cards', count: 1, last: 5 },
        ],
      ],
      ['r4', [{ project: 'cards', count: 1, last: 20 }]],
    ]),
    collections: new Map([
      [
        'reeds',
        new Map([
          ['r4', 0],
          ['r1', 1],
          ['gone', 2],
          ['r5', 3],
        ]),
      ],
    ]),
  });
  expect(c.ask({ look: 'chalk' }).ids).toEqual(['r2', 'r1']);
  expect(c.ask({ character: 'ilse' }).ids).toEqual(['r3']);
  expect(c.ask({ look: 'nowhere' }).ids).toEqual([]);
  expect(c.ask({ used: 'used' }).ids).toEqual(['r4', 'r1']);
  expect(c.ask({}).facets).toMatchObject({ unused: 4, look: { chalk: 2 }, character: { ilse: 1 } });
  expect(c.ask({ sort: 'used' }).ids.slice(0, 2)).toEqual(['r1', 'r4']);
  expect(c.ask({ sort: 'recent' }).ids.slice(0, 2)).toEqual(['r4', 'r1']);
  // what is used in projects that somebody may not know of is not used, for them, and the projects are not there
  expect(c.ask({ used: 'used', hidden: ['cards'] }).ids).toEqual(['r1']);
  expect(c.ask({ hidden: ['book', 'cards'] }).facets.unused).toBe(6);
  expect(c.ask({ hidden: ['reeds'] }).facets.collection).toEqual({});
  // a collection has an order of its own, and another one where that is asked for
  expect(c.ask({ collection: 'reeds' }).ids).toEqual(['r4', 'r1', 'r5']);
  expect(c.ask({ collection: 'reeds', sort: 'newest' }).ids).toEqual(['r5', 'r4', 'r1']);
  expect(c.ask({ collection: 'nowhere' }).ids).toEqual([]);
  expect(c.ask({ sort: 'arranged' }).ids).toEqual(c.ask({}).ids);
  c.put({ ...rowOf(5), away: true });
  expect(c.ask({}).facets.collection).toEqual({ reeds: 2 });
  c.drop('r1');
  expect(c.size).toBe(5);
});
