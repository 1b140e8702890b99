import type { NewMixDto } from '../mixes/mix.dto';
import type { NewProjectDto } from '../projects/project.dto';
import type { NewShotDto } from '../series/series.dto';

/** A project of the demo studio; the pictures that it picks by their keys. */
export interface DemoProject extends Omit<NewProjectDto, 'lookId'> {
  readonly id: string;
  readonly lookId?: string;
  readonly pictures: readonly string[];
}

/** The picture book, and a memory game from the same library. */
export const DEMO_BOOK: DemoProject = {
  id: 'demo-book',
  name: 'The Tidepost',
  lookId: 'demo-look-chalk',
  pictures: [],
};
export const DEMO_CARDS: DemoProject = {
  id: 'demo-cards',
  name: 'Lamplight cards',
  lookId: 'demo-look-carved',
  looks: ['demo-look-carved', 'demo-look-thread'],
  settings: { aspect: '1:1', ornateness: 0.2 },
  pictures: ['red-carving', 'carved-quay', 'blue-carving', 'printed-storm', 'brown-block', 'the-light-in-the-storm'],
};

/** What all cards have in common: a carved look, and the plate of the project. */
export const DEMO_CARDS_MIX = {
  name: 'One card',
  prompt: 'a lantern on a table at night',
  avoid: '',
  settings: { aspect: '1:1', seed: 3300, balance: 1, ornateness: 0.2 },
  influences: [
    {
      id: 'look',
      of: 'look',
      referenceId: 'demo-look-carved',
      gives: 'look',
      weight: 0.8,
      from: 0,
      to: 1,
      reading: 'normal',
      on: true,
    },
  ],
} satisfies NewMixDto;

/** Twelve cards: each shows one thing that is found again at once. */
export const DEMO_CARDS_SERIES: { readonly name: string; readonly shots: readonly NewShotDto[] } = {
  name: 'Twelve cards',
  shots: (
    [
      ['The lighthouse', 'the lighthouse at night'],
      ['The heron', 'a heron in the reed channel at dawn'],
      ['The mill', 'the mill by the dyke in the evening'],
      ['The whale', 'a whale in the open sea at night'],
      ['The boat', 'a sailing boat on the open sea, morning'],
      ['The lantern', 'a lantern on a table in the attic at night'],
      ['The owl', 'an owl in the forest by moonlight'],
      ['The cat', 'a cat on a chair in the kitchen by lamplight'],
      ['The snowman', 'a snowman in the town square, snow'],
      ['The fox', 'a fox in the meadow at dusk'],
      ['The bridge', 'a stone bridge in autumn'],
      ['The cottage', 'a cottage in the meadow, winter night'],
    ] as const
  ).map(([title, prompt], k) => ({ title, prompt, seed: 3301 + k })),
};
