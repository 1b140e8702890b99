import type { Give } from './give';

export const palette: Give = {
  says: 'Its colours, without its strokes',
  factors: { colour: 1 },
  usual: { weight: 0.4, from: 0, to: 0.6 },
  parts: [],
  facts: [],
  stage: false,
  forShot: true,
};
