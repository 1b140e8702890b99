import type { PlaceName } from '@urbild/core';
import { attic } from './attic';
import { beach } from './beach';
import { boathouse } from './boathouse';
import { forest } from './forest';
import { greenhouse } from './greenhouse';
import { harbour } from './harbour';
import { kitchen } from './kitchen';
import { lighthouse } from './lighthouse';
import { marketQuay } from './marketQuay';
import { marsh } from './marsh';
import { meadow } from './meadow';
import { millByTheDyke } from './mill';
import { mountains } from './mountains';
import { nightSky } from './nightSky';
import { openSea } from './openSea';
import { orchard } from './orchard';
import { pier } from './pier';
import type { Place } from './place';
import { reedChannel } from './reedChannel';
import { riverBridge } from './riverBridge';
import { stiltVillage } from './stiltVillage';
import { townSquare } from './townSquare';
import { villageStreet } from './villageStreet';

export type { AreaHint, AreasHint } from './areasHint';
export { layOutAreas } from './laidOut';
export type { LayoutHints, Place, Setting, Staging } from './place';

/** The painter of every place: one file and one line each. */
export const PLACE_PAINTERS: Readonly<Record<PlaceName, Place>> = {
  marsh,
  'reed channel': reedChannel,
  'stilt village': stiltVillage,
  harbour,
  'market quay': marketQuay,
  mill: millByTheDyke,
  lighthouse,
  boathouse,
  pier,
  'open sea': openSea,
  beach,
  meadow,
  forest,
  orchard,
  mountains,
  'river bridge': riverBridge,
  'village street': villageStreet,
  'town square': townSquare,
  kitchen,
  attic,
  greenhouse,
  'night sky': nightSky,
};
