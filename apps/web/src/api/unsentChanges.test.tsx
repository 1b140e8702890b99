import { QueryClient } from '@tanstack/react-query';
import { openDB } from 'idb';
import { answers } from '../test/page';
import { resumeChanges, sendChange } from './unsentChanges';

const PATH = 'POST /api/v1/references/change';
const client = new QueryClient();
const kept = async () => (await openDB('urbild-unsent', 1)).getAll('changes');
/** What a window that was closed meanwhile, or one that is still open, has not sent. */
const left = async (window: string, rating: number) =>
  (await openDB('urbild-unsent', 1)).add('changes', { ids: ['r'], change: { rating }, window });
const ratings = (asked: ReturnType<typeof answers>) => asked.map((a) => (a.body as { rating: number }).rating);

beforeEach(async () => {
  // one window is open besides this one
  Object.assign(navigator.locks, {
    query: () => Promise.resolve({ held: [{ name: 'urbild-window-open' }], pending: [] }),
  });
  answers({ [PATH]: { before: [] } });
  await sendChange({ ids: [], change: {} });
  await (await openDB('urbild-unsent', 1)).clear('changes');
});

test('a change is kept until the studio has answered', async () => {
  let during: unknown[] = [];
  const asked = answers({
    [PATH]: () => {
      void kept().then((all) => (during = all));
      return { before: [{ id: 'r', rating: 1 }] };
    },
  });
  expect(await sendChange({ ids: ['r', 's'], change: { rating: 4 } })).toEqual({ before: [{ id: 'r', rating: 1 }] });
  expect(asked.map((a) => a.body)).toEqual([{ ids: ['r', 's'], rating: 4 }]);
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect(during.length).toBeLessThanOrEqual(1);
  expect(await kept()).toEqual([]);
});

test('while the line is down it stays, once however often it is tried; what is refused does not', async () => {
  const wish = { ids: ['r'], change: { rating: 2 } };
  answers({ [PATH]: 0 });
  for (let k = 0; k < 3; k++) await expect(sendChange(wish)).rejects.toThrow('No: 0');
  expect(await kept()).toMatchObject([{ ids: ['r'], change: { rating: 2 } }]);
  answers({ [PATH]: 400 });
  await expect(sendChange(wish)).rejects.toThrow('No: 400');
  expect(await kept()).toEqual([]);
});

test('the next page sends what was left, in its order, and leaves to open windows what is theirs', async () => {
  await left('closed', 1);
  await left('open', 5);
  await left('closed', 2);
  const asked = answers({ [PATH]: { before: [] } });
  await resumeChanges(client);
  expect(ratings(asked)).toEqual([1, 2]);
  expect(await kept()).toMatchObject([{ window: 'open' }]);
});

test('where the line is still down nothing is forgotten; what is refused does not stop the rest', async () => {
  await left('closed', 1);
  await left('closed', 2);
  answers({ [PATH]: 0 });
  await resumeChanges(client);
  expect(await kept()).toHaveLength(2);
  const asked = answers({ [PATH]: (body: { rating: number }) => (body.rating === 1 ? 404 : { before: [] }) });
  await resumeChanges(client);
  expect(ratings(asked)).toEqual([1, 2]);
  expect(await kept()).toEqual([]);
});
