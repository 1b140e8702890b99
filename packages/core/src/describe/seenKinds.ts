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
