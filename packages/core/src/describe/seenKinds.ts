/** What an area of a picture may show when the picture is read; `nothing` is a plain ground behind a subject. */
export const SEEN_KINDS = [
  'sky',
  'water',
  'ground',
  'plants',
  'building',
  'rock',
  'person',
  'thing',
  'sun or moon',
  'nothing',
] as const;
export type SeenKind = (typeof SEEN_KINDS)[number];

/** The tint of each kind, #rrggbb, wherever areas are shown by what they show. */
export const SEEN_TINTS: Readonly<Record<SeenKind, string>> = {
  sky: '#8fb8d8',
  water: '#3f74a8',
  ground: '#b49a68',
  plants: '#5f8f58',
  building: '#b0604a',
  rock: '#7d7a74',
  person: '#b0679a',
  thing: '#8a78b0',
  'sun or moon': '#e0c050',
  nothing: '#e8e4da',
};

/** What a person says that the area at a place shows; x and y are parts of the width and height, 0..1. */
export interface NamedPlace {
  readonly x: number;
  readonly y: number;
  readonly is: SeenKind;
}
/** How many areas of a picture can be named. */
export const MAX_NAMED_PLACES = 24;
