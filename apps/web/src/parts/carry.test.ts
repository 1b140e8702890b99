import { carriedIn, carry, isCarrying } from './carry';

function drag() {
  const data = new Map<string, string>();
  return {
    dataTransfer: {
      get types() {
        return [...data.keys()];
      },
      setData: (type: string, value: string) => void data.set(type, value),
      getData: (type: string) => data.get(type) ?? '',
    },
  };
}

test('what is picked up in one window is put down in another', () => {
  const e = drag();
  expect(isCarrying(e)).toBe(false);
  carry({ of: 'look', id: 'demo-look-chalk' }).onDragStart(e);
  expect(isCarrying(e)).toBe(true);
  expect(carriedIn(e)).toEqual({ of: 'look', id: 'demo-look-chalk' });
});

test.each(['', 'no JSON', '{"of":"take","id":"a"}', '{"of":"look","id":"../a"}', '{"of":"look"}'])(
  'anything else is not taken: %s',
  (text) => {
    const e = drag();
    carry({ of: 'look', id: 'a' }).onDragStart(e);
    e.dataTransfer.setData(e.dataTransfer.types[0], text);
    expect(carriedIn(e)).toBeUndefined();
  },
);
