import type { PlaceName } from '@urbild/core';
import type { Place } from './place';
import { harbour, lighthouse, millByTheDyke } from './shore';
import { marsh, openSea, pier, reedChannel, stiltVillage, stiltVillageOnFoot } from './waterside';

export type { LayoutHints, Staging } from './place';

/** The painter of a place; a stilt village has a jetty where somebody walks in it. */
export function placeFor(name: PlaceName, onFoot: boolean): Place {
  switch (name) {
    case 'marsh':
      return marsh;
    case 'reed channel':
      return reedChannel;
    case 'stilt village':
      return onFoot ? stiltVillageOnFoot : stiltVillage;
    case 'lighthouse':
      return lighthouse;
    case 'harbour':
      return harbour;
    case 'mill':
      return millByTheDyke;
    case 'open sea':
      return openSea;
    case 'pier':
      return pier;
  }
}
