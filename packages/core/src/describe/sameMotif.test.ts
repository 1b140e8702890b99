import { CHROMA_GAIN, mapPlanes, type Picture } from '../picture/picture';
import { resample } from '../picture/resample';
import { testScene } from '../testing';
import { forMotif, isSameMotif, motifDistance } from './sameMotif';

const scene = testScene(3);
const { width: w, height: h } = scene;
const change = (p: Picture, at: (v: number, c: number, x: number, y: number) => number): Picture =>
  mapPlanes(p.width, p.height, (c) => p.planes[c].map((v, i) => at(v, c, i % p.width, Math.floor(i / p.width))));
/** The picture without so much of its right and lower sides. */
const cut = (p: Picture, part: number): Picture => {
  const [cw, ch] = [Math.round(p.width * (1 - part)), Math.round(p.height * (1 - part))];
  return mapPlanes(cw, ch, (c) =>
    Float32Array.from({ length: cw * ch }, (_, i) => p.planes[c][Math.floor(i / cw) * p.width + (i % cw)]),
  );
};

describe('one picture', () => {
  test.each([
    ['as it is', scene],
    ['made smaller', resample(scene, Math.round(w / 3), Math.round(h / 3))],
    ['brightened', change(scene, (v, c) => (c ? v : 0.9 * v + 0.06))],
    ['saved with a little grain', change(scene, (v, _, x, y) => v + (((x * 7 + y * 13) % 5) - 2) * 0.002)],
    ['cut by two hundredths', cut(scene, 0.02)],
  ])('%s', (_, other) => {
    expect(isSameMotif(scene, other)).toBe(true);
    expect(isSameMotif(other, scene)).toBe(true);
  });
});

describe('another picture', () => {
  test.each([4, 7, 11])('scene %i', (seed) => {
    expect(isSameMotif(scene, testScene(seed))).toBe(false);
  });

  test('the same one with something put into it is told by its worst blocks', () => {
    const put = change(scene, (v, c, x, y) => (!c && Math.hypot(x - w * 0.6, y - h * 0.5) < w * 0.05 ? 1 - v : v));
    const { mean, worst } = motifDistance(forMotif(scene), forMotif(put));
    expect(worst).toBeGreaterThan(3 * mean);
    expect(isSameMotif(scene, put)).toBe(false);
  });

  test('the same drawing on paper of another pale colour', () => {
    const drawing = (ground: readonly number[]) =>
      mapPlanes(w, h, (c) =>
        Float32Array.from({ length: w * h }, (_, i) => {
          const [x, y] = [(i % w) / w - 0.5, Math.floor(i / w) / h - 0.5];
          const line = Math.abs(Math.hypot(x, y) - 0.3) < 0.02 || Math.abs(x + y) < 0.015;
          return line ? (c ? 0 : 0.25) : ground[c] * (c ? CHROMA_GAIN : 1);
        }),
      );
    const [yellow, pink] = [drawing([0.97, -0.004, 0.02]), drawing([0.95, 0.016, 0.01])];
    expect(isSameMotif(yellow, yellow)).toBe(true);
    expect(isSameMotif(yellow, pink)).toBe(false);
  });

  test('turned round', () => {
    const turned = mapPlanes(w, h, (c) => scene.planes[c].map((_, i, p) => p[p.length - 1 - i]));
    expect(isSameMotif(scene, turned)).toBe(false);
  });
});
