import type { Give } from './give';

export const place: Give = {
  says: 'Its place, behind the people and things of the words',
  factors: { layout: 1 },
  usual: { weight: 0.8, from: 0, to: 0.6 },
  parts: [],
  facts: ['horizon', 'joints', 'areas'],
  stage: true,
  forShot: true,
};
