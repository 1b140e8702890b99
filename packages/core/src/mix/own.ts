import type { TrialInfluence, TrialState } from './state';

/** What a shot may say differently of an influence of the mix that it shares. */
export type OwnInfluence = Partial<Pick<TrialInfluence, 'weight' | 'from' | 'to' | 'on' | 'reading'>>;

/** The own settings of a shot: what differs from the mix, and nothing else. */
export interface OwnSettings<I extends TrialInfluence = TrialInfluence> {
  readonly avoid?: string;
  /** 0..2 */
  readonly balance?: number;
  /** 0..1 */
  readonly spread?: number;
  /** By the id of the influence; an influence that the mix has no more is passed over. */
  readonly influences?: Readonly<Record<string, OwnInfluence>>;
  /** References of this shot alone: its own sketch, pose, layout, ... */
  readonly added?: readonly I[];
}

/** What a shot is made from besides the mix that it shares. */
export interface ShotPlan<I extends TrialInfluence = TrialInfluence> {
  readonly prompt: string;
  readonly seed: number;
  readonly own: OwnSettings<I>;
}

/** A state of the kind that a plan is laid on. */
type StateOf<S extends TrialState> = S['influences'][number];

/** The mix as one shot uses it: the shot's words and seed, and its own settings laid over those of the mix. */
export function stateOfShot<S extends TrialState>(mix: S, { prompt, seed, own }: ShotPlan<StateOf<S>>): S {
  const { influences = {}, added = [], avoid, balance, spread } = own;
  return {
    ...mix,
    prompt,
    avoid: avoid ?? mix.avoid,
    settings: {
      ...mix.settings,
      seed,
      ...(balance === undefined ? {} : { balance }),
      ...(spread === undefined ? {} : { spread }),
    },
    influences: [
      ...mix.influences.map((i) => (influences[i.id] ? { ...i, ...influences[i.id] } : i)),
      ...added.filter((a) => !mix.influences.some((i) => i.id === a.id)),
    ],
  };
}

/** One own setting, so that it can be shown and taken back alone. */
export interface OwnDifference {
  /** A name for it: "balance", "avoid", "added:id", "weight:id", ... */
  readonly key: string;
  /** The influence that it is about. */
  readonly influence?: string;
  readonly setting: keyof OwnInfluence | 'added' | 'avoid' | 'balance' | 'spread';
  /** What the mix says; absent for what is added. */
  readonly mix?: number | string | boolean;
  readonly own: number | string | boolean;
}

const OF_INFLUENCE = ['weight', 'from', 'to', 'on', 'reading'] as const;

/** Every own setting of a shot that really differs from the mix. */
export function ownDifferences(mix: TrialState, own: OwnSettings): OwnDifference[] {
  const out: OwnDifference[] = [];
  const plain = (setting: 'avoid' | 'balance' | 'spread', was: number | string, is: number | string | undefined) => {
    if (is !== undefined && is !== was) out.push({ key: setting, setting, mix: was, own: is });
  };
  plain('avoid', mix.avoid, own.avoid);
  plain('balance', mix.settings.balance, own.balance);
  plain('spread', mix.settings.spread ?? 1, own.spread);
  for (const i of mix.influences)
    for (const setting of OF_INFLUENCE) {
      const is = own.influences?.[i.id]?.[setting];
      if (is !== undefined && is !== i[setting])
        out.push({ key: `${setting}:${i.id}`, influence: i.id, setting, mix: i[setting], own: is });
    }
  for (const a of own.added ?? [])
    if (!mix.influences.some((i) => i.id === a.id))
      out.push({ key: `added:${a.id}`, influence: a.id, setting: 'added', own: a.weight });
  return out;
}

/** The own settings without one of them, by the key of its difference. */
export function withoutOwn<I extends TrialInfluence>(own: OwnSettings<I>, key: string): OwnSettings<I> {
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
