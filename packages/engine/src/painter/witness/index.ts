import type { Claim, NotDrawn, SceneBrief } from '@urbild/core';
import type { SceneSeen } from '../scene/seen';
import { isDone } from './actions';
import {
  hasFeature,
  hasSkin,
  isBuilt,
  isColoured,
  isExpressed,
  isPatterned,
  isOutfit,
  isTurned,
  isWorn,
} from './people';
import type { Case, Witness } from './scene';
import { isAtDistance, isCounted, isOnSide, isRelated, isSized, isThere } from './things';
import { isAbsent, isFramed, isIn, isLit, isPlace, isSeason, isSeenFrom, isTime, isWeather } from './whole';

/** One predicate over the finished scene for every axis of the vocabulary that can be seen. */
const WITNESSES: Readonly<Record<string, Witness>> = {
  person: isThere,
  cast: isThere,
  creature: isThere,
  thing: isThere,
  count: isCounted,
  side: isOnSide,
  distance: isAtDistance,
  size: isSized,
  relation: isRelated,
  age: isThere,
  build: isBuilt,
  skin: hasSkin,
  feature: hasFeature,
  'hair colour': isColoured,
  colour: isColoured,
  garment: isWorn,
  outfit: isOutfit,
  pattern: isPatterned,
  expression: isExpressed,
  action: isDone,
  view: isTurned,
  place: (one) => (one.entity ? isThere(one) : isPlace(one)),
  time: isTime,
  weather: isWeather,
  season: isSeason,
  light: isLit,
  framing: isFramed,
  camera: isSeenFrom,
  medium: isIn,
  no: isAbsent,
};

/** What the words say that the scene shows, and what of them it does not show, each with the sentence that says why. */
export interface Witnessed {
  readonly drawn: readonly Claim[];
  readonly notDrawn: readonly NotDrawn[];
}

/** Hears the witness of every claim of a brief. Words that came to nothing while they were read are not drawn either. */
export function witnessed(brief: SceneBrief, seen: SceneSeen): Witnessed {
  const drawn: Claim[] = [];
  const notDrawn: NotDrawn[] = [...brief.unused];
  for (const claim of brief.claims) {
    const said = WITNESSES[claim.axis]?.(caseOf(claim, brief, seen)) ?? true;
    if (said === true) drawn.push(claim);
    else {
      const { start, end, text, axis, value } = claim;
      if (!notDrawn.some((n) => n.start === start && n.why === said))
        notDrawn.push({ start, end, text, means: `${axis}: ${value}`, why: said });
    }
  }
  return {
    // a word of which one part is not drawn does not count as drawn
    drawn: drawn.filter(({ start }) => !notDrawn.some((n) => n.start === start)),
    notDrawn: notDrawn.sort((a, b) => a.start - b.start),
  };
}

function caseOf(claim: Claim, brief: SceneBrief, seen: SceneSeen): Case {
  const { entity } = claim;
  return {
    claim,
    brief,
    seen,
    entity: entity === undefined ? undefined : brief.entities[entity],
    items: seen.items.filter((i) => i.entity === entity && !i.held),
    figures: seen.figures.filter((f) => f.entity === entity),
  };
}

export { isSeen } from './scene';
export { LAID_OUT, peopleBeyond } from './whole';
