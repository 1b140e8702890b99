import type { Give } from './give';

export const thing: Give = {
  says: 'The thing that it shows, set into the picture',
  factors: { identity: 1 },
  usual: { weight: 0.8, from: 0, to: 1 },
  parts: [],
  facts: ['joints'],
  stage: true,
  forShot: false,
};
