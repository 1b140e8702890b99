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

/** The hues for styles of elements, as the light of the room has them; canvases and charts ask paintOf. */
export const HUES: Readonly<Record<Hue, string>> = {
  style: 'var(--color-style)',
  character: 'var(--color-character)',
  face: 'var(--color-face)',
  image: 'var(--color-image)',
  words: 'var(--color-words)',
};
