import { COLOUR_VALUES, colourDistance, type CreatureBrief, type Lch, type PersonBrief } from '@urbild/core';
import { eyeColour, SKINS } from '../people/fromWords';
import { HAIR_COLOURS } from '../people/invented';
import { HATS } from '../people/person';
import type { DrawnPerson, FigureRecord } from '../scene/figureRecord';
import { REGION } from '../scene/region';
import type { SeenItem } from '../scene/seen';
import { headPart, partIn, SAME_COLOUR, seenItems, type Case, type Testimony, type Witness } from './scene';

/** Heads lower than this part of the picture have no features that anybody sees. */
const LEGIBLE_HEAD = 0.05;
const TOO_SMALL = 'The head is too small to show it: ask for a half figure or a portrait.';
const AWAY = 'The face is turned away.';
const OTHERWISE = 'The references draw it otherwise: their share of this part is larger than that of the words.';
const CUT_OFF = 'The picture ends above it: ask for a full figure.';

const drawnOf = ({ figures }: Case): DrawnPerson[] => figures.flatMap((f) => f.drawn ?? []);
const HATS_COVER: ReadonlySet<string> = new Set(['hood', 'headscarf', "sou'wester"]);

/** Everybody whom it is said of shows it: the first reason of those who do not. */
function everybody(one: Case, test: (drawn: DrawnPerson, f: FigureRecord) => Testimony): Testimony {
  if (!one.figures.length) return 'Nobody of that kind is in the picture.';
  for (const f of one.figures) {
    const said = f.drawn ? test(f.drawn, f) : true;
    if (said !== true) return said;
  }
  return true;
}

/** A face is large enough and turned to the viewer. */
const legible = (one: Case, f: FigureRecord): Testimony =>
  headPart(one, f) < LEGIBLE_HEAD ? TOO_SMALL : !f.landmarks.nose ? AWAY : true;

const onFace =
  (has: (drawn: DrawnPerson) => boolean): Witness =>
  (one) =>
    everybody(one, (drawn, f) => {
      const seen = legible(one, f);
      return seen === true ? has(drawn) || OTHERWISE : seen;
    });

/** What is drawn for a word for hair. */
const STYLES: Readonly<Record<string, readonly string[]>> = {
  plait: ['plait', 'two plaits'],
  bob: ['bowl'],
  curls: ['curly'],
};

const FEATURES: Readonly<Record<string, Witness>> = {
  beard: onFace(({ person }) => !!person.beard),
  moustache: onFace(({ person }) => !!person.moustache || !!person.beard),
  freckles: onFace(({ person }) => person.freckles),
  glasses: onFace(({ person }) => !!person.glasses),
  earring: onFace(({ person }) => !!person.earring),
  eyes: onFace(() => true),
  hair: (one) => everybody(one, ({ person }) => person.hair.style !== 'bald' || OTHERWISE),
};

/** A feature of the head can be seen. */
export const hasFeature: Witness = (one) => {
  const { value } = one.claim;
  if (FEATURES[value]) return FEATURES[value](one);
  const styles = STYLES[value] ?? [value];
  return everybody(one, ({ person }, f) => {
    if (headPart(one, f) < LEGIBLE_HEAD) return TOO_SMALL;
    if (person.hat && HATS_COVER.has(person.hat.kind)) return 'A hat covers the hair.';
    return styles.includes(person.hair.style) || OTHERWISE;
  });
};

/** The regions that a garment covers. */
const REGIONS_OF: Readonly<Record<string, readonly number[]>> = {
  trousers: [REGION.legwear, REGION.garment],
  shorts: [REGION.legwear, REGION.garment],
  skirt: [REGION.legwear, REGION.garment],
  boots: [REGION.footwear],
  shoes: [REGION.footwear],
  satchel: [REGION.prop],
};
const BELOW: ReadonlySet<string> = new Set(['trousers', 'shorts', 'skirt', 'boots', 'shoes', 'barefoot']);
const ON_THE_HEAD: ReadonlySet<string> = new Set(HATS);

/** All that somebody wears, by the words for it. */
function wears({ person: p }: DrawnPerson, kind: string): boolean {
  switch (kind) {
    case 'raincoat':
      return p.top.kind === 'oilskin';
    case 'barefoot':
      return p.feet.kind === 'bare';
    case 'scarf':
      return !!p.scarf;
    case 'satchel':
      return !!p.satchel;
    case 'dress':
      return p.top.kind === 'dress';
    default:
      return [p.top.kind, p.over?.kind, p.bottom.kind, p.feet.kind, p.hat?.kind].includes(kind as never);
  }
}

/** A garment is worn, and some of it can be seen. */
export const isWorn: Witness = (one) => {
  const { value } = one.claim;
  if (one.entity?.kind === 'creature') {
    const cloth = seenItems(one).every((i) => i.colours.some(({ region }) => region === REGION.garment));
    return cloth || 'This creature is drawn without it: some wear scarves, none wears anything else.';
  }
  const legs = one.figures.some((f) => f.joints['near knee'] && f.joints['near knee'][1] < one.seen.height);
  if (BELOW.has(value) && !legs) return CUT_OFF;
  return everybody(one, (drawn) => wears(drawn, value) || OTHERWISE);
};

/** The garments of an outfit are worn: all that can be seen of them. */
export const isOutfit: Witness = (one) => {
  const { claim, entity } = one;
  if (!entity || entity.kind === 'thing' || !entity.outfit) return 'Nobody wears it.';
  const { wears: words, traits = {} } = entity.outfit;
  if (!words && !Object.keys(traits).length)
    return `Nothing tells what "${claim.value}" is: give this outfit words or a picture on the page of the cast.`;
  for (const { kind } of entity.garments) {
    const said = isWorn({ ...one, claim: { ...claim, axis: 'garment', value: kind } });
    if (said !== true && said !== CUT_OFF) return said;
  }
  return true;
};

/** The cloth of some garment has the named pattern. */
export const isPatterned: Witness = (one) =>
  everybody(
    one,
    ({ person: p }) =>
      [p.top, p.over, p.bottom, p.scarf].some((cloth) => cloth?.pattern === one.claim.value) ||
      'No cloth of theirs that can be seen has it.',
  );

/** The face makes the named expression, where it can be seen. */
export const isExpressed: Witness = (one) => {
  if (one.entity?.kind !== 'person') return 'Only the faces of people change.';
  return everybody(one, (drawn, f) => {
    const seen = legible(one, f);
    if (seen !== true) return seen;
    if (drawn.asleep) return 'Somebody who sleeps has a sleeping face.';
    return drawn.expression === one.claim.value || 'The face is drawn otherwise.';
  });
};

const TURNS: Readonly<Record<string, readonly [number, number]>> = {
  front: [0, 12],
  'three-quarter': [20, 55],
  profile: [70, 100],
  back: [130, 180],
};

/** The body is turned as the words say. */
export const isTurned: Witness = (one) => {
  const [from, to] = TURNS[one.claim.value];
  if (one.entity?.kind === 'creature') return one.claim.value === 'profile' || 'Creatures are drawn from the side.';
  const wrong = one.figures.find((f) => Math.abs(f.yaw) < from || Math.abs(f.yaw) > to);
  return (one.figures.length > 0 && !wrong) || 'They are drawn from another side.';
};

/** Skin of the named colour. */
export const hasSkin: Witness = (one) => {
  const wanted = SKINS[one.claim.value as keyof typeof SKINS];
  return everybody(one, ({ person }) => colourDistance(person.skin, wanted) < SAME_COLOUR || OTHERWISE);
};

/** Build as it is drawn. */
export const isBuilt: Witness = (one) =>
  everybody(one, ({ person }) => (one.claim.value === 'thin' ? person.girth < 1 : person.girth > 1) || OTHERWISE);

/** The parts of somebody that a colour may be said of, with what must show it. */
function colouredParts(e: PersonBrief, name: string): { lch: Lch; regions?: readonly number[]; what: string }[] {
  const is = (own: { name: string } | undefined): boolean =>
    !!own && (own.name === name || own.name.endsWith(` ${name}`));
  const parts: { lch: Lch; regions?: readonly number[]; what: string }[] = [];
  const hair = e.hair?.colour;
  if (hair && is(hair)) parts.push({ lch: HAIR_COLOURS[hair.name] ?? hair.lch, regions: [REGION.hair], what: 'hair' });
  if (e.beard?.colour && is(e.beard.colour))
    parts.push({ lch: HAIR_COLOURS[e.beard.colour.name] ?? e.beard.colour.lch, regions: [REGION.hair], what: 'beard' });
  if (e.clothes && is(e.clothes)) parts.push({ lch: e.clothes.lch, regions: [REGION.garment], what: 'clothes' });
  for (const g of e.garments)
    for (const own of [g.colour, g.second])
      if (own && is(own))
        parts.push({
          lch: own.lch,
          regions: ON_THE_HEAD.has(g.kind) ? [REGION.headwear] : (REGIONS_OF[g.kind] ?? [REGION.garment]),
          what: g.kind,
        });
  for (const h of e.holds) if (h.colour && is(h.colour)) parts.push({ lch: h.colour.lch, what: h.what });
  return parts;
}

/** The least part of what may have a colour that has it. */
const LEAST_COLOURED = 0.04;

/** The named colour is where the words put it. */
export const isColoured: Witness = (one) => {
  const { entity, claim } = one;
  const items = seenItems(one);
  // the ink of a print
  if (claim.entity === undefined)
    return one.seen.medium === one.brief.medium || 'Another medium is chosen for the mix.';
  if (!entity || !items.length) return 'What has this colour cannot be seen.';
  if (entity.kind === 'person') return coloursOfPerson(one, entity, items);
  const own = [entity.colour, ...garmentsOf(entity)].find((c) => c?.name.endsWith(claim.value));
  const lch = own?.lch ?? COLOUR_VALUES[claim.value];
  const shows = items.every((item) => partIn(one, item, lch) >= LEAST_COLOURED);
  return shows || `It is not drawn in that colour.`;
};

const garmentsOf = (e: Case['entity']): CreatureBrief['colour'][] =>
  e?.kind === 'creature' ? e.garments.map((g) => g.colour) : [];

function coloursOfPerson(one: Case, e: PersonBrief, items: readonly SeenItem[]): Testimony {
  const { value } = one.claim;
  const isHair = one.claim.axis === 'hair colour';
  const parts = colouredParts(e, value).filter(({ what }) => !isHair || what === 'hair');
  if (!parts.length) {
    const { eyes } = e;
    if (!eyes) return 'Nothing of theirs has it.';
    return onFace(({ person }) => colourDistance(person.eyes.colour, eyeColour(eyes.lch)) < SAME_COLOUR)(one);
  }
  for (const { lch, regions, what } of parts) {
    if (BELOW.has(what) && !one.figures.some((f) => f.joints['near knee'])) return CUT_OFF;
    const bald = what === 'hair' && drawnOf(one).some(({ person }) => person.hat && HATS_COVER.has(person.hat.kind));
    if (bald) return 'A hat covers the hair.';
    if (!items.some((item) => partIn(one, item, lch, regions) >= LEAST_COLOURED)) return OTHERWISE;
  }
  return true;
}
