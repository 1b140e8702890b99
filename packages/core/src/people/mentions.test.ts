import fc from 'fast-check';
import { begunMention, mentionsIn } from './mentions';

const PETRA = { id: 'p', name: 'Petra Wild' };
const PET = { id: 'q', name: 'Pet' };
const OLGA = { id: 'o', name: 'Ölga' };
const ALL = [PET, PETRA, OLGA];
const named = (text: string) => mentionsIn(text, ALL).map((m) => [m.person, text.slice(m.from, m.to)]);

test.each([
  ['@Petra Wild, look', [['p', '@Petra Wild']]],
  ['see @petra wild.', [['p', '@petra wild']]],
  [
    '@Pet and @PETRA WILD',
    [
      ['q', '@Pet'],
      ['p', '@PETRA WILD'],
    ],
  ],
  ['(@Pet)', [['q', '@Pet']]],
  ['@ÖLGA', [['o', '@ÖLGA']]],
  ['@@Pet', [['q', '@Pet']]],
])('%s names', (text, who) => expect(named(text)).toEqual(who));

test.each(['Pet', 'me@Pet', '3@Pet', '@Petra', '@Petä', '@Pet7', '@Olga', '@ Pet', '@', ''])(
  '%s names nobody',
  (text) => expect(named(text)).toEqual([]),
);

test('of nobody nobody is named, nor of one without a name', () => {
  expect(mentionsIn('@Petra Wild @', [])).toEqual([]);
  expect(mentionsIn('@ and @', [{ id: 'x', name: '' }])).toEqual([]);
});

test('what is named stands in the text where it is said to stand', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom('@Pet', '@Petra Wild', ' ', 'a', '\n', '@', 'ö')), (parts) => {
      const text = parts.join('');
      let last = 0;
      for (const { person, from, to } of mentionsIn(text, ALL)) {
        expect(from).toBeGreaterThanOrEqual(last);
        expect(text.slice(from, to)).toBe(`@${ALL.find((p) => p.id === person)!.name}`);
        last = to;
      }
    }),
  );
});

describe('a name that is begun', () => {
  const begun = (text: string, caret = text.length) => begunMention(text, caret, ALL)?.fits.map((p) => p.id);

  test('fits those whose name or a word of it begins so', () => {
    expect(begun('so @p')).toEqual(['q', 'p']);
    expect(begun('@wi')).toEqual(['p']);
    expect(begun('@Petra W')).toEqual(['p']);
    expect(begun('@')).toEqual(['o', 'q', 'p']);
    expect(begunMention('so @p there', 5, ALL)).toMatchObject({ from: 3, to: 5 });
  });

  test.each(['', 'p', 'a@p', '@x', '@p\n', '@Pet', '@Pet ', '@Petra Wild'])('not in %j', (text) =>
    expect(begun(text)).toBeUndefined(),
  );

  test('the caret may stand before it', () => expect(begun('@p', 0)).toBeUndefined());
});
