import type { Give } from './give';

export const light: Give = {
  says: 'Its light: time of day, direction, contrast and the colour of sky and haze',
  factors: { colour: 0.7 },
  usual: { weight: 0.7, from: 0, to: 0.6 },
  parts: [],
  facts: [],
  stage: true,
  forShot: true,
};
