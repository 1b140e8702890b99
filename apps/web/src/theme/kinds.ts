import type { Schemas } from '@urbild/api';

export type Kind = Schemas['Kind'];

/** The four kinds and the words: each has a name and a hue of its own, and a sign (see KindSign). */
export const KINDS: readonly { readonly kind: Kind; readonly name: string; readonly hint: string }[] = [
  { kind: 'style', name: 'Style', hint: 'lends its surface and colours' },
  { kind: 'character', name: 'Character', hint: 'shows who somebody is' },
  { kind: 'face', name: 'Face', hint: 'shows a face large and clear' },
  { kind: 'image', name: 'Image', hint: 'any other picture' },
];

export type Hue = Kind | 'words';

/** The hues as hexadecimal values, for canvas and charts; the same as in theme.css. */
export const HUES: Readonly<Record<Hue, string>> = {
  style: '#3447a8',
  character: '#a06a12',
  face: '#b23f63',
  image: '#2c7d73',
  words: '#3a3733',
};
