import {
  coherenceOf,
  describePalette,
  describeStrokes,
  mannerOf,
  MEDIA,
  pictureFromRgba,
  PLACES,
  Random,
  understand,
  type LookSample,
} from '@urbild/core';
import { paintStage } from '../painter/paint';

const SUBJECTS = ['', 'Ilse walking', 'a fox', 'half figure of a girl', 'three gulls', 'Marek'];
const TIMES = ['at dawn', 'at noon', 'at dusk', 'at night', 'in the rain'];
const LOOKS = 6;

/** Eight pictures of one medium - any place, time and subject - and one of another. */
function plantedLook(k: number): { samples: LookSample[]; at: number } {
  const r = new Random(400 + k);
  const medium = MEDIA[k % MEDIA.length];
  const other = MEDIA[(k + 5) % MEDIA.length];
  const at = Math.floor(r.next() * 9);
  const samples = Array.from({ length: 9 }, (_, i) => {
    const brief = understand(`${r.pick(SUBJECTS)} ${r.pick(PLACES)} ${r.pick(TIMES)}`);
    const { rgba } = paintStage(brief, {
      width: 384,
      height: 256,
      seed: k * 20 + i,
      medium: i === at ? other : medium,
    });
    const picture = pictureFromRgba(rgba, 384, 256);
    return { manner: mannerOf(describeStrokes(picture)), palette: describePalette(picture) };
  });
  return { samples, at };
}

test('the planted stranger of a look is named in at least 5 of 6 looks', () => {
  let named = 0;
  for (let k = 0; k < LOOKS; k++) {
    const { samples, at } = plantedLook(k);
    if (coherenceOf(samples).stranger === at) named++;
  }
  expect(named).toBeGreaterThanOrEqual(5);
});
