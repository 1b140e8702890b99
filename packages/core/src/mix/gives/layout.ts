import type { Give } from './give';

export const layout: Give = {
  says: 'Where things, the horizon and the subject lie',
  factors: { layout: 1 },
  usual: { weight: 0.7, from: 0, to: 0.5 },
  parts: [],
  facts: ['horizon', 'joints', 'layout', 'areas'],
  stage: true,
  forShot: true,
};
