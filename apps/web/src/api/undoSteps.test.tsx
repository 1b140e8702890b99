import { QueryClient } from '@tanstack/react-query';
import { documentOf } from '../shared/save/documents';
import type { Port } from '../shared/save/saveQueue';
import { api } from './client';
import { keys } from './keys';
import { remember, stepBack, type UndoStep } from './undo';
import { startUndo } from './undoSteps';

const client = new QueryClient();
const answered: { url: string; init: RequestInit | undefined }[] = [];
let answer: { status: number; body?: unknown } = { status: 204 };

beforeEach(() => {
  startUndo(client);
  answered.length = 0;
  answer = { status: 204 };
  jest.spyOn(globalThis, 'fetch').mockImplementation((url, init) => {
    answered.push({ url: url as string, init });
    return Promise.resolve(new Response(answer.body ? JSON.stringify(answer.body) : null, { status: answer.status }));
  });
});
afterEach(() => jest.restoreAllMocks());

const calls = (fields: object = {}): UndoStep => ({
  kind: 'calls',
  now: { method: 'POST', path: '/api/v1/looks/l/restore', ...fields },
  then: { method: 'DELETE', path: '/api/v1/looks/l' },
});
const asked = () => answered.map(({ url, init }) => [init?.method, url, init?.body]);

test('a request is undone by its opposite, and done again by itself', async () => {
  remember(calls());
  expect(await stepBack()).toBe(true);
  expect(await stepBack(true)).toBe(true);
  expect(asked()).toEqual([
    ['POST', '/api/v1/looks/l/restore', undefined],
    ['DELETE', '/api/v1/looks/l', undefined],
  ]);
  expect(await stepBack(true)).toBe(false);
});

test('what stands on the version of a shot is sent with the version that it has now', async () => {
  jest.spyOn(api, 'GET').mockResolvedValue({
    data: { id: 'e', shots: [{ id: 's', version: 7 }] },
    response: { ok: true, status: 200 },
  } as never);
  remember(
    calls({
      method: 'PATCH',
      path: '/api/v1/shots/s',
      body: { position: 2 },
      versionOf: { seriesId: 'e', shotId: 's' },
    }),
  );
  await stepBack();
  expect(asked()).toEqual([['PATCH', '/api/v1/shots/s', JSON.stringify({ position: 2, version: 7 })]]);
});

test('a series that comes back is the one that is shown', async () => {
  answer = { status: 200, body: { id: 'e', name: 'Harbour book', shots: [] } };
  remember(calls());
  await stepBack();
  expect(client.getQueryData(keys.oneSeries('e'))).toMatchObject({ name: 'Harbour book' });
});

test('a refusal is an error in the words of the studio', async () => {
  answer = { status: 409, body: { detail: 'Somebody else was faster.' } };
  remember(calls());
  await expect(stepBack()).rejects.toThrow('Somebody else was faster.');
});

test('many references go back to what they said, and what shows them reads them again', async () => {
  jest.spyOn(api, 'POST').mockResolvedValue({
    data: { before: [{ id: 'r', rating: 5 }] },
    response: { ok: true, status: 200 },
  } as never);
  const read = jest.spyOn(client, 'invalidateQueries').mockResolvedValue(undefined);
  remember({ kind: 'many', before: [{ id: 'r', rating: 1 }] });
  await stepBack();
  expect(api.POST).toHaveBeenCalledWith('/api/v1/references/undo', { body: { before: [{ id: 'r', rating: 1 }] } });
  expect(read.mock.calls.map(([q]) => q?.queryKey)).toEqual([keys.reference('r'), ['search']]);
  await stepBack(true);
  expect(api.POST).toHaveBeenLastCalledWith('/api/v1/references/undo', { body: { before: [{ id: 'r', rating: 5 }] } });
});

interface Sheet {
  readonly name: string;
  readonly notes: string;
}

test('a document takes back only what the step did; what others changed meanwhile stays', async () => {
  const sent: Partial<Sheet>[] = [];
  const port: Port<Sheet> = {
    send: (change, basedOn) => {
      sent.push(change);
      return Promise.resolve({ state: { ...queue.view().state, ...change }, version: basedOn + 1 });
    },
  };
  const queue = documentOf<Sheet>('look undone', { state: { name: 'Chalk', notes: '' }, version: 1 }, port);
  queue.change((s) => ({ ...s, name: 'Ink' }));
  queue.change((s) => ({ ...s, notes: 'for the night' }));
  await queue.flush();
  remember({
    kind: 'document',
    name: 'look undone',
    from: { name: 'Ink', notes: '' },
    to: { name: 'Chalk', notes: '' },
  });
  await stepBack();
  expect(queue.view().state).toEqual({ name: 'Chalk', notes: 'for the night' });
  await stepBack(true);
  expect(queue.view().state).toEqual({ name: 'Ink', notes: 'for the night' });
});

test('a document that is gone is told', async () => {
  remember({ kind: 'document', name: 'something unknown', from: {}, to: {} });
  await expect(stepBack()).rejects.toThrow('This is not here any more.');
});
