import { pictureFromRgba, type Picture } from '@urbild/core';
import { groundFrom } from './flood';
import { alphaAt, headPartOf, matteOf, type SegmentedPart } from './matte';

type Rgb = readonly [number, number, number];
const [W, H] = [160, 200];
/** A face in the middle, eyes at a third of the height. */
const FRAME = { eyes: [0.5, 0.4], chin: [0.5, 0.55], yaw: 0 } as const;

function paint(at: (x: number, y: number) => Rgb): Picture {
  const rgba = new Uint8ClampedArray(W * H * 4);
  for (let i = 0; i < W * H; i++) rgba.set([...at(i % W, Math.floor(i / W)), 255], i * 4);
  return pictureFromRgba(rgba, W, H);
}
/** A head on shoulders. */
const inBust = (x: number, y: number) => Math.hypot(x - 80, (y - 86) * 0.8) < 34 || (y > 128 && Math.abs(x - 80) < 56);
const SKIN: Rgb = [214, 160, 130];
const bust = (ground: (x: number, y: number) => Rgb) => paint((x, y) => (inBust(x, y) ? SKIN : ground(x, y)));
const border = Array.from({ length: W }, (_, x) => x);

/** The part of the pixels that a matte tells right. */
function right(picture: Picture, part?: SegmentedPart): number {
  const matte = matteOf(picture, FRAME, part);
  let sum = 0;
  for (let y = 0; y < H; y++)
    for (let x = 0; x < W; x++) if (alphaAt(matte, (x + 0.5) / W, (y + 0.5) / H) > 0.5 === inBust(x, y)) sum++;
  return sum / (W * H);
}

/** What a model would say that sees a bust `blurred` px too wide. */
function modelled(wider = 0, seen = true): SegmentedPart {
  const box = headPartOf(FRAME, W, H);
  const side = 64;
  const alpha = Uint8Array.from({ length: side * side }, (_, i) => {
    const x = (box[0] + (((i % side) + 0.5) / side) * box[2]) * W;
    const y = (box[1] + ((Math.floor(i / side) + 0.5) / side) * box[3]) * H;
    return seen && inBust(80 + (x - 80) / (1 + wider), y) ? 255 : 0;
  });
  return { box, side, alpha };
}

describe('the ground, seen from the border', () => {
  test('is flooded up to the edge of a figure, also where it shades slowly', () => {
    const shaded = bust((x, y) => [90 + x / 2, 120 + y / 4, 160]);
    const ground = groundFrom(shaded, border);
    expect(ground[5 * W + 5]).toBe(1);
    expect(ground[120 * W + 4]).toBe(1);
    expect(ground[86 * W + 80]).toBe(0);
    expect(ground[160 * W + 80]).toBe(0);
  });

  test('ends at an edge all around, and goes through a gap in it', () => {
    const ring = (gap: boolean) =>
      paint((x, y) => {
        const q = Math.hypot(x - 80, y - 100);
        return q > 50 && q < 56 && !(gap && y < 100 && Math.abs(x - 80) < 6) ? [20, 20, 20] : [235, 232, 225];
      });
    expect(groundFrom(ring(false), border)[100 * W + 80]).toBe(0);
    expect(groundFrom(ring(true), border)[100 * W + 80]).toBe(1);
  });

  test('is nothing without a seed', () => {
    expect(
      groundFrom(
        bust(() => [90, 120, 160]),
        [],
      ).some((g) => g === 1),
    ).toBe(false);
  });
});

describe('figure and ground', () => {
  const plain = () => bust(() => [90, 120, 160]);
  const busy = () => bust((x, y) => (((x >> 3) + (y >> 3)) % 2 ? [40, 90, 60] : [200, 190, 90]));

  test('are told by the border alone before a plain ground', () => {
    expect(matteOf(plain(), FRAME).from).toBe('border');
    expect(right(plain())).toBeGreaterThan(0.97);
  });

  test('of a busy ground nothing is known without a model: all may be figure', () => {
    const matte = matteOf(busy(), FRAME);
    expect(matte.from).toBe('nothing');
    expect(matte.alpha.every((a) => a === 1)).toBe(true);
  });

  test('are told by the model before a busy ground', () => {
    expect(matteOf(busy(), FRAME, modelled()).from).toBe('model');
    expect(right(busy(), modelled())).toBeGreaterThan(0.95);
  });

  test('a model that is a little too wide is mended by the ground where that can be flooded', () => {
    const wide = modelled(0.02);
    expect(matteOf(plain(), FRAME, wide).from).toBe('both');
    expect(right(plain(), wide)).toBeGreaterThan(0.97);
  });

  test('a model that has not seen the person is not asked', () => {
    expect(matteOf(plain(), FRAME, modelled(0, false)).from).toBe('border');
    expect(right(plain(), modelled(0, false))).toBeGreaterThan(0.97);
  });
});

test('the part around a head is a square in the face’s own measure and may reach beyond the picture', () => {
  const [left, top, w, h] = headPartOf(FRAME, W, H);
  const unit = 0.15 * H;
  expect(w * W).toBeCloseTo(6 * unit, 6);
  expect(h * H).toBeCloseTo(6 * unit, 6);
  expect(left * W).toBeCloseTo(80 - 3 * unit, 6);
  expect(top * H).toBeCloseTo(80 - 2.6 * unit, 6);
});
