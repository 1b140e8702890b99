import { nameOf, type Entity } from './brief';
import { understand } from './understand';

const called = (e: Entity): string =>
  nameOf(e) ?? (e.kind === 'thing' ? e.thing : e.kind === 'creature' ? e.species : (e.sex ?? 'somebody'));
/** Who stands how to whom. */
const ties = (prompt: string) => {
  const { entities } = understand(prompt);
  return entities.flatMap((e) =>
    e.relation ? [`${called(entities[e.relation.target])} ${e.relation.how} ${called(e)}`] : [],
  );
};

test.each([
  ['Ilse poles the punt, Brom beside her, reeds in front', ['Brom beside Ilse']],
  ['a girl in the meadow, a fox behind her', ['fox behind woman']],
  ['an old man and a dog on the pier, a cat beside him', ['cat beside man']],
  ['Marek, Tove and a dog, a cat beside her at dusk', ['cat beside Tove']],
  ['a crate in the harbour, a gull over it', ['gull over crate']],
  ['a boy behind a boat and a crate, a fox before them', ['man behind boat', 'fox before crate']],
] as const)('%s', (prompt, expected) => {
  for (const tie of expected) expect(ties(prompt)).toContain(tie);
});

test('a word that points to somebody is drawn where they stand so', () => {
  const { claims, unused } = understand('Ilse in the marsh, Brom beside her');
  expect(claims).toContainEqual(
    expect.objectContaining({ text: 'beside', axis: 'relation', value: 'beside', entity: 0 }),
  );
  expect(unused).toEqual([]);
});

test.each([
  'Ilse in her green coat',
  'Tove and a cat in her arms',
  'a woman with her dog',
  'a woman beside her zorblax',
])('%s: "her" says whose it is, and nobody stands beside herself', (prompt) => {
  const { entities } = understand(prompt);
  for (const [k, e] of entities.entries()) expect(e.relation?.target).not.toBe(k);
});

test('where nobody can be meant the question stays', () => {
  expect(
    understand('a man and a fox behind her')
      .unused.map((u) => u.why)
      .join(),
  ).toMatch(/say the name again/);
  expect(ties('a man on the pier, a fox behind her')).toEqual([]);
});
