/** The JSON Schema (2020-12) of render requests, built from what core declares of settings and gives. */
import {
  AREA_KINDS,
  CHOICE_TRAITS,
  COLOUR_TRAITS,
  INFLUENCE_SETTINGS,
  JOINTS,
  MAX_AREAS,
  MAX_NAMED_PLACES,
  MAX_EMPHASES,
  MAX_INFLUENCES,
  FACE_CONTOURS,
  FACE_REACH,
  MOST_OUTFITS,
  NUMBER_TRAITS,
  SEEN_KINDS,
  SHAPE_TRAITS,
  SETTINGS,
  schemaOf,
  USUAL_FEATHER,
  WIDEST_FEATHER,
  type AnySetting,
  type JsonSchema,
} from '@urbild/core';
import { CLOSEST } from '../frames/frame';
import { MAX_SIDE, MIN_SIDE } from './request';

/** The longest text of a request. */
const LONGEST = 4000;
/** The most names of a studio that a request tells. */
const MOST_NAMES = 200;
/** The most pictures of one influence. */
const MOST_PICTURES = 64;

const text = (more: JsonSchema = {}): JsonSchema => ({ type: 'string', maxLength: LONGEST, ...more });
const number = (minimum: number, maximum: number, usual?: number): JsonSchema => ({
  type: 'number',
  minimum,
  maximum,
  ...(usual === undefined ? {} : { default: usual }),
});
const whole = (minimum: number, maximum: number, usual: number): JsonSchema => ({
  ...number(minimum, maximum, usual),
  type: 'integer',
});
/** An object with these fields and no others; `title` is what one field of it is called. */
const object = (properties: Record<string, JsonSchema>, required: string[] = [], title = 'field'): JsonSchema => ({
  type: 'object',
  title,
  additionalProperties: false,
  ...(required.length ? { required } : {}),
  properties,
});
const list = (items: JsonSchema, maxItems: number, minItems = 0): JsonSchema => ({
  type: 'array',
  ...(minItems ? { minItems } : {}),
  maxItems,
  items,
});
const tuple = (length: number, items: JsonSchema, description: string): JsonSchema => ({
  ...list(items, length, length),
  description,
});
const ref = (name: string): JsonSchema => ({ $ref: `#/$defs/${name}` });

/** The settings that a request says as they stand and that are not made of parts. */
const declared = (settings: Readonly<Record<string, AnySetting>>): Record<string, JsonSchema> =>
  Object.fromEntries(
    Object.entries(settings)
      .filter(([, { request, form }]) => request !== 'otherwise' && form.kind !== 'parts')
      .map(([name, setting]) => [name, schemaOf(setting)]),
  );

/** One trait; what is known of it besides (that a person locked it, say) does not matter here. */
const trait = (value: Record<string, JsonSchema>, required: string[] = []): JsonSchema => ({
  type: 'object',
  ...(required.length ? { required } : {}),
  properties: { ...value, confidence: number(0, 1, 1) },
});
/** Contours of half a face, as FACE_CONTOURS says. */
const faceShape = object(
  Object.fromEntries(
    Object.entries(FACE_CONTOURS).map(([name, points]) => [
      name,
      {
        ...list(
          tuple(2, number(-FACE_REACH, FACE_REACH), 'two numbers, in distances between the eyes'),
          points,
          points,
        ),
        title: 'points',
      },
    ]),
  ),
  Object.keys(FACE_CONTOURS),
);
const traits = object(
  Object.fromEntries([
    ...COLOUR_TRAITS.map((name) => [
      name,
      trait({ colour: tuple(3, number(-1, 1), 'three numbers, L from 0 to 1, a and b from -1 to 1') }, ['colour']),
    ]),
    ...NUMBER_TRAITS.map((name) => [name, trait({ number: number(0, 4, 1) })]),
    ...CHOICE_TRAITS.map((name) => [name, trait({ choice: text() }, ['choice'])]),
    ...SHAPE_TRAITS.map((name) => [name, trait({ shape: faceShape }, ['shape'])]),
  ]) as Record<string, JsonSchema>,
  [],
  'trait',
);

const outfit = object({ name: text(), wears: text(), traits: ref('traits') }, ['name']);

const area = object(
  {
    colour: { type: 'string', pattern: '^#[0-9a-f]{6}$', description: 'a colour as #rrggbb, in small letters' },
    is: { enum: [...AREA_KINDS] },
  },
  ['colour', 'is'],
);
/** A plan of named areas, or a map of near and far. */
const layout: JsonSchema = {
  type: 'object',
  required: ['read'],
  properties: { read: { enum: ['areas', 'distance'] } },
  allOf: [
    {
      if: { properties: { read: { const: 'distance' } } },
      then: object({ read: {}, near: { enum: ['light', 'dark'] } }),
    },
    {
      if: { properties: { read: { const: 'areas' } } },
      then: object({ read: {}, areas: { ...list(area, MAX_AREAS, 1), title: 'colours' } }, ['areas']),
    },
  ],
};

const namedPlace = object({ x: number(0, 1), y: number(0, 1), is: { enum: [...SEEN_KINDS] } }, ['x', 'y', 'is']);

const picture = object(
  {
    content: text(),
    weight: number(0, 4, 1),
    horizon: number(0, 1),
    face: object({ eyes: ref('point'), chin: ref('point'), yaw: number(-180, 180, 0) }, ['eyes', 'chin']),
    joints: object(Object.fromEntries(JOINTS.map((name) => [name, ref('point')])), [], 'joint'),
    layout,
    areas: { ...list(namedPlace, MAX_NAMED_PLACES), title: 'named areas' },
    traits: ref('traits'),
  },
  ['content'],
);

const influence = object(
  {
    id: text(),
    ...declared(INFLUENCE_SETTINGS),
    region: ref('mask'),
    traits: ref('traits'),
    pictures: { ...list(picture, MOST_PICTURES, 1), title: 'pictures' },
  },
  ['pictures'],
);

const view = object({ x: number(0, 1, 0.5), y: number(0, 1, 0.5), size: number(CLOSEST, 1, 1) });
const frame = object(
  {
    at: number(0, 1),
    camera: object({ from: { ...ref('view'), default: {} }, to: { ...ref('view'), default: {} } }),
    across: number(-1, 1),
    towards: text(),
  },
  ['at'],
);

/** Schema of a render request, as it is also written to docs/formats/render-request.schema.json. */
export const REQUEST_SCHEMA: JsonSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: 'urn:urbild:render-request:1',
  ...object(
    {
      prompt: text(),
      avoid: text({ default: '' }),
      width: whole(MIN_SIDE, MAX_SIDE, 768),
      height: whole(MIN_SIDE, MAX_SIDE, 512),
      ...declared(SETTINGS),
      emphases: list(object({ words: text(), weight: number(0, 2, 1) }, ['words']), MAX_EMPHASES),
      names: list(
        object({ name: text(), description: text(), outfits: { ...list(outfit, MOST_OUTFITS), title: 'outfits' } }, [
          'name',
        ]),
        MOST_NAMES,
      ),
      start: object({ content: text(), change: number(0, 1, 0.6) }, ['content']),
      mask: ref('mask'),
      frame,
      hold: object({ content: text(), at: number(0, 1, 0) }, ['content']),
      influences: { ...list(influence, MAX_INFLUENCES), default: [] },
    },
    ['prompt'],
  ),
  $defs: {
    view,
    point: tuple(2, number(-1, 2), 'two parts of width and height, each from -1 to 2'),
    mask: object(
      {
        content: text(),
        invert: { type: 'boolean', default: false },
        feather: number(0, WIDEST_FEATHER, USUAL_FEATHER),
      },
      ['content'],
    ),
    traits,
  },
};
