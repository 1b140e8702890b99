/** What the page shows of a setting or a give: one prompt at rising values, drawn by the engine. */
import {
  give,
  GIVES,
  INFLUENCE_SETTINGS,
  MAX_WEIGHT,
  pictureFromRgba,
  READINGS,
  SETTINGS,
  type AnySetting,
  type Gives,
  type Picture,
  type TraitSheet,
} from '@urbild/core';
import { BuiltInEngine, readRequest, readTraits } from '@urbild/engine';
import { FAMILIES, SCENE_FAMILIES } from '../foreign/families';
import { foreignReferences, type ForeignReference } from '../foreign';
import { paintPersonFrom } from '../trainers/people';

/** The size in which each picture is drawn, three times the size in which it is shown. */
export const DRAWN = { width: 432, height: 288 };

/** A strip: what is shown of which setting or give, and the requests in their order. */
export interface Shown {
  readonly name: string;
  /** What gives, put first; none for settings that need no reference to be understood. */
  readonly reference?: string;
  readonly requests: readonly Record<string, unknown>[];
  /** What stands under each picture of a request. */
  readonly captions: readonly string[];
}

interface Given {
  readonly picture: Picture;
  readonly traits?: TraitSheet;
  readonly told?: ForeignReference['told'];
}

const WORDS = 'Ilse with a lamp on the quay in the evening';
/** What small marks can be laid along. */
const ORNATE = 'a heron in the reeds, woodblock';
const SEED = 7;

const family = (name: string, who = 1, seed = 1): Given => {
  const { rgba, width, height } = [...SCENE_FAMILIES, ...FAMILIES].find((f) => f.name === name)!.make({ who, seed });
  return { picture: pictureFromRgba(rgba, width, height) };
};

const reference = (name: string): Given => {
  const { picture, told } = foreignReferences().find((r) => r.picture.name === name)!;
  return { picture: pictureFromRgba(picture.rgba, picture.width, picture.height), told };
};

function sitter(): Given {
  const words = 'half figure of a woman with red curly hair and round glasses in a green coat, front, meadow at noon';
  const { picture, frame } = paintPersonFrom(words, 'gouache', 5, undefined, 480, 600)!;
  return { picture, traits: readTraits(picture, frame!).traits };
}

/** Pictures that give, by name; each is made when it is asked for. */
const PICTURES: Readonly<Record<string, () => Given>> = {
  look: () => family('engravings'),
  light: () => reference('photographed evening'),
  layout: () => family('torn paper'),
  shape: () => reference('sign'),
  pose: () => reference('stick dancer'),
  place: () => reference('photographed hills'),
  thing: () => reference('red kettle'),
  somebody: sitter,
};

const GIVEN_BY: Readonly<Record<Gives, string>> = {
  everything: 'place',
  look: 'look',
  palette: 'light',
  light: 'light',
  layout: 'layout',
  shape: 'shape',
  pose: 'pose',
  place: 'place',
  thing: 'thing',
  character: 'somebody',
  face: 'somebody',
  outfit: 'somebody',
};

/** Faces are judged near, everything else in the plate of the demo. */
const NEAR = 'half figure of Ilse on the quay in the evening';
const words = (by: string) => (by === 'somebody' ? NEAR : WORDS);

const influence = (by: string, fields: Record<string, unknown>) => ({ by, ...fields });
const asked = (by: string, fields: Record<string, unknown>, whole: Record<string, unknown> = {}) => ({
  prompt: words(by),
  influences: fields.weight === 0 ? [] : [influence(by, fields)],
  ...whole,
});

/** Nothing, as it is usual, and all that the handle goes to. */
const ofGive = (gives: Gives): Shown => {
  const by = GIVEN_BY[gives];
  const { weight, from, to } = give(gives).usual;
  return {
    name: gives,
    reference: by,
    requests: [0, weight, MAX_WEIGHT].map((w) => asked(by, { gives, weight: w, from, to })),
    captions: ['0', `${weight}, as usual`, String(MAX_WEIGHT)],
  };
};

const LOOK = { gives: 'look', weight: 0.8 };
const NAMED = 'half figure of Ilse with black hair in a yellow coat on the quay';
const { balance, ornateness, spread, strictness } = SETTINGS;
const { motif } = INFLUENCE_SETTINGS;

/** A number with its ends and what is usual, which may be one of them: then the middle stands between them. */
function ofNumber(name: string, setting: AnySetting, request: (value: number) => Record<string, unknown>): Shown {
  const { low, high } = setting.form as { low: number; high: number };
  const usual = setting.usual as number;
  const values = usual === low || usual === high ? [low, (low + high) / 2, high] : [low, usual, high];
  return {
    name,
    ...('influences' in request(low) ? { reference: byOf(request(high)) } : {}),
    requests: values.map(request),
    captions: values.map((v) => (v === usual ? `${v}, as usual` : String(v))),
  };
}

const byOf = ({ influences }: Record<string, unknown>) => (influences as { by: string }[])[0].by;

/** What is said in words, with the words. */
const ofWords = (
  name: string,
  said: readonly (readonly [caption: string, fields: Record<string, unknown>])[],
): Shown => ({
  name,
  reference: 'look',
  requests: said.map(([, fields]) => asked('look', { ...LOOK, ...fields })),
  captions: said.map(([caption]) => caption),
});

/** All strips: numbers of a mix, what is said of a lane, and gives. */
export const SHOWN: readonly Shown[] = [
  ofNumber('balance', balance, (v) => asked('look', LOOK, { balance: v })),
  ofNumber('ornateness', ornateness, (v) => ({ prompt: ORNATE, ornateness: v })),
  ofNumber('spread', spread, (v) => ({ prompt: WORDS, spread: v, seed: 23 })),
  ofNumber('strictness', strictness, (v) =>
    asked('somebody', { gives: 'character', weight: 0.8 }, { prompt: NAMED, strictness: v }),
  ),
  ofWords(
    'weight',
    [0, 0.3, give('look').usual.weight, MAX_WEIGHT].map((w) => [String(w), { weight: w }] as const),
  ),
  ofWords('span', [
    ['its first 40 %', { from: 0, to: 0.4 }],
    ['the whole course', { from: 0, to: 1 }],
    ['its last 40 %', { from: 0.6, to: 1 }],
  ]),
  ofNumber('motif', motif, (v) => asked('look', { ...LOOK, motif: v })),
  ofWords(
    'reading',
    READINGS.map((r) => [r, { reading: r }] as const),
  ),
  ...GIVES.map(ofGive),
];

const given = new Map<string, Given>();
/** A picture that gives, and who is read in it. */
export function givenBy(name: string): Given {
  if (!given.has(name)) given.set(name, PICTURES[name]());
  return given.get(name)!;
}

/** What the page knows of the strips: whether a picture that gives comes first, and what stands under the others. */
export const legends = (): Record<string, { readonly reference: boolean; readonly captions: readonly string[] }> =>
  Object.fromEntries(SHOWN.map(({ name, reference: by, captions }) => [name, { reference: !!by, captions }]));

interface Asked {
  readonly influences?: readonly ({ readonly by: string } & Record<string, unknown>)[];
}

/** Draws one request of a strip. */
export function drawn(engine: BuiltInEngine, { influences = [], ...fields }: Asked & Record<string, unknown>) {
  const request = readRequest({
    seed: SEED,
    ...DRAWN,
    ...fields,
    influences: influences.map(({ by, ...of }) => ({
      ...of,
      ...(givenBy(by).traits ? { traits: givenBy(by).traits } : {}),
      pictures: [{ content: by, ...givenBy(by).told }],
    })),
  });
  return engine.render(request, (name) => Promise.resolve(givenBy(name).picture));
}
