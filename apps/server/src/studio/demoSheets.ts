import type { Slot } from '@urbild/core';
import type { Outfit } from '../cast/character.entity';

/** A look of the demo studio; its pictures by their keys. */
export interface DemoLook {
  readonly id: string;
  readonly name: string;
  readonly notes: string;
  readonly pictures: readonly (readonly [key: string, weight: number])[];
}

/** A character of the demo studio; its pictures by their keys. */
export interface DemoCharacter {
  readonly id: string;
  readonly name: string;
  readonly species: string;
  readonly description: string;
  readonly outfits?: readonly Omit<Outfit, 'id' | 'pictures'>[];
  readonly pictures: readonly (readonly [key: string, slot: Slot])[];
}

export const DEMO_LOOKS: readonly DemoLook[] = [
  {
    id: 'demo-look-chalk',
    name: 'Chalk and dust',
    notes: 'The look of the book: soft chalk on tinted paper, dusk colours.',
    pictures: [
      ['chalk-dusk', 1],
      ['sand-chalk', 0.8],
      ['night-chalk', 0.6],
    ],
  },
  {
    id: 'demo-look-carved',
    name: 'Carved',
    notes: 'For the chapter headings.',
    pictures: [
      ['red-carving', 1],
      ['carved-quay', 1],
      ['blue-carving', 1],
      ['printed-storm', 0.7],
      ['brown-block', 0.7],
    ],
  },
  {
    id: 'demo-look-thread',
    name: 'Thread and glass',
    notes: 'Endpapers.',
    pictures: [
      ['stitched-harbour', 1],
      ['night-thread', 1],
      ['leaded-evening', 0.8],
      ['gilded-panes', 0.8],
    ],
  },
];

export const DEMO_CAST: readonly DemoCharacter[] = [
  {
    id: 'demo-ilse',
    name: 'Ilse',
    species: 'person',
    description: 'A young postwoman with a copper plait, freckles, a mustard oilskin coat and a moss-green satchel.',
    outfits: [
      { name: 'winter coat', wears: 'a blue coat, a white knit cap, a red scarf and boots' },
      { name: 'market-day dress', wears: 'a green dress with white dots and shoes' },
    ],
    pictures: [
      ['ilse-front', 'front'],
      ['ilse-three-quarter', 'three-quarter'],
      ['ilse-profile', 'side'],
      ['ilse-with-her-lantern', 'outfit'],
      ['ilse-face', 'expression'],
      ['ilse-surprised', 'expression'],
    ],
  },
  {
    id: 'demo-marek',
    name: 'Marek',
    species: 'person',
    description: 'The old miller, white-bearded, in a knit cap and a dark jumper.',
    pictures: [
      ['marek', 'front'],
      ['old-marek-face', 'expression'],
      ['marek-profile', 'side'],
    ],
  },
  {
    id: 'demo-tove',
    name: 'Tove',
    species: 'person',
    description: 'The lamp keeper, with dark curls, a red dress and a pale shawl.',
    pictures: [
      ['tove-with-her-lamp', 'front'],
      ['tove-face', 'expression'],
    ],
  },
  {
    id: 'demo-juna',
    name: 'Juna',
    species: 'person',
    description: "The net-mender's child: black bowl cut, red glasses, a striped jumper.",
    pictures: [
      ['juna', 'front'],
      ['juna-face', 'expression'],
    ],
  },
  {
    id: 'demo-brom',
    name: 'Brom',
    species: 'heron',
    description: 'A grey heron with a red neckerchief.',
    pictures: [['brom', 'full figure']],
  },
];
