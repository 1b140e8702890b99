import type { Give } from './give';

export const place: Give = {
  says: 'Its place, behind the people and things of the words',
  factors: { layout: 1 },
  parts: [],
  facts: ['horizon', 'joints', 'areas'],
  stage: true,
  forShot: true,
};
