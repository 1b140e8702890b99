import { ask, ServerProblem } from './client';

const answer = (status: number, data: unknown, error?: unknown) =>
  Promise.resolve({ data, error, response: { ok: status < 300, status } as Response });

test('a good answer is its data', async () => {
  expect(await ask(answer(200, { id: 1 }))).toEqual({ id: 1 });
});

test('a problem speaks with the sentence of the server and carries the present state', async () => {
  const problem = { detail: 'Somebody changed this in the meantime.', current: { version: 4 } };
  await expect(ask(answer(409, undefined, problem))).rejects.toMatchObject({
    status: 409,
    message: problem.detail,
    current: { version: 4 },
  });
  await expect(ask(answer(500, undefined, undefined))).rejects.toThrow(/Try again/);
});

test('a studio that does not answer is said so', async () => {
  const failing = ask(Promise.reject(new TypeError('fetch failed')));
  await expect(failing).rejects.toBeInstanceOf(ServerProblem);
  await expect(failing).rejects.toThrow(/does not answer/);
});
