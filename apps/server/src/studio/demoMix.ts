import type { NewMixDto } from '../mixes/mix.dto';
import type { NewShotDto } from '../series/series.dto';

/** The demo mix; `referenceId` is a picture's key and replaced when the mix is made. */
export const DEMO_MIX = {
  name: 'Tidepost in chalk',
  prompt: 'Ilse poles the punt home at dusk, Brom beside her, reeds in front',
  avoid: '',
  // the painter knows both by itself: their sheets would be a second telling
  settings: { aspect: '3:2', seed: 4117, balance: 1, uncalled: ['demo-ilse', 'demo-brom'] },
  influences: [
    { id: 'look', referenceId: 'chalk-dusk', gives: 'look', weight: 0.85, from: 0, to: 1, reading: 'normal', on: true },
    {
      id: 'palette',
      referenceId: 'still-marsh',
      gives: 'palette',
      weight: 0.4,
      from: 0,
      to: 0.6,
      reading: 'normal',
      on: true,
    },
    {
      id: 'masses',
      referenceId: 'the-light-in-the-storm',
      gives: 'everything',
      weight: 0.25,
      from: 0,
      to: 0.35,
      reading: 'normal',
      on: true,
    },
  ],
} satisfies NewMixDto;

/** The mix of the demo series: a look and a character; pictures by their keys, as above. */
export const DEMO_YEAR_MIX = {
  name: 'The year in chalk',
  prompt: 'a young woman walking on the pier, Brom beside her',
  avoid: '',
  settings: { aspect: '3:2', seed: 2200, balance: 1, uncalled: ['demo-brom'] },
  influences: [
    {
      id: 'look',
      referenceId: 'chalk-dusk',
      gives: 'look',
      weight: 0.8,
      from: 0,
      to: 1,
      reading: 'normal',
      on: true,
    },
    {
      id: 'ilse',
      of: 'character',
      referenceId: 'demo-ilse',
      gives: 'character',
      weight: 1.1,
      from: 0,
      to: 1,
      reading: 'normal',
      on: true,
    },
  ],
} satisfies NewMixDto;

/** Twelve months; the words never name her, so that it is the character who makes her Ilse. */
export const DEMO_SERIES: { readonly name: string; readonly shots: readonly NewShotDto[] } = {
  name: 'Twelve months',
  shots: (
    [
      ['January', 'half figure of a young woman on the winter pier, snow, Brom beside her'],
      ['February', 'a young woman waving in the stilt village in snow, morning'],
      ['March', 'half figure of a young woman in the salt marsh at dawn, wind'],
      ['April', 'a young woman reading a letter in the orchard in blossom'],
      ['May', 'a young woman walking by the mill by the dyke, noon, Brom behind her'],
      ['June', 'half figure of a young woman on the market quay at noon'],
      ['July', 'a young woman holding a letter by the boathouse in the evening, Brom beside her'],
      ['August', 'half figure of a young woman waving in the harbour, summer'],
      ['September', 'a young woman poles the punt through the reed channel at dusk, Brom on the bow'],
      ['October', 'a young woman with a lantern on the stone bridge, autumn'],
      ['November', 'half figure of a young woman in the rain, lighthouse'],
      ['December', 'half figure of a young woman with a lantern in the stilt village at dusk, snow'],
    ] as const
  ).map(([title, prompt], k) => ({ title, prompt, seed: 2201 + k })),
};
