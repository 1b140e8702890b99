import { Random } from '../maths/random';
import { linearToLab, SRGB_TO_LINEAR } from '../colour/oklab';
import { blurBy, enlargePlane, filterResponses, halvePlane, labPlanes, shrinkPlane } from './planesKernel';
import { blurReference, enlargeReference, labReference, responsesReference, shrinkReference } from './planes.reference';
import { between, coverage } from './resample';

const random = new Random(4);
const plane = (w: number, h: number) => Float32Array.from({ length: w * h }, () => random.normal());
const bytes = (a: Float32Array) => Buffer.from(a.buffer, a.byteOffset, a.byteLength);
const same = (a: Float32Array, b: Float32Array) => expect(bytes(a).equals(bytes(b))).toBe(true);

/** Sizes that do and do not fit blocks of four and sixteen, narrow, low, and single pixels. */
const SIZES = [
  [64, 32],
  [37, 23],
  [5, 61],
  [61, 5],
  [3, 2],
  [1, 1],
] as const;

test.each(SIZES)('a blur of %i x %i gives the bytes of its reference implementation', (w, h) => {
  for (const radius of [1, 3, 9]) {
    const half = Float32Array.from({ length: radius + 1 }, (_, i) => 1 / (i + 2));
    const source = plane(w, h);
    same(blurBy(source, w, h, half), blurReference(source, w, h, half));
  }
});

test.each(SIZES.slice(0, 4))('resampling %i x %i gives the bytes of its reference implementation', (w, h) => {
  const source = plane(w, h);
  for (const [dw, dh] of [
    [Math.ceil(w / 3), Math.ceil(h / 2)],
    [Math.max(1, w - 1), Math.max(1, h - 1)],
  ]) {
    const out = new Float32Array(dw * dh);
    shrinkPlane(source, { sw: w, dw, dh, across: coverage(w, dw), down: coverage(h, dh), out });
    same(out, shrinkReference(source, w, coverage(w, dw), coverage(h, dh)));
  }
  for (const [dw, dh] of [
    [w * 2, h * 3],
    [w + 5, h],
  ]) {
    const out = new Float32Array(dw * dh);
    enlargePlane(source, { sw: w, dw, dh, across: between(w, dw), down: between(h, dh), out });
    same(out, enlargeReference(source, w, between(w, dw), between(h, dh)));
  }
});

test('half the size is the mean of four', () => {
  const out = new Float32Array(2);
  halvePlane(Float32Array.of(1, 2, 3, 4, 5, 6, 7, 8), 4, 2, 1, out);
  expect([...out]).toEqual([3.5, 5.5]);
});

test('filters answer as their reference implementation does', () => {
  const bank = plane(24, 147);
  for (const [w, h, step] of [
    [24, 17, 1],
    [31, 20, 3],
    [7, 7, 2],
  ]) {
    const planes = [plane(w, h), plane(w, h), plane(w, h)];
    const answers = filterResponses(planes, w, h, step, bank).map((a) => a.slice());
    responsesReference(planes, w, h, step, bank).forEach((reference, k) => same(answers[k], reference));
  }
  expect(filterResponses([plane(5, 5), plane(5, 5), plane(5, 5)], 5, 5, 1, bank)[0]).toHaveLength(0);
});

test('the memory of the kernel grows with what is asked of it', () => {
  const large = plane(900, 700);
  const half = Float32Array.of(0.5, 0.25);
  const [a, b] = [blurBy(large, 900, 700, half), blurBy(large, 900, 700, half)];
  same(a, b);
  expect(a[450 * 700 + 450]).not.toBe(0);
});

test('colours turn into the bytes of their reference implementation and into OKLab, black, white and transparent ones too', () => {
  const pixels = [0, 0, 0, 255, 255, 255, 255, 255, 1, 0, 0, 255, 9, 200, 90, 0, 12, 34, 56, 128];
  while (pixels.length < 4 * 1001) pixels.push(Math.floor(random.next() * 256));
  const rgba = Uint8Array.from(pixels);
  const planes = labPlanes(rgba, 1001, SRGB_TO_LINEAR, 1.6);
  labReference(rgba, 1001, SRGB_TO_LINEAR, 1.6).forEach((plane, c) => same(planes[c], plane));
  let worst = 0;
  for (let i = 0; i < 1001; i++) {
    const alpha = rgba[4 * i + 3] / 255;
    const [r, g, b] = [0, 1, 2].map((c) => SRGB_TO_LINEAR[rgba[4 * i + c]] * alpha + 1 - alpha);
    const lab = linearToLab(r, g, b);
    for (const c of [0, 1, 2]) worst = Math.max(worst, Math.abs(planes[c][i] / (c ? 1.6 : 1) - lab[c]));
  }
  expect(worst).toBeLessThan(1e-6);
});
