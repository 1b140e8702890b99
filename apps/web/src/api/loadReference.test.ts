import { api, type Reference } from './client';
import { loadReference } from './loadReference';

const reference = (id: string) => ({ id, title: id, tags: [], notes: '', version: 1 }) as unknown as Reference;
const answers = (make: (ids: string[]) => Reference[] | Error) =>
  jest.spyOn(api, 'GET').mockImplementation(((_: string, { params }: { params: { query: { ids: string } } }) => {
    const made = make(params.query.ids.split(','));
    if (made instanceof Error) return Promise.reject(made);
    return Promise.resolve({ data: made, response: new Response('[]', { status: 200 }) });
  }) as never);
afterEach(() => jest.restoreAllMocks());

test('those that are asked for in one moment come in one answer, what is gone as null', async () => {
  const get = answers((ids) => ids.filter((id) => id !== 'gone').map(reference));
  const [a, gone, again] = await Promise.all([loadReference('a'), loadReference('gone'), loadReference('a')]);
  expect([a?.title, gone, again?.title]).toEqual(['a', null, 'a']);
  expect(get).toHaveBeenCalledTimes(1);
});

test('a failed answer tells everybody who waits for it, and the next one is asked for anew', async () => {
  answers(() => new Error('no line'));
  const results = await Promise.allSettled([loadReference('a'), loadReference('b'), loadReference('a')]);
  expect(results.map((r) => r.status)).toEqual(['rejected', 'rejected', 'rejected']);
  answers((ids) => ids.map(reference));
  expect((await loadReference('b'))?.title).toBe('b');
});

test('more than a hundred are asked for in parts, and a part that fails does not take the others with it', async () => {
  answers((ids) => (ids.includes('r7') ? new Error('no line') : ids.map(reference)));
  const results = await Promise.allSettled(Array.from({ length: 150 }, (_, k) => loadReference(`r${k}`)));
  expect(results.filter((r) => r.status === 'rejected')).toHaveLength(100);
  expect(results.filter((r) => r.status === 'fulfilled')).toHaveLength(50);
});
