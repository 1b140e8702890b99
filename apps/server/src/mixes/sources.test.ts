import type { MixInfluence } from '@urbild/core';
import { openMemory, putCharacter, putLook, putMix, putReference, type Memory } from '../test/memory';
import { MixVersionEntity } from './mix.entity';
import { MixVersionsService } from './mixVersions.service';
import { SourcesService } from './sources.service';

let memory: Memory;
beforeEach(async () => {
  memory = await openMemory();
  const em = memory.em();
  for (const id of ['a', 'b', 'c']) putReference(em, id, { title: `Picture ${id}` });
  putLook(em, 'ink', [
    { referenceId: 'a', weight: 1 },
    { referenceId: 'b', weight: 0.5 },
    { referenceId: 'c', weight: 0 },
    { referenceId: 'gone', weight: 1 },
  ]);
  putCharacter(em, 'wiebke', {
    name: 'Wiebke',
    description: 'a tall woman',
    items: [
      { referenceId: 'a', slot: 'front' },
      { referenceId: 'b', slot: 'side' },
    ],
  });
  await em.flush();
});
afterEach(() => memory.close());

const influence = (fields: Partial<MixInfluence>): MixInfluence => ({
  id: 'i',
  referenceId: 'a',
  gives: 'look',
  weight: 1,
  from: 0,
  to: 1,
  reading: 'normal',
  on: true,
  ...fields,
});
const sources = () => new SourcesService(memory.em());
const picturesOf = async (fields: Partial<MixInfluence>) =>
  (await sources().of([influence(fields)])).get('i')?.pictures.map((p) => [p.referenceId, p.weight]);

describe('what stands behind an influence', () => {
  test('of a reference: itself', async () => {
    expect(await picturesOf({})).toEqual([['a', 1]]);
  });
  test('of a look: its pictures with their weights, but for those that weigh nothing or are gone', async () => {
    expect(await picturesOf({ of: 'look', referenceId: 'ink' })).toEqual([
      ['a', 1],
      ['b', 0.5],
    ]);
  });
  test('but for those that it leaves out', async () => {
    expect(await picturesOf({ of: 'look', referenceId: 'ink', except: ['a'] })).toEqual([['b', 0.5]]);
    expect(await picturesOf({ of: 'look', referenceId: 'ink', except: ['a', 'b'] })).toBeUndefined();
  });
  test('nothing, where it is gone: such an influence is left out', async () => {
    expect(await picturesOf({ referenceId: 'nowhere' })).toBeUndefined();
    expect(await picturesOf({ of: 'look', referenceId: 'nowhere' })).toBeUndefined();
  });
  test('of a character: its pictures alike, and its name', async () => {
    const found = (await sources().of([influence({ of: 'character', referenceId: 'wiebke' })])).get('i')!;
    expect(found.subject).toBe('Wiebke');
    expect(found.traits).toBeUndefined();
    expect(found.pictures.map((p) => p.weight)).toEqual([1, 1]);
  });
  test('what was read of a character and what somebody set right are one sheet, and what was set right wins', async () => {
    const em = memory.em();
    putReference(em, 'face', {
      vision: {
        faces: [],
        joints: [],
        traits: { glasses: { choice: 'yes', confidence: 0.8 }, 'hair style': { choice: 'short', confidence: 0.9 } },
      } as never,
    });
    putCharacter(em, 'ida', {
      items: [{ referenceId: 'face', slot: 'front' }],
      corrected: { 'hair style': { choice: 'plait', confidence: 1 } },
    });
    await em.flush();
    const { traits } = (await sources().of([influence({ of: 'character', referenceId: 'ida' })])).get('i')!;
    expect(traits).toMatchObject({ glasses: { choice: 'yes' }, 'hair style': { choice: 'plait', confidence: 1 } });
  });
  test('what a person said of a picture is among its facts', async () => {
    const em = memory.em();
    putReference(em, 'h', { corrections: { horizon: 0.25 } });
    await em.flush();
    const found = (await sources().of([influence({ referenceId: 'h' })])).get('i')!;
    expect(found.pictures[0].facts).toMatchObject({ horizon: 0.25 });
  });
});

test('titles are those of references, looks and characters; what is gone has none', async () => {
  const titles = await sources().titles([
    { referenceId: 'a' },
    { of: 'look', referenceId: 'ink' },
    { of: 'character', referenceId: 'wiebke' },
    { referenceId: 'gone' },
  ]);
  expect(Object.fromEntries(titles)).toEqual({ a: 'Picture a', ink: 'ink', wiebke: 'Wiebke' });
});

test('the cast is known by name and description, a creature without one by its species', async () => {
  const em = memory.em();
  putCharacter(em, 'brom', { name: 'Brom', species: 'heron' });
  putCharacter(em, 'away', { name: 'Away', deletedAt: new Date() });
  await em.flush();
  expect(await sources().names()).toEqual([
    { name: 'Brom', description: 'a heron' },
    { name: 'Wiebke', description: 'a tall woman' },
  ]);
});

test('outfits are known by their words and by the clothes that their pictures show', async () => {
  const em = memory.em();
  const traits = {
    hair: { colour: [0.3, 0, 0], confidence: 0.9 },
    upper: { colour: [0.5, 0.1, 0], confidence: 0.6 },
  };
  putReference(em, 'coat', { vision: { faces: [], joints: [], traits } as never });
  putReference(em, 'unread');
  putCharacter(em, 'ute', {
    name: 'Ute',
    outfits: [
      { id: 'a', name: 'winter coat', wears: 'a red coat', pictures: ['coat', 'unread'] },
      { id: 'b', name: 'uniform', wears: '', pictures: ['unread'] },
    ],
  });
  await em.flush();
  const ute = (await sources().names()).find(({ name }) => name === 'Ute')!;
  expect(ute.outfits).toEqual([
    {
      name: 'winter coat',
      wears: 'a red coat',
      traits: { upper: { colour: traits.upper.colour, confidence: expect.any(Number) as number } },
    },
    { name: 'uniform' },
  ]);
});

test('others of the cast are whoever an influence does not show, as far as anything is known of them', async () => {
  const em = memory.em();
  const look = (choice: string) =>
    ({ faces: [], joints: [], traits: { glasses: { choice, confidence: 0.9 } } }) as never;
  for (const [id, choice] of [
    ['ida1', 'yes'],
    ['okke1', 'no'],
    ['gesa1', 'no'],
  ])
    putReference(em, id, { vision: look(choice) });
  putCharacter(em, 'ida', { items: [{ referenceId: 'ida1', slot: 'front' }] });
  putCharacter(em, 'okke', { items: [{ referenceId: 'okke1', slot: 'front' }] });
  putCharacter(em, 'gesa', { items: [{ referenceId: 'gesa1', slot: 'front' }], deletedAt: new Date() });
  await em.flush();
  const people = await sources().people([
    influence({ id: 'by character', of: 'character', referenceId: 'ida' }),
    influence({ id: 'by picture', referenceId: 'ida1' }),
    influence({ id: 'of nobody', referenceId: 'c' }),
  ]);
  const glasses = (id: string) => people.get(id)!.map((sheet) => sheet.glasses!.choice);
  expect(glasses('by character')).toEqual(['no']);
  expect(glasses('by picture')).toEqual(['no']);
  expect(glasses('of nobody').sort()).toEqual(['no', 'yes']);
});

test('a name calls somebody who has pictures, and nobody who was archived', async () => {
  const em = memory.em();
  const items = [{ referenceId: 'a', slot: 'front' as const }];
  putCharacter(em, 'away', { name: 'Gesa', items, deletedAt: new Date() });
  putCharacter(em, 'bare', { name: 'Okke' });
  await em.flush();
  const settings = { aspect: '3:2', seed: 1, balance: 1 } as const;
  const mix = { prompt: 'Wiebke, Gesa and Okke', avoid: '', settings, influences: [] };
  expect((await sources().called(mix)).influences.map((i) => i.referenceId)).toEqual(['wiebke']);
  const shots = [{ prompt: 'a mill', seed: 1, own: {} }];
  expect((await sources().called(mix, shots)).influences).toEqual([]);
});

describe('the versions of a mix', () => {
  const noted = async (change: (mix: ReturnType<typeof putMix>) => void, times = 1) => {
    const em = memory.em();
    const service = new MixVersionsService(em);
    const mix = putMix(em, 'm');
    for (let k = 0; k < times; k++) {
      change(mix);
      await service.note(mix);
      await em.flush();
    }
    return { service, em };
  };
  test('the same state is noted once', async () => {
    const { service } = await noted(() => {}, 3);
    expect((await service.list('m')).map((v) => v.number)).toEqual([1]);
  });
  test('each other state is one more, the newest first, with all that it was', async () => {
    let seed = 1;
    const { service } = await noted((mix) => {
      mix.settings = { ...mix.settings, seed: seed++ };
    }, 3);
    const list = await service.list('m');
    expect(list.map((v) => [v.number, v.settings.seed])).toEqual([
      [3, 3],
      [2, 2],
      [1, 1],
    ]);
    expect(list[0]).toMatchObject({ prompt: 'a mill', avoid: '', influences: [] });
  });
  test('going back and forth is noted each time', async () => {
    const words = ['a mill', 'a boat', 'a mill'];
    const { service } = await noted((mix) => {
      mix.prompt = words.shift()!;
    }, 3);
    expect((await service.list('m')).map((v) => v.prompt)).toEqual(['a mill', 'a boat', 'a mill']);
  });
  test('a hundred are kept', async () => {
    let seed = 1;
    const { em } = await noted((mix) => {
      mix.settings = { ...mix.settings, seed: seed++ };
    }, 104);
    const numbers = (await em.fork().find(MixVersionEntity, { mixId: 'm' })).map((v) => v.number);
    expect([Math.min(...numbers), Math.max(...numbers), numbers.length]).toEqual([5, 104, 100]);
  });
});
