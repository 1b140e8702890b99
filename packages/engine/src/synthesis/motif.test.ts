import { createPicture, type Picture } from '@urbild/core';
import { influence } from '../testing';
import { planSynthesis } from './plan';
import { prepareReference } from './reference';
import { synthesise } from './synthesise';

describe('the size of motifs', () => {
  /** Stripes across, eight pixels from one to the next. */
  const stripes = (): Picture => {
    const picture = createPicture(192, 128);
    picture.planes[0].forEach((_, i) => (picture.planes[0][i] = Math.floor(i / 192) % 8 < 4 ? 0.3 : 0.8));
    return picture;
  };
  /** How often lightness turns over on the way down the middle. */
  const turns = ({ width, height, planes: [L] }: Picture) => {
    const mean = L.reduce((a, b) => a + b, 0) / L.length;
    let count = 0;
    for (let y = 1; y < height; y++)
      if (L[y * width + (width >> 1)] > mean !== L[(y - 1) * width + (width >> 1)] > mean) count++;
    return count / height;
  };

  test('a reference is prepared as large as its motifs are to come out, and each size is kept by itself', () => {
    const picture = stripes();
    const of = (motif?: number) => prepareReference('stripes', picture, 192, motif);
    expect(of().picture.width).toBe(192);
    expect(of(1.5).picture.width).toBe(288);
    expect(of(0.5).picture.width).toBe(96);
    expect(of(1.5)).toBe(of(1.5));
    expect(of(1.5).key).not.toBe(of().key);
  });

  test('coarser motifs turn over less often in the picture, finer ones more often', () => {
    const stage = createPicture(192, 128);
    stage.planes[0].fill(0.55);
    const drawn = (motif: number) =>
      turns(
        synthesise({
          stage,
          stageKey: 'even',
          references: [{ influence: 0, part: 1, content: 'stripes', picture: stripes(), motif }],
          plan: planSynthesis([influence({ gives: 'look' })], 1),
          seed: 3,
          checkpoint: () => {},
          onStep: () => {},
        }),
      );
    const [fine, usual, coarse] = [drawn(0.5), drawn(1), drawn(1.5)];
    expect(fine).toBeGreaterThan(1.3 * usual);
    expect(coarse).toBeLessThan(0.85 * usual);
  });
});
