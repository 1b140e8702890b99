import { findHorizon, levelOf, type Picture } from '@urbild/core';
import type { RequestPicture } from '../contract/request';
import { placesOfPlan } from './placesOfPlan';

/** A line across a picture: 0 top .. 1 foot, and how sure it is, 0..1. */
export interface FoundHorizon {
  readonly at: number;
  readonly confidence: number;
}

/** Longer side at which the areas of a plan are looked at, px. */
export const PLAN_SIDE = 96;

/** The horizon of a layout: as a person put it, the edge of a plan's sky, or what is found; a map of distances tells none. */
export function horizonOf(told: RequestPicture, picture: Picture): FoundHorizon | undefined {
  if (told.horizon !== undefined) return { at: told.horizon, confidence: 1 };
  if (told.layout?.read === 'distance') return undefined;
  if (told.layout?.read !== 'areas') return findHorizon(picture);
  const { horizon } = placesOfPlan(levelOf(picture, PLAN_SIDE), told.layout);
  return horizon === undefined ? undefined : { at: horizon, confidence: 1 };
}
