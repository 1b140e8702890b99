import type { HairSeen } from './hairSeen';
import { SEEN_STYLES, type SeenStyle } from './kinds';
import { wornHair } from './wornHair';

/** Odds that are sure of one style as far as said, and even about the others. */
const odds = (style: SeenStyle, sure: number) =>
  SEEN_STYLES.map((s) => (s === style ? sure : (1 - sure) / (SEEN_STYLES.length - 1)));
const NO_PARTS = { skin: new Float32Array(0), hair: new Float32Array(0), cloth: new Float32Array(0) };
const found = (fields: Partial<HairSeen>): HairSeen => ({
  ...{ mask: new Uint8Array(0), parts: NO_PARTS, above: 1, beside: 0.3, below: 0, clear: 1 },
  ...fields,
});

test('without any hair found, what was learnt decides', () => {
  expect(wornHair(SEEN_STYLES, odds('plait', 0.9))).toMatchObject({ style: 'plait', length: 'long' });
  expect(wornHair(SEEN_STYLES, odds('bald', 0.9))).toMatchObject({ style: 'bald', length: 'none' });
});

test('hair that is found below the chin makes an unsure reading long, and its absence short', () => {
  expect(wornHair(SEEN_STYLES, odds('short', 0.35), found({ below: 1 }))).toMatchObject({ length: 'long' });
  expect(wornHair(SEEN_STYLES, odds('long', 0.35), found({ below: 0 }))).toMatchObject({ length: 'short' });
});

test('what does not stand out from the skin says nothing', () => {
  const unclear = found({ below: 1, clear: 0 });
  expect(wornHair(SEEN_STYLES, odds('short', 0.6), unclear).length).toBe('short');
});

test('where both agree it is surer than by one of them', () => {
  const alone = wornHair(SEEN_STYLES, odds('long', 0.5)).lengthSure;
  const agreed = wornHair(SEEN_STYLES, odds('long', 0.5), found({ below: 1 })).lengthSure;
  const torn = wornHair(SEEN_STYLES, odds('long', 0.5), found({ below: 0 })).lengthSure;
  expect(agreed).toBeGreaterThan(alone);
  expect(torn).toBeLessThan(agreed);
});

test('much hair speaks against a bald head, and the style is one of its length', () => {
  const bald = odds('bald', 0.5);
  expect(wornHair(SEEN_STYLES, bald, found({ above: 0, beside: 0.1, clear: 0 })).length).toBe('none');
  const { style, length } = wornHair(SEEN_STYLES, bald, found({ above: 1.5, below: 0 }));
  expect(length).toBe('short');
  expect(['short', 'tousled', 'bowl', 'curly', 'tied']).toContain(style);
});
