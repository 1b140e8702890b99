import { unpackRows, type Descriptors } from '@urbild/core';
import { MEASURED_STRANGERS } from './strangers.generated';

let strangers: readonly Descriptors[] | undefined;

/** What is measured of eight pictures that nobody's references have to do with: what they score is an arrival of 0. */
export function strangerPictures(): readonly Descriptors[] {
  if (!strangers) {
    const { palette, surface, layout } = MEASURED_STRANGERS;
    const [p, s, l] = [palette, surface, layout].map(unpackRows);
    strangers = p.map((_, k) => ({ palette: p[k], surface: s[k], layout: l[k] }));
  }
  return strangers;
}
