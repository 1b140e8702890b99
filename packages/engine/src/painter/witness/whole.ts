import { colourDistance, type Framing, type PlaceName, type Season, type Time } from '@urbild/core';
import { TIMES } from '../light/times';
import { REGION, type Region } from '../scene/region';
import { headPart, isSeen, type Case, type Testimony, type Witness } from './scene';

const R = REGION;
/** What of a place can be seen wherever it is the setting: any of these regions, over at least this part of the picture. */
const MARKS: Readonly<Record<PlaceName, readonly (readonly [parts: readonly Region[], least: number])[]>> = {
  marsh: [
    [[R.water], 0.02],
    [[R.foliage, R.ground], 0.02],
  ],
  'reed channel': [[[R.water, R.foliage], 0.04]],
  'stilt village': [[[R.roof, R.building, R.wood], 0.01]],
  harbour: [
    [[R.water], 0.01],
    [[R.building, R.roof, R.boat], 0.01],
  ],
  'market quay': [[[R.building, R.roof, R.wood, R.prop], 0.02]],
  mill: [[[R.building, R.roof, R.wood], 0.005]],
  lighthouse: [[[R.building], 0.004]],
  boathouse: [[[R.wood, R.building], 0.1]],
  pier: [[[R.wood], 0.01]],
  'open sea': [[[R.water], 0.08]],
  beach: [[[R.ground], 0.04]],
  meadow: [[[R.ground, R.foliage, R.hill], 0.08]],
  forest: [[[R.foliage, R.wood], 0.05]],
  orchard: [[[R.foliage, R.wood], 0.02]],
  mountains: [[[R.hill, R.rock], 0.05]],
  'river bridge': [[[R.rock, R.building], 0.005]],
  'village street': [[[R.building, R.roof], 0.04]],
  'town square': [[[R.building, R.roof], 0.04]],
  kitchen: [[[R.building, R.wood], 0.1]],
  attic: [[[R.building, R.wood], 0.1]],
  greenhouse: [[[R.window, R.foliage, R.building], 0.05]],
  'night sky': [[[R.sky], 0.15]],
};

const partOf = ({ seen }: Case, regions: readonly Region[]): number =>
  regions.reduce<number>((sum, region) => sum + seen.regions[region], 0);

/** Why a place is not seen that a reference lays out. */
export const LAID_OUT = 'A picture among the references decides the place.';
const COVERED = 'Too little of the place can be seen behind its subject.';

/** The setting can be recognised by what it is made of, and by its landmark where it has one. */
export const isPlace: Witness = (one) => {
  const { claim, seen } = one;
  const marks = MARKS[claim.value as PlaceName];
  const landmarks = seen.items.filter((i) => i.kind === 'landmark' && i.what === claim.value);
  const shows =
    marks.every(([regions, least]) => partOf(one, regions) >= least) &&
    (!landmarks.length || landmarks.some((i) => isSeen(one, i)));
  return shows || (seen.laidOut ? LAID_OUT : COVERED);
};

/** Outside, or so much sky in a window that the weather can be told. */
const isOpen = (one: Case): boolean => partOf(one, [R.sky, R.cloud]) > 0.03;
const INDOORS = 'The picture is indoors: no weather is seen there.';
const LIT_OTHERWISE = 'A picture among the references decides the light.';

/** Rain, snow, wind, mist are drawn in front of open places; clouds and a clear sky need a sky. */
export const isWeather: Witness = (one) => {
  const { value } = one.claim;
  const roofed = ['kitchen', 'attic', 'boathouse', 'greenhouse'].includes(one.brief.place);
  if (roofed) return INDOORS;
  if ((value === 'clear' || value === 'cloudy') && !isOpen(one)) return 'No sky is seen.';
  return one.seen.light.weather === value || LIT_OTHERWISE;
};

/** How far apart two skies may be that are of one time, in OKLab. */
const ONE_SKY = 0.2;

/** The sky and the light are those of the time. */
export const isTime: Witness = (one) => {
  const { light } = one.seen;
  const value = one.claim.value as Time;
  if (light.time === value && light.weather !== 'clear') return true;
  return colourDistance(light.sky[1], TIMES[value].sky[1]) < ONE_SKY || LIT_OTHERWISE;
};

/** Leaves, grass or snow show the season. */
export const isSeason: Witness = (one) => {
  if (one.seen.light.season !== (one.claim.value as Season)) return LIT_OTHERWISE;
  const shows = partOf(one, [R.foliage, R.ground, R.hill]) > 0.02 || one.seen.light.weather === 'snow';
  return shows || 'Nothing that changes with the season can be seen.';
};

/** Light from behind, or lamps that are lit. */
export const isLit: Witness = (one) => {
  if (one.claim.value === 'backlit') return one.seen.light.rim > TIMES[one.brief.time].rim * 1.2 || LIT_OTHERWISE;
  return one.seen.lamps > 0 || one.seen.light.lamps || 'There is no lamp in the picture.';
};

/** Parts of the picture's height that a head has in a framing: from, to. */
const HEADS: Readonly<Record<Framing, readonly [number, number]>> = {
  portrait: [0.2, 1],
  'half figure': [0.12, 0.45],
  'full figure': [0.02, 0.16],
  'wide view': [0, 0.075],
};

/** The largest head, or creature, has the size of the framing. */
export const isFramed: Witness = (one) => {
  const framing = one.claim.value as Framing;
  const people = one.seen.figures.filter((f) => f.kind === 'person');
  const [from, to] = HEADS[framing];
  if (people.length) {
    const largest = Math.max(...people.map((f) => headPart(one, f)));
    return (largest >= from && largest <= to) || 'The people are drawn in another size.';
  }
  const creatures = one.seen.items.filter((i) => i.kind === 'creature' && !i.held);
  const near = framing === 'portrait' || framing === 'half figure';
  if (!creatures.length) return !near || 'Nobody is there of whom it could be a portrait.';
  const tall = Math.max(...creatures.map(({ box }) => (box ? (box[3] - box[1]) / one.seen.height : 0)));
  return (near ? tall > 0.35 : tall < 0.75) || 'The creature is drawn in another size.';
};

/** The horizon lies high or low. */
export const isSeenFrom: Witness = (one): Testimony => {
  const { horizon, height } = one.seen;
  if (horizon === undefined) return 'A portrait has the eye at its usual height.';
  const at = horizon / height;
  return (one.claim.value === 'above' ? at < 0.42 : at > 0.55) || 'This place has one height of the eye.';
};

/** The picture is drawn in the medium. */
export const isIn: Witness = (one) => one.seen.medium === one.claim.value || 'Another medium is chosen for the mix.';

/** Nothing of the kind is among what was painted. */
export const isAbsent: Witness = (one) => {
  const [axis, value] = one.claim.value.split(': ');
  const there = one.seen.items.some(
    (i) => (i.kind === axis && i.what === value) || (axis === 'person' && i.kind === 'person'),
  );
  return !there || 'It is in the picture all the same.';
};

/** Nobody appears who was not named, and nobody twice: the people of the scene are those of the words. */
export const peopleBeyond = (one: Pick<Case, 'brief' | 'seen'>): number => {
  const named = one.brief.entities.reduce((sum, e) => sum + (e.kind === 'person' ? e.count : 0), 0);
  return one.seen.items.filter((i) => i.kind === 'person').length - named;
};
