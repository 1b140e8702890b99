import { sameData } from '../merge/merge';
import { INFLUENCE_SETTINGS } from './influence';
import type { MixInfluence, MixState } from './mix';
import type { AnySetting } from './setting';
import { SETTINGS, type MixSettings } from './settings';

/** True where two values of a declared setting mean the same: what is not said is as usual. */
function same(settings: object, a: object, b: object): boolean {
  return Object.entries(settings as Record<string, AnySetting>).every(([name, { usual, plain }]) => {
    const value = (of: object): unknown => {
      const said: unknown = (of as Record<string, unknown>)[name] ?? usual;
      return said !== undefined && plain ? (plain(said) as unknown) : said;
    };
    return sameData(value(a), value(b));
  });
}

/** True where the settings of two mixes make the same picture of the same words and influences. */
export const sameSettings = (a: MixSettings, b: MixSettings): boolean => same(SETTINGS, a, b);

/** True where two influences are the same, their ids included. */
export const sameInfluence = (a: MixInfluence, b: MixInfluence): boolean =>
  a.id === b.id &&
  (a.of ?? 'reference') === (b.of ?? 'reference') &&
  a.referenceId === b.referenceId &&
  same(INFLUENCE_SETTINGS, a, b);

/** True where two states make the same picture. The order of the influences counts. */
export const sameMix = (a: MixState, b: MixState): boolean =>
  a.prompt === b.prompt &&
  a.avoid === b.avoid &&
  sameSettings(a.settings, b.settings) &&
  a.influences.length === b.influences.length &&
  a.influences.every((i, k) => sameInfluence(i, b.influences[k]));
