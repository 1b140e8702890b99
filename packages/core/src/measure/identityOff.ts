import type { Lab } from '../colour/oklab';
import { clamp, median } from '../maths/scalar';
import { tellingOf, traitDistance } from '../traits/apart';
import { fuseTraits } from '../traits/fuse';
import { inOtherClothes, isWornTrait } from '../traits/parts';
import { COLOUR_TRAITS, type TraitName, type TraitSheet } from '../traits/types';
import { allBut } from './robust';
import type { JudgedInfluence, ShotFacts } from './shotFacts';

/** The least height of a whole figure whose identity can be told, px: a head of about 22. */
const TOLD = 110;
/** What a trait has to be read with before it speaks for or against somebody. */
const READ = 0.35;
/** So many other shots have to tell a trait before one is compared with them. */
const TELLERS = 3;
/** From this height of a whole figure on readings are as good as they get, px; below, their errors grow as the figure shrinks. */
const LARGE = 450;
/** The least part of a distance that is believed, however small the figure. */
const LEAST_BELIEVED = 0.25;
/** How much has to be told of somebody before a distance means anything: hair or skin that is half sure. */
const TELLING = 1.2;
/** How far light moves colours of people at most, OKLab: lightness, and each of a and b. */
const LIGHT = { l: 0.1, ab: 0.05 } as const;

/** How much of a distance counts that only what is worn makes: held things lie before it, and it may be changed. */
const WORN_COUNTS = 0.4;

/** What a shot shows of somebody as it is compared with the others. */
export interface IdentityOff {
  /** Whether anything of them can be seen. */
  readonly legible: boolean;
  /** Distance to what all others show together, 0 the same .. about 1 somebody else; undefined where it cannot be told. */
  readonly distance?: number;
}

/** The traits that count: those that are known of the character, as far as a picture tells them. */
function toldOf(traits: TraitSheet, known: TraitSheet | undefined): TraitSheet {
  const told = Object.entries(traits).filter(
    ([name, t]) => t.confidence >= READ && (!known || known[name as TraitName] !== undefined),
  );
  return Object.fromEntries(told);
}

/** The traits of a sheet whose names are as asked for. */
const only = (sheet: TraitSheet, wanted: (name: string) => boolean): TraitSheet =>
  Object.fromEntries(Object.entries(sheet).filter(([name]) => wanted(name)));

/** The light that lies over all colours of somebody alike: the median of how far each is from what it usually is. */
function lightOver(sheet: TraitSheet, usual: TraitSheet): Lab {
  const shifts = COLOUR_TRAITS.flatMap((name) => {
    const [is, was] = [sheet[name]?.colour, usual[name]?.colour];
    return is && was ? [[is[0] - was[0], is[1] - was[1], is[2] - was[2]] as const] : [];
  });
  // one colour alone cannot be told from light
  if (shifts.length < 2) return [0, 0, 0];
  const axis = (k: 0 | 1 | 2, most: number) => clamp(median(shifts.map((s) => s[k])), -most, most);
  return [axis(0, LIGHT.l), axis(1, LIGHT.ab), axis(2, LIGHT.ab)];
}

/** A sheet without the light that lies over it. */
function withoutLight(sheet: TraitSheet, light: Lab): TraitSheet {
  const out: Partial<Record<TraitName, TraitSheet[TraitName]>> = { ...sheet };
  for (const name of COLOUR_TRAITS) {
    const trait = sheet[name];
    if (trait?.colour) out[name] = { ...trait, colour: trait.colour.map((v, k) => v - light[k]) as unknown as Lab };
  }
  return out;
}

/** The distance of two sheets; what only clothes add to it counts in part. */
function distanceOf(own: TraitSheet, usual: TraitSheet): number | undefined {
  const whole = traitDistance(own, usual);
  const bare = traitDistance(
    only(own, (name) => !isWornTrait(name)),
    usual,
  );
  if (whole === undefined || bare === undefined || whole < bare) return whole;
  return bare + WORN_COUNTS * (whole - bare);
}

/**
 * How far what each shot shows of somebody is from what all other shots show of them: by the traits that are known of them, and
 * after the light that lies over all of their colours is taken away.
 */
export function identityOff(
  shots: readonly ShotFacts[],
  { id, sheet }: JudgedInfluence,
  pictureHeight: number,
): IdentityOff[] {
  const seen = shots.map(({ subjects: { [id]: s } }) => {
    if (!s || s.height * pictureHeight < TOLD) return {};
    // clothes that the words call are others on purpose
    return s.outfit === undefined ? s.traits : inOtherClothes(s.traits);
  });
  const all = seen.map((s) => toldOf(s, sheet));
  return all.map((_, k) => {
    const legible = Object.keys(seen[k]).length > 0;
    const others = allBut(all, k);
    const often = (name: string) => others.filter((o) => o[name as TraitName]).length >= TELLERS;
    const own = only(all[k], often);
    const usual = only(fuseTraits(others), often);
    if (tellingOf(own, usual) < TELLING) return { legible };
    const plain = withoutLight(own, lightOver(own, usual));
    const distance = distanceOf(plain, usual);
    const px = (shots[k].subjects[id]?.height ?? 0) * pictureHeight;
    return { legible, distance: distance && distance * clamp(px / LARGE, LEAST_BELIEVED, 1) };
  });
}
