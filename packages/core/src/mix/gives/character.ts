import { IDENTITY_PARTS } from '../influence/parts';
import type { Give } from './give';

export const character: Give = {
  says: 'Who somebody is: face, hair, build and clothes',
  factors: { identity: 1 },
  usual: { weight: 0.8, from: 0, to: 1 },
  parts: IDENTITY_PARTS,
  choosesParts: true,
  facts: ['face', 'traits'],
  stage: true,
  forShot: false,
  missing: 'no face and no clear figure were found in it',
};
