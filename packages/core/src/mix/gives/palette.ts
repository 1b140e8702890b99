import type { Give } from './give';

export const palette: Give = {
  says: 'Its colours, without its strokes',
  factors: { colour: 1 },
  parts: [],
  facts: [],
  stage: false,
  forShot: true,
};
