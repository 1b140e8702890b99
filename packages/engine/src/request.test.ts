import { MAX_INFLUENCES, readRequest, RequestError } from './request';

const picture = { content: 'a.png' };

test('what is left out has a good default', () => {
  expect(readRequest({ prompt: 'marsh', influences: [{ pictures: [picture] }] })).toEqual({
    prompt: 'marsh',
    avoid: '',
    width: 768,
    height: 512,
    seed: 1,
    balance: 1,
    spread: 1,
    influences: [
      {
        id: 'influences[0]',
        gives: 'look',
        weight: 1,
        from: 0,
        to: 1,
        on: true,
        reading: 'normal',
        subject: undefined,
        pictures: [{ content: 'a.png', weight: 1 }],
      },
    ],
  });
});

test.each([
  [null, /object is expected/],
  [[], /object is expected/],
  [{}, /prompt/],
  [{ prompt: 5 }, /prompt: a text/],
  [{ prompt: 'x', width: 10 }, /width: a number from 64 to 2048/],
  [{ prompt: 'x', height: 99999 }, /height/],
  [{ prompt: 'x', seed: 1.5 }, /seed: a whole number/],
  [{ prompt: 'x', balance: 'much' }, /balance: a number from 0 to 2/],
  [{ prompt: 'x', spread: -0.1 }, /spread: a number from 0 to 1/],
  [{ prompt: 'x', influences: {} }, /influences: a list/],
  [{ prompt: 'x', influences: Array(MAX_INFLUENCES + 1).fill({ pictures: [picture] }) }, /at most/],
  [{ prompt: 'x', influences: [{ pictures: [] }] }, /influences\[0\].pictures/],
  [
    { prompt: 'x', influences: [{ pictures: [picture], weight: 'abc' }] },
    /influences\[0\].weight: a number from 0 to 4/,
  ],
  [{ prompt: 'x', influences: [{ pictures: [picture], gives: 'soul' }] }, /influences\[0\].gives: one of everything/],
  [{ prompt: 'x', influences: [{ pictures: [picture], from: 0.6, to: 0.4 }] }, /influences\[0\].to: not before from/],
])('%j is refused with the field that is wrong', (json, message) => {
  expect(() => readRequest(json)).toThrow(RequestError);
  expect(() => readRequest(json)).toThrow(message);
});
