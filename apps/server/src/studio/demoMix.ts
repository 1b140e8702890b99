import type { NewMixDto } from '../mixes/mix.dto';
import type { NewShotDto } from '../series/series.dto';

/** The demo mix; `referenceId` is a picture's key and replaced when the mix is made. */
export const DEMO_MIX = {
  name: 'Tidepost in chalk',
  prompt: 'Ilse poles the punt home at dusk, Brom beside her, reeds in front',
  avoid: '',
  settings: { aspect: '3:2', seed: 4117, balance: 1 },
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

export const DEMO_SERIES: { readonly name: string; readonly shots: readonly NewShotDto[] } = {
  name: 'Three letters',
  shots: [
    { title: 'The bag is full', prompt: 'Ilse walking in the harbour in the morning with Brom', seed: 311 },
    {
      title: 'Through the reeds',
      prompt: 'Ilse poles the punt through the reed channel at dusk, Brom on the bow',
      seed: 312,
    },
    { title: 'The last house', prompt: 'Ilse waving in the stilt village under the moon', seed: 313 },
  ],
};
