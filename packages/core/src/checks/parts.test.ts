/** What the checks are made of, on pictures of which the answer is known, and what they say together. */
import { blurPlane } from '../picture/filter';
import type { Picture } from '../picture/picture';
import { resample } from '../picture/resample';
import { mirrored, pictureOf, testScene } from '../testing';
import { checkReference, checkStateOf, type CheckedPicture, type CheckId } from './index';
import { splitCollage } from './collage';
import { areaOf, mainFace, viewOf } from './faces';
import { sharpnessAt, trueResolution } from './sharpness';
import { writingIn } from './text';
import { toneOf } from './tone';

const grey = (L: number) => pictureOf(160, 120, () => [L, 0, 0]);
const softened = (p: Picture, sigma: number): Picture => ({
  ...p,
  planes: p.planes.map((plane) => blurPlane(plane, p.width, p.height, sigma)) as unknown as Picture['planes'],
});
/** Two pictures with a gutter of so many px between them. */
const pair = (gutter: number, upright = false) => {
  const [a, b] = [testScene(5, 240, 160), testScene(7, 240, 160)];
  return pictureOf(upright ? 240 : 480 + gutter, upright ? 320 + gutter : 160, (_u, _v, x, y) => {
    const along = upright ? y : x;
    const length = upright ? 160 : 240;
    const of = along < length ? a : along < length + gutter ? undefined : b;
    if (!of) return [1, 0, 0];
    const at = along < length ? along : along - length - gutter;
    const i = upright ? at * 240 + x : y * 240 + at;
    return [of.planes[0][i] + 0.06 * Math.sin(x * 1.7 + y * 2.3), 0, 0];
  });
};

describe('tone', () => {
  test('says where the lightness lies, and what is pure', () => {
    expect(toneOf(grey(0.5))).toEqual({ p5: 128, p50: 128, p95: 128, black: 0, white: 0 });
    const half = pictureOf(100, 100, (u) => [u < 0.25 ? 0 : u < 0.5 ? 1 : 0.5, 0, 0]);
    const { black, white, p50 } = toneOf(half);
    expect([black, white]).toEqual([expect.closeTo(0.25, 6), expect.closeTo(0.25, 6)]);
    expect(p50).toBe(128);
  });
  test('lightness out of range counts as black and white', () => {
    const wild = pictureOf(20, 10, (u) => [u < 0.5 ? -0.3 : 1.4, 0, 0]);
    expect(toneOf(wild)).toMatchObject({ black: 0.5, white: 0.5 });
  });
});

describe('sharpness', () => {
  const scene = testScene(4, 300, 200);
  test('falls with every bit of blur', () => {
    const at = [0, 0.7, 1.5, 3].map((s) => sharpnessAt(s ? softened(scene, s) : scene, 256));
    for (let k = 1; k < at.length; k++) expect(at[k]).toBeLessThan(at[k - 1]);
  });
  test('is the same for a mirrored picture, and nothing for none', () => {
    expect(sharpnessAt(mirrored(scene), 256)).toBeCloseTo(sharpnessAt(scene, 256), 6);
    expect(sharpnessAt(grey(0.4), 256)).toBeCloseTo(0, 6);
    expect(
      sharpnessAt(
        pictureOf(2, 2, () => [0.5, 0, 0]),
        256,
      ),
    ).toBe(0);
  });
  test('a picture has the resolution of its details, an enlarged one less', () => {
    expect(trueResolution(scene)).toBe(1);
    expect(trueResolution(resample(resample(scene, 38, 25), 600, 400))).toBeLessThan(0.5);
    expect(trueResolution(grey(0.5))).toBe(1);
  });
});

describe('writing', () => {
  /** Strokes of letters on a line: upright bars with feet, evenly spaced. */
  const written = (count: number, ink = 0.1, paper = 0.9) =>
    pictureOf(320, 120, (_u, _v, x, y) => {
      const k = Math.floor((x - 20) / 16);
      const inside = (x - 20) % 16;
      if (x < 20 || k >= count || y < 50 || y > 66) return [paper, 0, 0];
      return inside < 3 || (y > 62 && inside < 10) ? [ink, 0, 0] : [paper, 0, 0];
    });
  test('is counted along its line, dark on light and light on dark', () => {
    expect(writingIn(written(9))).toBeGreaterThanOrEqual(8);
    expect(writingIn(written(9, 0.9, 0.1))).toBeGreaterThanOrEqual(8);
    expect(writingIn(written(3))).toBeLessThanOrEqual(4);
  });
  test('a fence of full boards is none', () => {
    const boards = pictureOf(320, 200, (_u, _v, x, y) => [
      x % 16 < 8 && x < 160 && y >= 90 && y < 104 ? 0.1 : 0.9,
      0,
      0,
    ]);
    expect(writingIn(boards)).toBe(0);
  });
  test('hills and plain paper hold none', () => {
    expect(writingIn(grey(0.8))).toBe(0);
    for (const seed of [1, 2, 3]) expect(writingIn(testScene(seed, 320, 200))).toBeLessThan(6);
  });
});

describe('collages', () => {
  test.each([4, 8])('two pictures with %d px between them are two, side by side or above each other', (gutter) => {
    const beside = splitCollage(pair(gutter));
    expect(beside).toHaveLength(2);
    expect(beside[0].right).toBeCloseTo(240 / (480 + gutter), 1);
    expect(splitCollage(pair(gutter, true))).toHaveLength(2);
  });
  test('one picture is one', () => {
    expect(splitCollage(testScene(3))).toEqual([{ left: 0, top: 0, right: 1, bottom: 1 }]);
  });
  test('a wide even sky is no gutter', () => {
    const sky = pictureOf(200, 200, (_u, v, x, y) =>
      v < 0.5 ? [0.8, 0, 0] : [0.4 + 0.1 * ((x * 7 + y * 13) % 5), 0, 0],
    );
    expect(splitCollage(sky)).toHaveLength(1);
  });
});

describe('faces', () => {
  const box = (left: number, right: number) => ({ left, right, top: 0.2, bottom: 0.6 });
  test('the largest is the one that counts', () => {
    const [small, large] = [
      { box: box(0, 0.1), score: 1 },
      { box: box(0.3, 0.7), score: 0.4 },
    ];
    expect(mainFace([small, large])).toBe(large);
    expect(mainFace([])).toBeUndefined();
    expect(areaOf(large.box)).toBeCloseTo(0.16, 9);
    expect(areaOf({ left: 0.5, right: 0.4, top: 0, bottom: 1 })).toBe(0);
  });
  test.each([
    [0, 'front'],
    [-11, 'front'],
    [20, 'three-quarter'],
    [-34, 'three-quarter'],
    [36, 'profile'],
    [-90, 'profile'],
  ])('turned by %d degrees it is seen %s', (yaw, view) => expect(viewOf(yaw)).toBe(view));
});

describe('together', () => {
  const about = (fields: Partial<CheckedPicture> = {}): CheckedPicture => ({
    picture: testScene(5, 640, 430),
    width: 1280,
    height: 860,
    kind: 'style',
    transparent: 0,
    ...fields,
  });
  const ids = (fields: Partial<CheckedPicture> = {}): CheckId[] => checkReference(about(fields)).map((c) => c.id);
  const FACE = { box: { left: 0.3, right: 0.6, top: 0.2, bottom: 0.6 }, score: 0.9 };

  test('a good picture has nothing grave', () => {
    expect(checkStateOf(checkReference(about()))).not.toBe('serious');
  });
  test('size: small is a warning, tiny is grave, and both say how large it should be', () => {
    const [small] = checkReference(about({ width: 200, height: 300 }));
    expect(small).toMatchObject({
      id: 'too small',
      severity: 'warning',
      reason: expect.stringContaining('512 px') as string,
    });
    expect(checkReference(about({ width: 100, height: 300 }))[0]).toMatchObject({
      id: 'too small',
      severity: 'serious',
    });
  });
  test('what lets through is laid over white by its fix, a double shows the other', () => {
    expect(checkReference(about({ transparent: 0.3 }))).toContainEqual(
      expect.objectContaining({ id: 'transparency', fix: 'flatten' }),
    );
    expect(checkReference(about({ double: 'Reeds' }))).toContainEqual(
      expect.objectContaining({ id: 'near double', severity: 'note', fix: 'show double' }),
    );
  });
  test('dark, flat and burnt pictures say so', () => {
    const scene = testScene(5, 640, 430);
    const toned = (k: number, add: number) => ({
      ...scene,
      planes: [
        scene.planes[0].map((v) => k * v + add),
        scene.planes[1],
        scene.planes[2],
      ] as unknown as Picture['planes'],
    });
    expect(ids({ picture: toned(0.4, 0) })).toContain('too dark');
    expect(ids({ picture: toned(0.12, 0.5) })).toContain('flat');
    expect(ids({ picture: toned(2.4, -0.1) })).toContain('burnt');
  });
  test('of faces only where one is wanted', () => {
    expect(ids({ faces: [] })).not.toContain('face turned away');
    expect(ids({ kind: 'face', faces: [] })).toContain('face turned away');
    expect(ids({ kind: 'character', faces: [] })).not.toContain('face turned away');
  });
  test('a face that is cut, covered, small or turned is told, each with how much', () => {
    const of = (fields: object, more: Partial<CheckedPicture> = {}) =>
      checkReference(about({ kind: 'face', faces: [{ ...FACE, ...fields }], ...more }));
    expect(of({ outside: 0.2 })).toContainEqual(
      expect.objectContaining({
        id: 'face cut off',
        severity: 'serious',
        reason: expect.stringContaining('20 %') as string,
      }),
    );
    expect(of({ covered: 0.5 }).map((c) => c.id)).toContain('face covered');
    expect(of({ yaw: -60 }).map((c) => c.id)).toContain('face turned away');
    expect(of({}, { width: 400, height: 300 })).toContainEqual(
      expect.objectContaining({ id: 'face too small', reason: expect.stringContaining('120 px') as string }),
    );
    expect(of({}).map((c) => c.id)).not.toContain('face too small');
  });
  test('the gravest come first, and rule the state', () => {
    const checks = checkReference(about({ width: 90, height: 90, double: 'x', transparent: 0.5 }));
    const rank = { serious: 0, warning: 1, note: 2 };
    const ranks = checks.map((c) => rank[c.severity]);
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
    expect(checkStateOf(checks)).toBe('serious');
    expect(checkStateOf([])).toBe('fine');
    expect(checkStateOf(checks.filter((c) => c.severity === 'note'))).toBe('fine');
    expect(checkStateOf(checks.filter((c) => c.severity !== 'serious'))).toBe('warning');
  });
});
