/** npm run bench:areas: on how much of foreign scenes areas are named as they are, by family and by kind; families that are held out are marked */
import { pictureFromRgba } from '@urbild/core';
import { readPicture } from '@urbild/engine';
import { SCENE_FAMILIES } from '@urbild/engine-tools';

/** Pictures of each family; numbers that no test uses. */
const SEEDS = Array.from({ length: 12 }, (_, k) => 101 + k);

for (const family of SCENE_FAMILIES) {
  const kinds = new Map<string, { right: number; all: number }>();
  let [right, all, ms] = [0, 0, 0];
  for (const seed of SEEDS) {
    const made = family.make({ who: seed, seed });
    const picture = pictureFromRgba(made.rgba, made.width, made.height);
    const before = performance.now();
    const { labels, kinds: named, width, height } = readPicture(picture);
    ms += performance.now() - before;
    const truth = made.truth.areas!;
    for (let v = 0.005; v < 1; v += 0.01)
      for (let u = 0.005; u < 1; u += 0.01) {
        const is = truth.kinds[truth.map[Math.floor(v * made.height) * made.width + Math.floor(u * made.width)]];
        const read = named.get(labels.of[Math.floor(v * height) * width + Math.floor(u * width)])!.kind;
        const own = kinds.get(is) ?? { right: 0, all: 0 };
        kinds.set(is, { right: own.right + +(is === read), all: own.all + 1 });
        all++;
        if (is === read) right++;
      }
  }
  const parts = [...kinds].map(([kind, k]) => `${kind} ${Math.round((100 * k.right) / k.all)} %`).join(', ');
  const held = family.heldOut ? ' (held out)' : '';
  console.log(
    `${family.name}${held}: ${Math.round((100 * right) / all)} % right (${parts}), ${Math.round(ms / SEEDS.length)} ms each`,
  );
}
