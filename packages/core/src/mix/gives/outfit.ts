import type { Give } from './give';

export const outfit: Give = {
  says: "Somebody's clothes",
  factors: { identity: 1 },
  parts: ['clothes'],
  facts: ['face', 'traits'],
  stage: true,
  forShot: false,
  missing: 'no clothes of anybody were found in it',
};
