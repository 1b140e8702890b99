import type { Give } from './give';

export const face: Give = {
  says: "Somebody's face and hair",
  factors: { identity: 1 },
  parts: ['face', 'hair'],
  facts: ['face', 'traits'],
  stage: true,
  forShot: false,
  missing: 'no face was found in it',
};
