import { collages } from './collages';
import { dabs } from './dabs';
import { engravings } from './engravings';
import type { ForeignFamily } from './family';
import { feltChildren } from './feltChildren';
import { flatPeople } from './flatPeople';
import { floorPlans } from './floorPlans';
import { halftones } from './halftones';
import { hatchedPortraits } from './hatchedPortraits';
import { heightFields } from './heightFields';
import { mannequins } from './mannequins';
import { marchedHeads } from './marchedHeads';
import { mosaics } from './mosaics';
import { products } from './products';
import { solids } from './solids';
import { stipples } from './stipples';
import { washes } from './washes';

export type { FamilyPicture, FamilyTruth, FamilyWish, ForeignFamily } from './family';

/** Every family; what is held out is never trained or tuned on. */
export const FAMILIES: readonly ForeignFamily[] = [
  marchedHeads,
  flatPeople,
  hatchedPortraits,
  heightFields,
  solids,
  feltChildren,
  floorPlans,
  mannequins,
  products,
  collages,
  stipples,
  mosaics,
  engravings,
  washes,
  halftones,
  dabs,
];
