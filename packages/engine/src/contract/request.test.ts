import { MAX_INFLUENCES } from '@urbild/core';
import { readRequest, RequestError } from './readRequest';

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
    strictness: 0.5,
    ornateness: 0.5,
    influences: [
      {
        id: 'influences[0]',
        gives: 'look',
        weight: 1,
        from: 0,
        to: 1,
        on: true,
        reading: 'normal',
        fill: 'inside',
        motif: 1,
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
  [{ prompt: 'x', width: 10 }, /width: a whole number from 64 to 2048/],
  [{ prompt: 'x', height: 99999 }, /height/],
  [{ prompt: 'x', seed: 1.5 }, /seed: a whole number/],
  [{ prompt: 'x', balance: 'much' }, /balance: a number from 0 to 2/],
  [{ prompt: 'x', spread: -0.1 }, /spread: a number from 0 to 1/],
  [{ prompt: 'x', strictness: 2 }, /strictness: a number from 0 to 1/],
  [{ prompt: 'x', ornateness: '1' }, /ornateness: a number from 0 to 1/],
  [{ prompt: 'x', emphases: 'x' }, /emphases: a list of at most 24/],
  [{ prompt: 'x', emphases: [{ words: 'x', weight: 3 }] }, /emphases\[0\]\.weight: a number from 0 to 2/],
  [{ prompt: 'x', influences: {} }, /influences: a list/],
  [{ prompt: 'x', wieght: 1 }, /The request: no field "wieght"/],
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

describe('what is known of pictures and people', () => {
  const asked = (fields: object, of: object = {}) =>
    readRequest({ prompt: 'x', ...of, influences: [{ pictures: [{ content: 'a', ...fields }] }] });

  test('faces, joints and traits are taken over', () => {
    const facts = {
      face: { eyes: [0.5, 0.3], chin: [0.5, 0.5], yaw: 0 },
      joints: { leftWrist: [0.1, 0.9] },
      traits: { skin: { colour: [0.7, 0.05, 0.05], confidence: 0.8 }, jaw: { number: 1.1, confidence: 0.5 } },
    };
    expect(asked(facts).influences[0].pictures[0]).toEqual({ content: 'a', weight: 1, ...facts });
  });

  test('names, start, mask and medium too, with their defaults', () => {
    const request = asked(
      {},
      { names: [{ name: 'Nora' }], start: { content: 's' }, mask: { content: 'm', invert: true }, medium: 'pencil' },
    );
    expect(request).toMatchObject({
      names: [{ name: 'Nora' }],
      start: { content: 's', change: 0.6 },
      mask: { content: 'm', invert: true, feather: 0.008 },
      medium: 'pencil',
    });
  });

  test.each([
    [{ face: { eyes: [0.5], chin: [0, 0] } }, {}, /face\.eyes: two parts/],
    [{ joints: { tail: [0, 0] } }, {}, /no joint "tail"/],
    [{ joints: { nose: [9, 0] } }, {}, /joints\.nose/],
    [{ traits: { horns: { number: 2 } } }, {}, /no trait "horns"/],
    [{ traits: { skin: { colour: [2, 0, 0] } } }, {}, /skin\.colour\[0\]: a number from -1 to 1/],
    [{ traits: { jaw: { number: 9 } } }, {}, /jaw\.number: a number from 0 to 4/],
    [{}, { names: 'Nora' }, /names: a list/],
    [{}, { start: { content: 's', change: 2 } }, /start\.change: a number from 0 to 1/],
    [{}, { mask: { content: 'm', invert: 'yes' } }, /mask\.invert: true or false/],
    [{}, { medium: 'oil' }, /medium: one of/],
  ])('%j %j is refused with the reason', (fields, of, message) => {
    expect(() => asked(fields, of)).toThrow(message);
  });
});
