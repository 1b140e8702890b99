import { describe, measureArrival, median, pictureFromRgba, type Descriptors, type Gives } from '@urbild/core';
import { BuiltInEngine, readRequest, strangerPictures } from '@urbild/engine';
import { FAMILIES } from '@urbild/engine-tools';
import type { Line } from './line';

const [WIDTH, HEIGHT, SEED] = [320, 240, 7];
const PROMPTS = [
  'Ilse walking in the harbour at noon',
  'a fox in the forest, autumn',
  'a boat on the beach at dusk',
  'a cat in the kitchen',
];
const ASKED: readonly Gives[] = ['look', 'palette', 'everything'];
/** Families that nothing was tuned on. */
const HELD_OUT = FAMILIES.filter((f) => f.heldOut);

interface Measured {
  readonly descriptors: Descriptors;
  readonly picture: ReturnType<typeof pictureFromRgba>;
}

function pictureOf(family: number, who: number): Measured {
  const { rgba, width, height } = HELD_OUT[family % HELD_OUT.length].make({ who, seed: 60 + who });
  const picture = pictureFromRgba(rgba, width, height);
  return { picture, descriptors: describe(picture) };
}

/** 60 takes of held-out families: arrival at their own reference, at another one's, and of a copy. */
export async function arrivals(print: (text: string) => void): Promise<Line[]> {
  const engine = new BuiltInEngine();
  const [unrelated, copies]: number[][] = [[], []];
  let [above, pairs] = [0, 0];
  for (let family = 0; family < HELD_OUT.length; family++)
    for (const [p, prompt] of PROMPTS.entries())
      for (const gives of ASKED) {
        const own = pictureOf(family, 1 + p);
        // another technique each time, never its own
        const other = pictureOf(family + 1 + ((p + pairs) % (HELD_OUT.length - 1)), 5 + p);
        const content = `${family} ${p}`;
        const render = async (weight: number): Promise<Descriptors> => {
          const influences = [{ id: 'a', gives, weight, pictures: [{ content }] }];
          const request = readRequest({ prompt, width: WIDTH, height: HEIGHT, seed: SEED, influences });
          const { rgba } = await engine.render(request, () => Promise.resolve(own.picture));
          return describe(pictureFromRgba(rgba, WIDTH, HEIGHT));
        };
        const [control, take] = [await render(0), await render(1)];
        const at = (shown: Descriptors, reference: Descriptors): number =>
          measureArrival({ gives, take: shown, control, reference, strangers: strangerPictures() }).overall ?? 0;
        const [right, wrong, copy] = [
          at(take, own.descriptors),
          at(take, other.descriptors),
          at(own.descriptors, own.descriptors),
        ];
        pairs++;
        if (right > wrong) above++;
        unrelated.push(wrong);
        copies.push(copy);
        print(
          `  ${HELD_OUT[family].name}, ${gives}, ${prompt}: right ${right.toFixed(2)}, unrelated ${wrong.toFixed(2)}, copy ${copy.toFixed(2)}`,
        );
      }
  return [
    {
      what: `arrivals of ${pairs} that are higher at their own reference than at an unrelated one`,
      figure: above,
      least: 57,
    },
    { what: 'arrival at an unrelated reference, median', figure: median(unrelated), most: 0.05 },
    { what: 'arrival of a copy, the least', figure: Math.min(...copies), least: 0.95 },
  ];
}
