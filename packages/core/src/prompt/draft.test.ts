import { isAnimate, nothingPending, shaded, type EntityDraft } from './draft';

const RED = { name: 'red', lch: [0.55, 0.2, 27] as const };

describe('a shade of a colour', () => {
  test('light is lighter and paler, deep darker, bright of more colour; each says so', () => {
    const [light, deep, bright] = ['light', 'deep', 'bright'].map((s) => shaded(RED, s)!);
    expect([light.name, deep.name, bright.name]).toEqual(['light red', 'deep red', 'bright red']);
    expect(light.lch[0]).toBeGreaterThan(RED.lch[0]);
    expect(light.lch[1]).toBeLessThan(RED.lch[1]);
    expect(deep.lch[0]).toBeLessThan(RED.lch[0]);
    expect(bright.lch[1]).toBeGreaterThan(RED.lch[1]);
    for (const { lch } of [light, deep, bright]) expect(lch[2]).toBe(27);
  });
  test('never goes beyond what can be seen', () => {
    expect(shaded({ name: 'white', lch: [0.9, 0, 0] }, 'light')!.lch[0]).toBeLessThanOrEqual(0.93);
    expect(shaded({ name: 'black', lch: [0.22, 0, 0] }, 'deep')!.lch[0]).toBeGreaterThanOrEqual(0.2);
  });
  test('without a shade it is the colour, without a colour nothing', () => {
    expect(shaded(RED, undefined)).toBe(RED);
    expect(shaded(undefined, 'light')).toBeUndefined();
  });
});

test('people and creatures are animate, things and nobody are not', () => {
  const of = (kind: EntityDraft['kind']) => isAnimate({ kind } as EntityDraft);
  expect([of('person'), of('creature'), of('thing'), isAnimate(undefined)]).toEqual([true, true, false, false]);
});

test('what waits for its noun is nothing of anybody else', () => {
  const [a, b] = [nothingPending(), nothingPending()];
  a.colours.push(RED);
  expect(b.colours).toEqual([]);
});
