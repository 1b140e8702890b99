import { answerOf, oddsOf, type Lab, type TraitSheet } from '@urbild/core';
import { measureCloth } from './clothPattern';
import { ownColour } from './faceColours';
import { colourGap } from './features';
import type { FaceFrame } from './frame';
import type { HeadField } from './headField';
import type { HeadParts } from './headParts';
import { sightOf, type Looked } from './looked';
import { models } from './models';
import type { SeenBeside } from './ownColour';

/** Colours of a cloth that are nearer than this are one. */
const ONE_COLOUR = 0.08;
/** Less likely than this a pattern is none. */
const SURE = 0.8;
/** How far the two colours of a pattern are believed where the pattern is certain. */
const BELIEVED = 0.8;

/** A picture less tinted than this is a drawing of one ink: its hatching is no pattern. */
const ONE_INK = 0.35;

/** The clothes below a head: where they are in the frame of the face, and what else is seen in their light. */
export interface ClothAround {
  readonly at: FaceFrame;
  readonly field: HeadField;
  readonly parts: HeadParts;
  readonly beside: SeenBeside;
}

/**
 * The pattern of the clothes below a head, and its two colours; nothing where too little of them is in the picture, or where nobody can
 * tell a pattern from the hatching of a drawing.
 */
export function clothTraits(looked: Looked, { at, field, parts, beside }: ClothAround): TraitSheet {
  const { source, frame, tinted } = looked;
  const cloth = tinted < ONE_INK ? undefined : measureCloth(source, at, field, parts);
  if (!cloth) return {};
  const own = ownColour('upper', cloth.most, looked, beside);
  // the same light lies over both
  const other = cloth.other.map((v, c) => v + own[c] - cloth.most[c]) as unknown as Lab;
  const network = models().pattern;
  const odds = oddsOf(answerOf(network, cloth.features));
  const best = odds.indexOf(Math.max(...odds));
  const plain = network.names.indexOf('plain');
  // a pattern that is not there is worse than one that is missed
  const k = odds[best] < SURE ? plain : best;
  const [is, sure] = [network.names[k], odds[k] * sightOf(frame)];
  const pattern = { choice: is, confidence: sure };
  if (is === 'plain' || colourGap(cloth.most, cloth.other) < ONE_COLOUR) return { pattern };
  const confidence = BELIEVED * sure * tinted;
  return {
    pattern,
    upper: { colour: own, confidence },
    'pattern colour': { colour: other, confidence },
  };
}
