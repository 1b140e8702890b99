import type { Give } from './give';

export const face: Give = {
  says: "Somebody's face and hair",
  factors: { identity: 1 },
  usual: { weight: 0.8, from: 0, to: 1 },
  parts: ['face', 'hair'],
  facts: ['face', 'traits'],
  stage: true,
  forShot: false,
  missing: 'no face was found in it',
};
