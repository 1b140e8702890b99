import type { Give } from './give';

export const shape: Give = {
  says: 'Its silhouette: the picture fills it, or what is around it',
  factors: { layout: 1 },
  usual: { weight: 0.8, from: 0, to: 1 },
  parts: [],
  facts: [],
  stage: true,
  forShot: true,
};
