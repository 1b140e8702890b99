import fc from 'fast-check';
import { MEDIA, PLACES, SEASONS, TIMES, WEATHERS } from './brief';
import { MAX_PROMPT_LENGTH, plainForms, understand } from './understand';
import { GRAMMAR, VOCABULARY } from './vocabulary';

test('reads who, where, when and doing what', () => {
  const brief = understand('Ilse poles the punt through the salt marsh at dusk, Brom on the bow');
  expect(brief).toMatchObject({
    place: 'marsh',
    time: 'dusk',
    action: 'pole',
    subjects: ['Ilse', 'Brom'],
    weather: 'clear',
  });
  expect(brief.unheard.map((s) => s.text)).toEqual(['bow']);
});

test('time, weather and season are separate axes', () => {
  expect(understand('a snowy winter night with fog')).toMatchObject({
    time: 'night',
    season: 'winter',
    weather: 'snow',
  });
  expect(understand('storm at dawn in autumn')).toMatchObject({ time: 'dawn', season: 'autumn', weather: 'storm' });
  expect(understand('snow')).toMatchObject({ season: 'winter', weather: 'snow' });
});

test('longer phrases win over shorter ones', () => {
  expect(understand('stilt village').place).toBe('stilt village');
  expect(understand('old man in the harbour').subjects).toEqual(['Marek']);
  expect(understand('linocut of a harbour')).toMatchObject({ medium: 'linocut', place: 'harbour' });
});

test('plurals and verb forms are found', () => {
  expect(plainForms('lighthouses')).toContain('lighthouse');
  expect(plainForms('waving')).toContain('wave');
  expect(plainForms('running')).toContain('run');
  expect(understand('herons standing').subjects).toEqual(['Brom']);
  expect(understand('Ilse waved').action).toBe('wave');
});

test('what shall not appear does not appear', () => {
  expect(understand('Ilse in the harbour without a heron').subjects).toEqual(['Ilse']);
  expect(understand('Ilse and Brom in the harbour', 'heron').subjects).toEqual(['Ilse']);
  expect(understand('a marsh at dawn, no gulls').things).toEqual([]);
  expect(understand('gulls over a marsh').things).toEqual(['gulls']);
});

test('unknown words are reported with their place, never dropped', () => {
  const text = 'a zeppelin over the marsh';
  const { unheard } = understand(text);
  expect(unheard).toEqual([{ start: 2, end: 10, text: 'zeppelin' }]);
  expect(text.slice(unheard[0].start, unheard[0].end)).toBe('zeppelin');
});

test('every word of the vocabulary is understood as what it stands for', () => {
  for (const [axis, lines] of Object.entries(VOCABULARY))
    for (const [value, words] of Object.entries(lines))
      for (const word of words) {
        const means = understand(word)
          .understood.map((s) => s.means)
          .join(', ');
        expect(`${word} -> ${means}`).toContain(`${axis}: ${value}`);
      }
});

test('values of the vocabulary are ones that the painter knows', () => {
  const known: Record<string, readonly string[]> = {
    time: TIMES,
    weather: WEATHERS,
    season: SEASONS,
    place: PLACES,
    medium: MEDIA,
  };
  for (const [axis, values] of Object.entries(known))
    expect(Object.keys(VOCABULARY[axis as keyof typeof VOCABULARY]).sort()).toEqual([...values].sort());
});

test('any text is read without an error, and every word is grammar, understood or reported', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 200 }), (text) => {
      const { understood, unheard } = understand(text);
      const covered = [...understood, ...unheard];
      for (const s of covered) expect(text.slice(s.start, s.end)).toBe(s.text);
      for (const match of text.matchAll(/[\p{L}\p{N}]+/gu)) {
        const inside = covered.some((s) => match.index >= s.start && match.index < s.end);
        expect(
          inside ||
            GRAMMAR.has(match[0].toLowerCase()) ||
            ['not', 'no', 'never', 'without'].includes(match[0].toLowerCase()),
        ).toBe(true);
      }
    }),
  );
  expect(understand('marsh '.repeat(1000)).text.length).toBe(MAX_PROMPT_LENGTH);
});
