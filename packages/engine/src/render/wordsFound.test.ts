import { createPicture, isLost, pictureFromRgba, wordsKept } from '@urbild/core';
import { BuiltInEngine } from '../engine';
import { foreignPhotograph, influence, request } from '../testing';
import type { RenderRequest } from '../contract/request';

const engine = new BuiltInEngine();
const SIZE = { width: 288, height: 216 };
const photograph = foreignPhotograph();
const render = (fields: Partial<RenderRequest>, pictures: Record<string, ReturnType<typeof createPicture>> = {}) =>
  engine.render(request({ ...SIZE, ...fields }), (content) => Promise.resolve(pictures[content] ?? photograph));

test('without references everybody and everything is found whole, each where it stands', async () => {
  const { words, notDrawn, understood } = await render({
    prompt: 'a girl with a lantern beside a dog, feeding a hen, dusk',
  });
  expect(words.map(({ text, means }) => [text, means])).toEqual([
    ['girl', 'person: child girl'],
    ['lantern', 'thing: lantern'],
    ['dog', 'creature: dog'],
    ['hen', 'creature: hen'],
    ['dusk', 'time: dusk'],
  ]);
  expect(wordsKept(words)).toBeCloseTo(1, 5);
  for (const { box } of words.slice(0, 4)) {
    expect(box!.right).toBeGreaterThan(box!.left);
    expect(Math.min(box!.left, box!.top)).toBeGreaterThanOrEqual(0);
    expect(Math.max(box!.right, box!.bottom)).toBeLessThanOrEqual(1);
  }
  expect(notDrawn.map(({ text }) => text)).toEqual(['feeding']);
  expect(understood.map(({ text }) => text)).not.toContain('feeding');
});

test('what another picture was laid over is lost, and nothing else', async () => {
  const prompt = 'a fox and a haystack in the meadow';
  const { words } = await render({ prompt });
  const { box } = words.find(({ text }) => text === 'haystack')!;
  const mask = createPicture(SIZE.width, SIZE.height);
  for (let y = 0; y < SIZE.height; y++)
    for (let x = 0; x < SIZE.width; x++) {
      const [u, v] = [x / SIZE.width, y / SIZE.height];
      if (u > box!.left && u < box!.right && v > box!.top && v < box!.bottom) mask.planes[0][y * SIZE.width + x] = 1;
    }
  const over = influence({
    gives: 'everything',
    weight: 2,
    region: { content: 'mask', invert: false, feather: 0 },
  });
  const after = await render({ prompt, influences: [over] }, { mask });
  expect(after.words.filter(isLost).map(({ text }) => text)).toEqual(['haystack']);
});

test('a place is not looked for, and the weather and the time are found in the whole of the picture', async () => {
  const { words } = await render({ prompt: 'the open sea in a storm at night' });
  expect(words.map(({ means, box }) => [means, box])).toEqual([
    ['weather: storm', undefined],
    ['time: night', undefined],
  ]);
  expect(wordsKept((await render({ prompt: 'the open sea at night' })).words)).toBeUndefined();
});

test('what is so small and so like its ground that nobody finds it is told as not drawn, with all that is said of it', async () => {
  const { words, notDrawn, understood } = await render({
    prompt: 'a small boat far away on the open sea, storm',
    width: 512,
    height: 384,
  });
  expect(words.map(({ text }) => text)).toEqual(['storm']);
  expect(understood.map(({ text }) => text)).not.toContain('far away');
  expect(notDrawn).toHaveLength(1);
  expect(notDrawn[0]).toMatchObject({ text: 'boat', why: expect.stringMatching(/nobody finds it/) as string });
  const gulls = await render({ prompt: 'gulls over the pier at dawn', width: 512, height: 384 });
  expect(gulls.words.map(({ text }) => text)).toEqual(['gulls', 'pier', 'dawn']);
});

test('a place that a reference lays out anew is lost, with the share of it that the words kept', async () => {
  const words = async (prompt: string, weight: number) =>
    (await render({ prompt, influences: [influence({ gives: 'layout', weight })] })).words.map(({ text, found }) => [
      text,
      found > 0.9 ? 1 : Math.round(found * 100) / 100,
    ]);
  const mill = 'a mill with two sheep';
  expect(await words(mill, 0)).toEqual([
    ['mill', 1],
    ['sheep', 1],
  ]);
  expect(await words(mill, 1)).toEqual([
    ['mill', 0],
    ['sheep', 1],
  ]);
  // a village street has no one landmark: its houses are gone
  expect(await words('a dog in the village street', 1)).toEqual([
    ['dog', 1],
    ['village street', 0],
  ]);
});

test.each([
  ['a fox on the river bridge', 'river bridge'],
  ['a girl in front of the lighthouse', 'lighthouse'],
  ['two herons in the stilt village', 'stilt village'],
])('in "%s" another picture over everything takes the place with it', async (prompt, place) => {
  const { words } = await render({ prompt, influences: [influence({ gives: 'everything', weight: 2 })] });
  const found = words.find(({ text }) => text === place)!;
  expect(isLost(found)).toBe(true);
});

test('a camera that looks at a part says nothing of where things stand in the whole', async () => {
  const camera = { from: { x: 0.5, y: 0.5, size: 1 }, to: { x: 0.5, y: 0.5, size: 0.6 } };
  const { words } = await render({ prompt: 'a fox in the meadow', frame: { at: 1, camera } as never });
  expect(words.every(({ box }) => box === undefined)).toBe(true);
});

describe('the name of somebody', () => {
  const notDrawn = async (fields: Partial<RenderRequest>) =>
    (await render({ prompt: 'half figure of Wiebke on the pier', ...fields })).notDrawn.map(({ text, why }) => [
      text,
      why,
    ]);
  const traits = { beard: { choice: 'no', confidence: 1 } };
  const who = influence({ gives: 'character', weight: 0.8, subject: 'Wiebke', traits });

  test('of whom nothing is known is told as not drawn', async () => {
    const [[text, why], ...more] = await notDrawn({ names: [{ name: 'Wiebke', description: '' }] });
    expect(text).toBe('Wiebke');
    expect(why).toMatch(/Nothing tells what Wiebke looks like here/);
    expect(more).toEqual([]);
    const off = { ...who, on: false };
    expect(await notDrawn({ names: [{ name: 'Wiebke', description: '' }], influences: [off] })).toHaveLength(1);
  });

  test('is drawn by a description, or by a sheet that acts', async () => {
    expect(await notDrawn({ names: [{ name: 'Wiebke', description: 'a tall woman' }] })).toEqual([]);
    expect(await notDrawn({ names: [{ name: 'Wiebke', description: '' }], influences: [who] })).toEqual([]);
  });
});

describe('what begins with another picture', () => {
  const prompt = 'a fox beside a haystack in the meadow, snow, Ilse waves';
  const start = (change: number) => ({ content: 'start', change });

  test('does not show what the words say as long as that picture stays, and says so', async () => {
    const { words, notDrawn, understood } = await render({ prompt, start: start(0.1) });
    expect(words.filter(isLost)).toEqual([]);
    const told = notDrawn.filter(({ why }) => /starts from stays here/.test(why)).map(({ text }) => text);
    expect(told).toEqual(expect.arrayContaining(['fox', 'haystack', 'meadow', 'snow', 'Ilse']));
    // what is said of somebody who is not there is not marked as understood either
    expect(understood.map(({ text }) => text)).not.toContain('waves');
  });

  test('shows all of them where everything may change', async () => {
    const { notDrawn, words } = await render({ prompt, start: start(1) });
    expect(notDrawn.filter(({ why }) => /starts from/.test(why))).toEqual([]);
    expect(words.filter(isLost)).toEqual([]);
  });

  test('shows them from its beginning on where it begins with a picture of the same words', async () => {
    const { rgba, width, height } = await render({ prompt });
    const own = pictureFromRgba(rgba, width, height);
    const { notDrawn, words } = await render({ prompt, start: start(0.1) }, { start: own });
    expect(notDrawn.filter(({ why }) => /starts from/.test(why))).toEqual([]);
    expect(wordsKept(words)).toBeGreaterThan(0.8);
  });

  test('a mask that leaves no room for somebody is named as the reason', async () => {
    const mask = { content: 'nothing', invert: false, feather: 0 };
    const black = createPicture(SIZE.width, SIZE.height);
    const { notDrawn } = await render({ prompt, start: start(0.9), mask }, { nothing: black });
    expect(notDrawn.find(({ text }) => text === 'fox')!.why).toMatch(/a larger mask/);
  });
});
