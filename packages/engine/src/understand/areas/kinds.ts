import { Naming, type NamedSeen, type NamingGrounds } from './naming';
import { nameHouses, nameInsideHouses, nameLargeBoxes, nameStems, nameSun } from './simpleForms';
import { nameColouredPeople, nameFigures } from './somebody';
import {
  nameByColour,
  nameBelowMirror,
  nameGround,
  namePieces,
  namePlainSubject,
  nameSky,
  nameSmallPatches,
  nameWithin,
  spreadSky,
} from './land';

/**
 * Names the areas of a picture by rules that can be read: simple forms first (a triangle on a box is a house, a bright circle high up the
 * sun), then what touches the top or the bottom, colours and neighbours last. Who is named first keeps the name.
 */
export function kindsOf(grounds: NamingGrounds): ReadonlyMap<number, NamedSeen> {
  const naming = new Naming(grounds);
  nameFigures(naming);
  nameStems(naming);
  nameHouses(naming);
  nameInsideHouses(naming);
  nameSun(naming);
  if (grounds.drawnBy === 'on plain ground') namePlainSubject(naming);
  else {
    nameColouredPeople(naming);
    nameSky(naming);
    nameByColour(naming);
    if (grounds.drawnBy !== 'lines') namePieces(naming);
    nameLargeBoxes(naming);
    nameBelowMirror(naming);
    spreadSky(naming);
    nameGround(naming);
    nameWithin(naming);
  }
  for (const [k] of naming.unnamed()) naming.name(k, 'thing', 'nothing else fits');
  nameSmallPatches(naming);
  return naming.named;
}
