import type { Give } from './give';

export const outfit: Give = {
  says: "Somebody's clothes",
  factors: { identity: 1 },
  usual: { weight: 0.8, from: 0, to: 1 },
  parts: ['clothes'],
  facts: ['face', 'traits'],
  stage: true,
  forShot: false,
  missing: 'no clothes of anybody were found in it',
};
