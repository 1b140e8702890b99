import type { Give } from './give';

export const look: Give = {
  says: 'How it is made: its strokes, its surface and its colours',
  factors: { colour: 1, surface: 1 },
  usual: { weight: 0.8, from: 0, to: 1 },
  parts: [],
  facts: [],
  stage: false,
  forShot: false,
};
