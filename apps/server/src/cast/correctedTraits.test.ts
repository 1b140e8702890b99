import { CHOICE_TRAITS, COLOUR_TRAITS, NUMBER_TRAITS } from '@urbild/core';
import { bringIn, openStudio, type TestStudio } from '../test/studio';
import type { TakeDto } from '../takes/take.dto';
import type { CharacterDto } from './character.dto';

let studio: TestStudio;
let referenceId: string;
beforeAll(async () => {
  studio = await openStudio();
  referenceId = (await bringIn(studio, 1, { kind: 'character' })).id;
});
afterAll(() => studio.close());

let made = 0;
const character = (corrected: object[]) =>
  studio.ask
    .post('/api/v1/cast')
    .send({ name: `Person ${++made}`, items: [{ referenceId, slot: 'front' }], corrected });

/** Renders a draft with a character at full weight. */
async function renders(corrected: object[]): Promise<TakeDto> {
  const { id } = (await character(corrected).expect(201)).body as CharacterDto;
  const influences = [
    {
      id: 'c',
      of: 'character',
      referenceId: id,
      gives: 'character',
      weight: 1,
      from: 0,
      to: 1,
      reading: 'normal',
      on: true,
    },
  ];
  const mix = (
    await studio.ask
      .post('/api/v1/mixes')
      .send({ name: 'M', prompt: `portrait of Person ${made}`, influences })
      .expect(201)
  ).body as { id: string };
  const take = (await studio.ask.post('/api/v1/takes').send({ mixId: mix.id, quality: 'draft' }).expect(201))
    .body as TakeDto;
  await studio.jobs.idle();
  return (await studio.ask.get(`/api/v1/takes/${take.id}`).expect(200)).body as TakeDto;
}

const VALUES = { colour: '#b5653a', number: 1.4, choice: 'long' };

describe('a trait is corrected by what its name says: a colour, a number or a choice', () => {
  test.each([
    ...COLOUR_TRAITS.map((name) => [name, 'number'] as const),
    ...COLOUR_TRAITS.map((name) => [name, 'choice'] as const),
    ...NUMBER_TRAITS.map((name) => [name, 'colour'] as const),
    ...CHOICE_TRAITS.map((name) => [name, 'number'] as const),
  ])('%s is no %s', async (name, kind) => {
    await character([{ name, [kind]: VALUES[kind] }]).expect(400);
    await character([{ name }]).expect(400);
  });

  test('one that says nothing, or says it twice, is refused with a sentence', async () => {
    const { body } = await character([{ name: 'hair', colour: '#b5653a', number: 1 }]).expect(400);
    expect((body as { detail: string }).detail).toMatch(/hair: give its colour/);
  });
});

test('every correction that is taken is rendered, whatever the choice says', async () => {
  const all = [
    ...COLOUR_TRAITS.map((name) => ({ name, colour: '#b5653a' })),
    ...NUMBER_TRAITS.map((name) => ({ name, number: 4 })),
    ...CHOICE_TRAITS.map((name) => ({ name, choice: 'nothing that anybody knows' })),
  ];
  for (const corrected of [all, ...all.map((one) => [one])]) {
    const take = await renders(corrected);
    expect([corrected.length, take.status, take.error]).toEqual([corrected.length, 'done', undefined]);
  }
});
