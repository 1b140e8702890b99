import { INFLUENCE_SETTINGS, type InfluenceSettings } from './influence';
import type { MixInfluence, MixState } from './mix';
import type { AnySetting } from './setting';
import { SETTINGS, type MixSettings } from './settings';

const ownOnes = (settings: Readonly<Record<string, AnySetting>>): [string, AnySetting][] =>
  Object.entries(settings).filter(([, s]) => s.own);

/** The settings of a mix that a shot may say differently, by their names. */
export const OWN_SETTINGS = ownOnes(SETTINGS);
/** The same of an influence. */
export const OWN_INFLUENCE_SETTINGS = ownOnes(INFLUENCE_SETTINGS);

/** What a shot may say differently of an influence of the mix that it shares; what is not declared as its own is passed over. */
export type OwnInfluence = Partial<InfluenceSettings>;

/** The own settings of a shot: what differs from the mix, and nothing else. Settings that are not declared as its own are passed over. */
export interface OwnSettings<I extends MixInfluence = MixInfluence> extends Partial<MixSettings> {
  readonly avoid?: string;
  /** By the id of the influence; an influence that the mix has no more is passed over. */
  readonly influences?: Readonly<Record<string, OwnInfluence>>;
  /** References of this shot alone: its own sketch, pose, layout, ... */
  readonly added?: readonly I[];
}

type Fields = Readonly<Record<string, unknown>>;

/** Of some fields, those that are declared as own and said. */
export const ownFields = (declared: readonly (readonly [string, AnySetting])[], of: object): Fields =>
  Object.fromEntries(
    declared.flatMap(([name]) => {
      const value = (of as Fields)[name];
      return value === undefined ? [] : [[name, value]];
    }),
  );

/** What a shot is made from besides the mix that it shares. */
export interface ShotPlan<I extends MixInfluence = MixInfluence> {
  readonly prompt: string;
  readonly seed: number;
  readonly own: OwnSettings<I>;
}

/** A state of the kind that a plan is laid on. */
type StateOf<S extends MixState> = S['influences'][number];

/** The mix as one shot uses it: the shot's words and seed, and its own settings laid over those of the mix. */
export function stateOfShot<S extends MixState>(mix: S, { prompt, seed, own }: ShotPlan<StateOf<S>>): S {
  const { influences = {}, added = [], avoid } = own;
  const laidOver = (i: MixInfluence) =>
    influences[i.id] ? { ...i, ...ownFields(OWN_INFLUENCE_SETTINGS, influences[i.id]) } : i;
  return {
    ...mix,
    prompt,
    avoid: avoid ?? mix.avoid,
    settings: { ...mix.settings, seed, ...ownFields(OWN_SETTINGS, own) },
    influences: [...mix.influences.map(laidOver), ...added.filter((a) => !mix.influences.some((i) => i.id === a.id))],
  };
}

/** One own setting, so that it can be shown and taken back alone. */
export interface OwnDifference {
  /** A name for it: "balance", "avoid", "added:id", "weight:id", ... */
  readonly key: string;
  /** The influence that it is about. */
  readonly influence?: string;
  /** The name of a declared setting, "avoid", or "added" for a reference of the shot alone. */
  readonly setting: string;
  /** What the mix says; absent for what is added. */
  readonly mix?: number | string | boolean;
  readonly own: number | string | boolean;
}

type Value = number | string | boolean;

/** Every own setting of a shot that really differs from the mix. */
export function ownDifferences(mix: MixState, own: OwnSettings): OwnDifference[] {
  const out: OwnDifference[] = [];
  if (own.avoid !== undefined && own.avoid !== mix.avoid)
    out.push({ key: 'avoid', setting: 'avoid', mix: mix.avoid, own: own.avoid });
  const compare = (declared: typeof OWN_SETTINGS, was: object, is: object, influence?: string) => {
    for (const [setting, { usual }] of declared) {
      const value = (is as Fields)[setting] as Value | undefined;
      const before = ((was as Fields)[setting] ?? usual) as Value;
      if (value === undefined || value === before) continue;
      const key = influence === undefined ? setting : `${setting}:${influence}`;
      out.push({ key, ...(influence === undefined ? {} : { influence }), setting, mix: before, own: value });
    }
  };
  compare(OWN_SETTINGS, mix.settings, own);
  for (const i of mix.influences) compare(OWN_INFLUENCE_SETTINGS, i, own.influences?.[i.id] ?? {}, i.id);
  for (const a of own.added ?? [])
    if (!mix.influences.some((i) => i.id === a.id))
      out.push({ key: `added:${a.id}`, influence: a.id, setting: 'added', own: a.weight });
  return out;
}

/** An own setting in words; `called` is the name of its influence, `gives` what that one gives. */
export function ownText({ setting, own, mix }: OwnDifference, called: string, gives = 'something'): string {
  if (setting === 'added') return `${called}, gives ${gives} to this shot alone`;
  if (setting === 'avoid') return `without “${own}”`;
  const declared: AnySetting | undefined = { ...SETTINGS, ...INFLUENCE_SETTINGS }[setting as 'balance'];
  return declared.instead(own, mix, setting in INFLUENCE_SETTINGS ? called : setting);
}

/** The own settings without one of them, by the key of its difference. */
export function withoutOwn<I extends MixInfluence>(own: OwnSettings<I>, key: string): OwnSettings<I> {
  const [setting, influence] = key.split(/:(.*)/s);
  const { [setting as 'avoid']: _, ...rest } = own;
  if (influence === undefined) return rest;
  if (setting === 'added') {
    const added = own.added?.filter((a) => a.id !== influence) ?? [];
    const { added: __, ...less } = own;
    return added.length ? { ...less, added } : less;
  }
  const { [setting as 'weight']: ___, ...left } = own.influences?.[influence] ?? {};
  const influences = { ...own.influences, [influence]: left };
  if (!Object.keys(left).length) delete (influences as Record<string, unknown>)[influence];
  const { influences: ____, ...others } = own;
  return Object.keys(influences).length ? { ...others, influences } : others;
}
