import { IDENTITY_PARTS } from '../influence/parts';
import type { Give } from './give';

export const everything: Give = {
  says: 'A little of all of it: arrangement, pose, people, colours and surface',
  factors: { layout: 0.5, pose: 0.5, identity: 0.5, colour: 0.6, surface: 0.6 },
  usual: { weight: 0.4, from: 0, to: 0.5 },
  parts: IDENTITY_PARTS,
  facts: ['horizon', 'face', 'joints', 'areas', 'traits'],
  stage: true,
  forShot: true,
};
