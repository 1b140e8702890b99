import { give } from '../../mix/gives';
import type { Remark } from './remark';
import type { MixWarning } from './warning';

/** Warnings about what a take found out of its influences, by the names that they are spoken of. */
export function remarkWarnings(remarks: readonly Remark[], names: Readonly<Record<string, string>>): MixWarning[] {
  return remarks.map(({ influence, gives, kind }): MixWarning => {
    const name = names[influence] ?? influence;
    const off = { label: `Switch ${name} off`, changes: [{ influence, set: { on: false } }] };
    const about = { kind, influences: [influence] };
    switch (kind) {
      case 'nobody-to-take':
        return {
          ...about,
          cause: `Nobody is in the picture who could take the ${gives} of ${name}: the words name nobody for it.`,
          fix: off,
        };
      case 'nothing-to-give':
        return {
          ...about,
          cause: `${name} has no ${gives} to give: ${give(gives).missing ?? 'nothing of the kind was found in it'}. It can be marked by hand in the library.`,
          fix: { label: 'Let it give its look', changes: [{ influence, set: { gives: 'look' } }] },
        };
      case 'toned-shape':
        return {
          ...about,
          cause: `${name} is not of two tones: it was taken as a layout, not as a silhouette.`,
          fix: { label: 'Let it give its layout', changes: [{ influence, set: { gives: 'layout' } }] },
        };
      case 'shape-at-edge':
        return { ...about, cause: `The shape of ${name} touches the edge of its picture: it will look cut off there.` };
      case 'thin-shape':
        return {
          ...about,
          cause: `Parts of ${name} are thinner than 2 px at this size: they will break. A larger size or bolder lines hold.`,
        };
    }
  });
}
