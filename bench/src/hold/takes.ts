import { pictureFromRgba } from '@urbild/core';
import { BuiltInEngine, readRequest, type Raster, type RenderResult } from '@urbild/engine';
import { FAMILIES, foreignLooks } from '@urbild/engine-tools';

/** A picture whose technique nobody here draws in. */
export type Look = Raster & { readonly name: string };

/** Twelve of them: six made as looks, six of the families. */
export const LOOKS: readonly Look[] = [
  ...foreignLooks(),
  ...['wet washes', 'engravings', 'dabs', 'torn paper', 'stipples', 'mosaics'].map((name) => ({
    ...FAMILIES.find((f) => f.name === name)!.make({ who: 1, seed: 5 }),
    name,
  })),
];

/** People near and far, creatures, rooms, light and dark. */
export const STAGES = [
  'Ilse in a yellow coat walks on the pier in the morning',
  'portrait of Tove in the harbour at noon',
  'half figure of Marek with a red cup, dusk in the village street',
  'Juna and a dog on the market quay',
  'a fox in the forest in autumn',
  'a heron in the marsh at dusk',
  'an old man sits in the kitchen',
  'half figure of a woman with a lantern, the stilt village at night',
] as const;

/** What every scene of this bench is made with. */
export const SEED = 7;

const engine = new BuiltInEngine();

/** Renders a scene under looks at their weights. */
export const takeOf = (scene: object, mix: readonly (readonly [look: Look, weight: number])[]): Promise<RenderResult> =>
  engine.render(
    readRequest({
      ...scene,
      influences: mix.map(([{ name }, weight]) => ({ gives: 'look', weight, pictures: [{ content: name }] })),
    }),
    (name) => {
      const { rgba, width, height } = LOOKS.find((look) => look.name === name)!;
      return Promise.resolve(pictureFromRgba(rgba, width, height));
    },
  );
