import { sameData } from '../merge/merge';
import { INFLUENCE_SETTINGS, type InfluenceSettings } from './influence';
import type { MixInfluence } from './mix';
import type { AnySetting } from './setting';
import { SETTINGS, type MixSettings } from './settings';

/** The settings of a mix as a request says them. */
export type RequestedSettings = Omit<MixSettings, 'aspect' | 'start' | 'mask' | 'spread' | 'uncalled'> & {
  readonly spread: number;
};

type Fields = Readonly<Record<string, unknown>>;

const asTheyStand = (settings: Readonly<Record<string, AnySetting>>): [string, AnySetting][] =>
  Object.entries(settings).filter(([, s]) => s.request !== 'otherwise');

/** Part of the fields that are declared by `settings`, as the engine's request says them. */
function said(settings: Readonly<Record<string, AnySetting>>, fields: Fields): Fields {
  return Object.fromEntries(
    asTheyStand(settings).flatMap(([name, { request, usual, plain }]) => {
      const value: unknown = fields[name] ?? (request === 'always' ? usual : undefined);
      if (value === undefined) return [];
      const said: unknown = plain ? plain(value) : value;
      return request === 'unless usual' && sameData(said, usual) ? [] : [[name, said]];
    }),
  );
}

/** The settings of a mix as the engine's request says them: without what is as usual, and without what it says otherwise. */
export const requestedSettings = (settings: MixSettings): RequestedSettings =>
  said(SETTINGS, settings as unknown as Fields) as never;

/** The settings of an influence as the engine's request says them. */
export const requestedInfluence = (influence: InfluenceSettings): Omit<InfluenceSettings, 'except'> =>
  said(INFLUENCE_SETTINGS, influence as unknown as Fields) as never;

/** The settings that a request says, for a mix: the inverse of {@link requestedSettings}. */
export const settingsIn = (request: object): Partial<MixSettings> =>
  Object.fromEntries(
    asTheyStand(SETTINGS).flatMap(([name]) => {
      const value = (request as Fields)[name];
      return value === undefined ? [] : [[name, value]];
    }),
  );

/** A copy of an influence with the fields that it has, and without what is as usual: as it is kept. */
export function plainInfluence(influence: MixInfluence): MixInfluence {
  const { id, of, referenceId } = influence;
  const kept = Object.entries<AnySetting>(INFLUENCE_SETTINGS).flatMap(([name, { usual, needed }]) => {
    const value = (influence as unknown as Fields)[name];
    const silent = value === undefined || value === '' || (!needed && sameData(value, usual));
    return silent ? [] : [[name, value] as const];
  });
  return {
    id,
    ...(of && of !== 'reference' ? { of } : {}),
    referenceId,
    ...(structuredClone(Object.fromEntries(kept)) as InfluenceSettings),
  };
}
