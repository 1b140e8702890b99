import {
  describe,
  measureArrival,
  median,
  pictureFromRgba,
  srgbToLab,
  type Trait,
  type TraitSheet,
} from '@urbild/core';
import { BuiltInEngine, figureDistances, readRequest, strangerPictures, type RenderResult } from '@urbild/engine';
import { FAMILIES } from '@urbild/engine-tools';
import type { Line } from './line';

const [WIDTH, HEIGHT, SEED] = [360, 270, 7];
const PROMPTS = ['half figure of a woman in the harbour at noon', 'portrait of a man in the meadow in the morning'];
const PEOPLE = 12;
const PORTRAITS = FAMILIES.find((f) => f.name === 'flat people')!;

const labOf = ([r, g, b]: readonly [number, number, number]) => srgbToLab(Math.round(r), Math.round(g), Math.round(b));

/** The sheet of somebody of a family, from what its generator knows: skin, hair, clothes. */
export function sheetOfFamily(who: number): TraitSheet {
  const { skin, hair, clothes } = PORTRAITS.make({ who, seed: 1 }).truth;
  const trait = (rgb: readonly [number, number, number] | undefined): Trait | undefined =>
    rgb && { colour: labOf(rgb), confidence: 0.9 };
  return JSON.parse(JSON.stringify({ skin: trait(skin), hair: trait(hair), upper: trait(clothes) })) as TraitSheet;
}

/** Somebody is drawn from a sheet: arrival of that person, and of somebody else. */
export async function rightPeople(print: (text: string) => void): Promise<Line[]> {
  const engine = new BuiltInEngine();
  const { rgba, width, height } = PORTRAITS.make({ who: 1, seed: 1 });
  const picture = pictureFromRgba(rgba, width, height);
  const reference = describe(picture);
  const wrong: number[] = [];
  let above = 0;
  for (let who = 1; who <= PEOPLE; who++) {
    const prompt = PROMPTS[who % PROMPTS.length];
    const [own, other] = [sheetOfFamily(who), sheetOfFamily(1 + ((who + 4) % PEOPLE))];
    const requestOf = (weight: number, traits: TraitSheet) =>
      readRequest({
        prompt,
        width: WIDTH,
        height: HEIGHT,
        seed: SEED,
        influences: [{ id: 'a', gives: 'character', weight, traits, pictures: [{ content: 'p' }] }],
      });
    const render = (weight: number) => engine.render(requestOf(weight, own), () => Promise.resolve(picture));
    const [control, take] = [await render(0), await render(1)];
    const seen = (r: RenderResult) => describe(pictureFromRgba(r.rgba, WIDTH, HEIGHT));
    const at = (sheet: TraitSheet): number => {
      const [influence] = requestOf(1, sheet).influences;
      const others = figureDistances({
        ...{ influence, take: take.figures, control: control.figures, sheet },
        aspect: { picture: 4 / 3, reference: 1 },
      });
      const input = { gives: 'character' as const, take: seen(take), control: seen(control), reference, others };
      return measureArrival({ ...input, strangers: strangerPictures() }).channels.identity ?? 0;
    };
    const [right, somebodyElse] = [at(own), at(other)];
    if (right > somebodyElse) above++;
    wrong.push(somebodyElse);
    print(`  person ${who}, ${prompt}: right ${right.toFixed(2)}, somebody else ${somebodyElse.toFixed(2)}`);
  }
  return [
    { what: `people of ${PEOPLE} who have arrived more than somebody else`, figure: above, least: 11 },
    { what: 'arrival of somebody else, median', figure: median(wrong), most: 0.05 },
  ];
}
