import { airbrush } from './airbrush';
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
import { paintedBusts } from './paintedBusts';
import { pencilStreets } from './pencilStreets';
import { posters } from './posters';
import { products } from './products';
import { snapshots } from './snapshots';
import { solids } from './solids';
import { stipples } from './stipples';
import { washes } from './washes';

export { CLOTH_PATTERNS, DRESSED, PATTERNED } from './family';
export type {
  AreaTruth,
  AreaTruthKind,
  FamilyPicture,
  FamilyTruth,
  FamilyWish,
  ForeignFamily,
  PersonTruth,
} from './family';

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

/** Scenes whose areas are known: outlines alone, flat colours, land seen by a camera, scribbled fills, gradients. */
export const SCENE_FAMILIES: readonly ForeignFamily[] = [pencilStreets, posters, heightFields, feltChildren, airbrush];

/** Portraits of people whose looks and wear are known, from DRESSED on in all ways, from PATTERNED on in patterns too: five techniques. */
export const PEOPLE_FAMILIES: readonly ForeignFamily[] = [
  marchedHeads,
  flatPeople,
  hatchedPortraits,
  paintedBusts,
  snapshots,
];
