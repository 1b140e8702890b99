/** What was read of pictures, people and prompts when frozen.json was written; see made.test.ts. */
import { PEOPLE_FAMILIES } from '../foreign/families';
import { kept, sameCanvas } from './kept';
import {
  briefOf,
  COMPARED,
  comparedBy,
  heldIn,
  measuredOf,
  peopleCompared,
  personOf,
  READ_PICTURES,
  readingsOf,
} from './readings';
import { tableDigests } from './parts';
import { VOCABULARY_PROMPTS } from './vocabulary';

(sameCanvas ? describe : describe.skip)('readings', () => {
  test('the kept ones are those that are made', () => {
    expect(Object.keys(kept.read)).toEqual([...READ_PICTURES.keys()]);
    expect(Object.keys(kept.people)).toEqual(PEOPLE_FAMILIES.map((f) => f.name));
    expect(Object.keys(kept.compared)).toEqual(COMPARED.map(([name]) => name));
    expect(Object.keys(kept.briefs).sort()).toEqual([...VOCABULARY_PROMPTS].sort());
  });

  test.each([...READ_PICTURES.keys()])('of %s', (name) => {
    expect(readingsOf(READ_PICTURES.get(name)!)).toEqual(kept.read[name]);
  });

  test.each([...READ_PICTURES.keys()])('parts of the engine, measuring %s', (name) => {
    expect(measuredOf(name)).toEqual(kept.measured[name]);
  });

  test('of tables that were measured once', () => expect(tableDigests()).toEqual(kept.tables));

  test('of how well figures are held in other media', () => expect(heldIn()).toEqual(kept.held));

  test('of sheets of people beside each other', () => expect(peopleCompared()).toEqual(kept.sheets));

  test.each(PEOPLE_FAMILIES)('of somebody in $name', (family) => {
    expect(personOf(family)).toEqual(kept.people[family.name]);
  });

  test.each(COMPARED)('of %s beside %s and %s', (...names) => {
    expect(comparedBy(names)).toEqual(kept.compared[names[0]]);
  });

  test('of every prompt', () => {
    expect(Object.fromEntries(VOCABULARY_PROMPTS.map((prompt) => [prompt, briefOf(prompt)]))).toEqual(kept.briefs);
  });
});
