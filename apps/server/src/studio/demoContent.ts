import type { Medium } from '@urbild/core';
import type { Kind } from '../library/reference.entity';
import type { NewMixDto } from '../mixes/mix.dto';
import type { NewShotDto } from '../series/series.dto';

/** A picture of the demo studio: drawn from words by our own painter. */
export interface DemoPicture {
  readonly key: string;
  readonly kind: Kind;
  readonly title: string;
  readonly tags: readonly string[];
  readonly prompt: string;
  readonly medium: Medium;
  readonly inks?: 'green' | 'blue' | 'red';
  readonly seed: number;
  readonly upright?: boolean;
}

/** How many pictures at the head of the list the demo mix needs; it is made as soon as they are there. */
export const MIX_NEEDS = 3;

/** The made-up world of "The Tidepost": Ilse the postwoman and Brom the heron carry letters through a tidal marsh. */
export const DEMO_PICTURES: readonly DemoPicture[] = [
  {
    key: 'chalk-dusk',
    kind: 'style',
    title: 'Chalk dusk',
    tags: ['pastel', 'dusk'],
    prompt: 'the mill by the dyke in autumn, evening',
    medium: 'pastel',
    seed: 5,
  },
  {
    key: 'still-marsh',
    kind: 'image',
    title: 'Still marsh',
    tags: ['marsh', 'dawn'],
    prompt: 'reed channel at dawn, Brom, gulls',
    medium: 'gouache',
    seed: 7,
  },
  {
    key: 'storm-light',
    kind: 'image',
    title: 'The light in the storm',
    tags: ['lighthouse', 'storm'],
    prompt: 'lighthouse in a storm at night',
    medium: 'gouache',
    seed: 18,
  },
  {
    key: 'red-carving',
    kind: 'style',
    title: 'Red carving',
    tags: ['linocut', 'sea'],
    prompt: 'storm on the open sea',
    medium: 'linocut',
    inks: 'red',
    seed: 6,
  },
  {
    key: 'snow-pier',
    kind: 'image',
    title: 'Pier in snow',
    tags: ['winter'],
    prompt: 'winter pier, snow, Ilse walking with Brom',
    medium: 'gouache',
    seed: 25,
  },
  {
    key: 'marek-face',
    kind: 'face',
    title: 'Old Marek, face',
    tags: ['Marek'],
    prompt: 'portrait of old Marek, calm, mill in autumn',
    medium: 'gouache',
    seed: 12,
    upright: true,
  },
  {
    key: 'tove-face',
    kind: 'face',
    title: 'Tove, face',
    tags: ['Tove'],
    prompt: 'portrait of Tove, lighthouse at noon',
    medium: 'gouache',
    seed: 15,
    upright: true,
  },
  {
    key: 'ilse-three-quarter',
    kind: 'character',
    title: 'Ilse, three-quarter',
    tags: ['Ilse'],
    prompt: 'half figure of Ilse reading a letter, salt marsh in the morning',
    medium: 'gouache',
    seed: 4,
    upright: true,
  },
  {
    key: 'ilse-lantern',
    kind: 'character',
    title: 'Ilse with her lantern',
    tags: ['Ilse', 'night'],
    prompt: 'half figure of Ilse with a lantern at night, stilt village',
    medium: 'gouache',
    seed: 8,
    upright: true,
  },
  {
    key: 'still-gouache',
    kind: 'style',
    title: 'Still gouache',
    tags: ['gouache', 'dusk'],
    prompt: 'Ilse poles the punt home at dusk, Brom on the bow, among reeds',
    medium: 'gouache',
    seed: 33,
  },
  {
    key: 'ilse-front',
    kind: 'character',
    title: 'Ilse, front',
    tags: ['Ilse'],
    prompt: 'half figure of Ilse, front, salt marsh at dawn',
    medium: 'gouache',
    seed: 3,
    upright: true,
  },
  {
    key: 'printed-storm',
    kind: 'style',
    title: 'Printed storm',
    tags: ['woodblock', 'storm'],
    prompt: 'lighthouse in a storm, morning',
    medium: 'woodblock',
    seed: 17,
  },
  {
    key: 'salt-ink',
    kind: 'style',
    title: 'Salt ink',
    tags: ['ink wash', 'rain'],
    prompt: 'Ilse walking in the harbour, cloudy morning',
    medium: 'ink wash',
    seed: 9,
  },
  {
    key: 'paper-dusk',
    kind: 'style',
    title: 'Paper dusk',
    tags: ['paper-cut', 'night'],
    prompt: 'a moonlit stilt village, Ilse poling the punt with Brom',
    medium: 'paper-cut',
    seed: 21,
  },
  {
    key: 'ilse-face',
    kind: 'face',
    title: 'Ilse, face',
    tags: ['Ilse'],
    prompt: 'portrait of Ilse, front, marsh at dawn',
    medium: 'gouache',
    seed: 2,
    upright: true,
  },
  {
    key: 'carved-quay',
    kind: 'style',
    title: 'Carved quay',
    tags: ['linocut', 'winter'],
    prompt: 'winter pier, snow, Ilse with a lantern and Brom',
    medium: 'linocut',
    inks: 'green',
    seed: 14,
  },
];

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
      referenceId: 'storm-light',
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
