import { peopleOf, type KnownName } from './brief';
import { understand } from './understand';

const RUNA: KnownName = {
  name: 'Runa',
  description: 'a woman with short hair in a blue dress and a satchel',
  outfits: [
    { name: 'winter coat', wears: 'a long green coat, a knit cap and boots' },
    { name: 'winter', wears: 'a red jumper' },
    { name: 'Sunday dress', wears: 'white', traits: { lower: { colour: [0.5, 0, 0], confidence: 0.7 } } },
    { name: 'armour' },
  ],
};
const BO: KnownName = { name: 'Bo', description: 'a boy', outfits: [{ name: 'winter coat', wears: 'a yellow coat' }] };
const ILSE: KnownName = { name: 'Ilse', outfits: [{ name: 'market day', wears: 'a red skirt and a white shirt' }] };

const read = (prompt: string, avoid = '') => understand(prompt, avoid, [RUNA, BO, ILSE]);
const worn = (prompt: string) =>
  peopleOf(read(prompt)).map(({ name, cast, garments }) => [
    cast ?? name,
    ...garments.map((g) => `${g.colour?.name ?? 'any'} ${g.kind}`),
  ]);

test.each([
  ['Runa by the pier', [['Runa', 'blue dress', 'any satchel']]],
  ['Runa in her winter coat by the pier', [['Runa', 'green coat', 'any knit cap', 'any boots', 'any satchel']]],
  ['runa wearing her WINTER COAT', [['Runa', 'green coat', 'any knit cap', 'any boots', 'any satchel']]],
  ['In her winter coat, Runa waves', [['Runa', 'green coat', 'any knit cap', 'any boots', 'any satchel']]],
  [
    'Runa and Bo in their winter coats',
    [
      ['Runa', 'green coat', 'any knit cap', 'any boots', 'any satchel'],
      ['Bo', 'yellow coat'],
    ],
  ],
  [
    'Runa reads, Bo in a winter coat stands behind her',
    [
      ['Runa', 'blue dress', 'any satchel'],
      ['Bo', 'yellow coat'],
    ],
  ],
  [
    'Runa in her winter coat with a red scarf',
    [['Runa', 'green coat', 'any knit cap', 'any boots', 'any satchel', 'red scarf']],
  ],
  ['Ilse on the way to market day', [['Ilse', 'red skirt', 'white shirt']]],
] as const)('%s: whose outfit is called wears it instead of what they usually do', (prompt, expected) => {
  expect(worn(prompt)).toEqual(expected);
});

test('the colour of an outfit of one colour goes before that of the description', () => {
  const [runa] = peopleOf(read('Runa in her Sunday dress'));
  expect(runa.clothes?.name).toBe('white');
  expect(runa.outfit).toMatchObject({ name: 'Sunday dress', traits: { lower: { colour: [0.5, 0, 0] } } });
});

test('somebody else wears what the words say: outfits belong to those who have them', () => {
  expect(worn('a woman in a winter coat')[0][1]).toBe('any coat');
  // the season that the name of the outfit holds is not meant
  expect(read('Runa in her winter coat').season).toBe('summer');
  expect(read('Bo in winter').season).toBe('winter');
});

test('the name of an outfit is understood, and claims that it is worn', () => {
  const brief = read('Runa in her armour');
  expect(brief.understood).toContainEqual({ start: 12, end: 18, text: 'armour', means: 'outfit: armour' });
  expect(brief.claims).toContainEqual({
    start: 12,
    end: 18,
    text: 'armour',
    axis: 'outfit',
    value: 'armour',
    entity: 0,
  });
  expect(brief.unheard).toEqual([]);
});

test('an outfit that is refused is not put on', () => {
  expect(peopleOf(read('Runa without her winter coat'))[0].outfit).toBeUndefined();
  expect(worn('Runa without her winter coat')).toEqual([['Runa', 'blue dress', 'any satchel']]);
});
