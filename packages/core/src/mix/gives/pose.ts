import type { Give } from './give';

export const pose: Give = {
  says: 'How its main figure stands, sits or moves',
  factors: { pose: 1 },
  usual: { weight: 0.8, from: 0, to: 0.6 },
  parts: [],
  facts: ['joints'],
  stage: true,
  forShot: true,
  missing: 'no shoulders and hands of anybody were found in it',
};
