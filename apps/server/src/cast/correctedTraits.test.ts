import { EntityManager } from '@mikro-orm/core';
import { CHOICE_TRAITS, COLOUR_TRAITS, MEAN_FACE, NUMBER_TRAITS, rowOf, shapeOf } from '@urbild/core';
import { READER } from '../library/lookAt.service';
import { ReferenceEntity } from '../library/reference.entity';
import { bringIn, openStudio, type TestStudio } from '../test/studio';
import type { TakeDto } from '../takes/take.dto';
import type { CharacterDto, CharacterReadingDto } from './character.dto';

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

test('the form of a face is told from its pictures as contours, and what stands for it in numbers is not called sure', async () => {
  const shape = (stretch: number) => shapeOf(rowOf(MEAN_FACE).map((v, k) => (k % 2 ? stretch * v : v)));
  const traits = { 'face shape': { shape: shape(1.1), confidence: 0.45 }, jaw: { number: 1.2, confidence: 0.5 } };
  const em = studio.app.get(EntityManager).fork();
  const vision = { model: READER, faces: [], joints: [], traits };
  const { id: front } = await bringIn(studio, 44, { kind: 'character' });
  await studio.jobs.idle();
  await em.nativeUpdate(ReferenceEntity, { id: front }, { vision });
  const made = await studio.ask.post('/api/v1/cast').send({ name: 'Gesa', items: [{ referenceId: front }] });
  const { id } = made.body as CharacterDto;
  const { body } = await studio.ask.get(`/api/v1/cast/${id}/reading`).expect(200);
  const reading = body as CharacterReadingDto;
  expect(reading.face).toEqual(rowOf(shape(1.1)).map((v) => expect.closeTo(v, 2) as number));
  expect(reading.traits).toContainEqual({ name: 'jaw', number: 1.2 });
});
