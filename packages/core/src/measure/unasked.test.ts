import { pictureOf } from '../testing';
import { unaskedIn, type UnaskedKind } from './unasked';

const [W, H] = [192, 128];
const SKY = 0.55;
const sky = Float32Array.from({ length: W * H }, (_, i) => (Math.floor(i / W) / H < SKY ? 1 : 0));
type Lab = readonly [number, number, number];
const BLUE: Lab = [0.75, -0.04, -0.08];

/** A blue sky over a green meadow, with a cloud; `over` paints something else over it. */
const scene = (over: (u: number, v: number) => Lab | undefined = () => undefined, cloud = true) =>
  pictureOf(W, H, (u, v, x, y) => {
    const grain = 0.008 * Math.sin(x * 12.9 + y * 78.2);
    const own: Lab =
      v > SKY
        ? [0.55 + grain, -0.08, 0.08]
        : cloud && Math.hypot((u - 0.25) * 3, (v - 0.2) * 6) < 0.4
          ? [0.86, 0, -0.01]
          : [BLUE[0] + 0.1 * v + grain, BLUE[1], BLUE[2]];
    return over(u, v) ?? own;
  });
const control = scene();
const kinds = (take: ReturnType<typeof scene>): UnaskedKind[] => unaskedIn({ take, control, sky }).map((m) => m.kind);

test('the control itself, and another colour over all of it, have nothing unasked', () => {
  expect(kinds(control)).toEqual([]);
  const dusk = pictureOf(W, H, (_, v, x, y) => [0.5 + 0.1 * v + 0.008 * Math.sin(x * 12.9 + y * 78.2), 0.09, 0.05]);
  expect(kinds(dusk)).toEqual([]);
});

test('a sun that only the reference has is marked where it is', () => {
  const [mark, ...more] = unaskedIn({
    take: scene((u, v) => (Math.hypot((u - 0.7) * 1.5, v - 0.25) < 0.12 ? [0.6, 0.15, 0.1] : undefined)),
    control,
    sky,
  });
  expect(more).toEqual([]);
  expect(mark.kind).toBe('piece');
  expect(mark.box.left).toBeGreaterThan(0.55);
  expect(mark.box.right).toBeLessThan(0.85);
  expect(mark.box.bottom).toBeLessThan(0.45);
});

test('a cloud of the control is no piece, wherever the take has it', () => {
  expect(
    kinds(scene((u, v) => (Math.hypot((u - 0.7) * 3, (v - 0.3) * 6) < 0.4 ? [0.86, 0, -0.01] : undefined))),
  ).toEqual([]);
});

test('what is in the meadow is not judged: it may be what was asked for', () => {
  expect(kinds(scene((u, v) => (Math.hypot(u - 0.5, v - 0.8) < 0.1 ? [0.3, 0.1, 0.1] : undefined)))).toEqual([]);
});

test('a sky that lost its colour is marked, but not where the words have a white one', () => {
  const white = scene((_, v) => (v < SKY ? [0.95, 0.003, 0.01] : undefined), false);
  expect(kinds(white)).toEqual(['white-sky']);
  expect(unaskedIn({ take: white, control: white, sky })).toEqual([]);
});

test('specks are marked where there are many, not where there are a few', () => {
  const specks = (every: number) =>
    scene((u, v) => {
      const [x, y] = [Math.round(u * W), Math.round(v * H)];
      return v > 0.62 && x % every < 2 && y % every < 2 ? [0.95, 0, 0] : undefined;
    });
  expect(kinds(specks(16))).toEqual(['splashes']);
  expect(kinds(specks(60))).toEqual([]);
});

test('burnt lights are marked, unless the control has them as well', () => {
  const burnt = scene((u, v) => (v > 0.7 && u < 0.6 ? [1, 0, 0] : undefined));
  const [mark] = unaskedIn({ take: burnt, control, sky });
  expect(mark).toMatchObject({ kind: 'burnt' });
  expect(mark.box.top).toBeCloseTo(0.7, 1);
  expect(unaskedIn({ take: burnt, control: burnt, sky })).toEqual([]);
});
