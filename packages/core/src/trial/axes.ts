import { GIVES, READINGS, TYPED_MAX_WEIGHT } from '../influence/types';
import type { TrialInfluence, TrialState } from './state';

/** What the steps of a test strip can be steps of. Those of {@link OF_INFLUENCE} need an influence. */
export const AXIS_SETTINGS = [
  'weight',
  'from',
  'to',
  'gives',
  'reading',
  'swap',
  'fade',
  'without',
  'balance',
  'spread',
  'strictness',
  'ornateness',
  'seed',
  'change',
  'words',
] as const;
export type AxisSetting = (typeof AXIS_SETTINGS)[number];

/** Settings that belong to one influence. */
export const OF_INFLUENCE: ReadonlySet<AxisSetting> = new Set([
  'weight',
  'from',
  'to',
  'gives',
  'reading',
  'swap',
  'fade',
] as const);

/** One axis of a test strip: a setting and the values that it takes, one after another. */
export interface Axis {
  readonly setting: AxisSetting;
  /** The influence whose setting it is. */
  readonly influence?: string;
  /** Of a fade: the influence that comes as the other goes. */
  readonly other?: string;
  readonly values: readonly (number | string)[];
}

const RANGES: Partial<Record<AxisSetting, readonly [number, number]>> = {
  weight: [0, TYPED_MAX_WEIGHT],
  from: [0, 1],
  to: [0, 1],
  fade: [0, 1],
  balance: [0, 2],
  spread: [0, 1],
  strictness: [0, 1],
  ornateness: [0, 1],
  seed: [0, 0xffffffff],
  change: [0, 1],
};

/** The most values of one axis. */
export const MOST_VALUES = 12;

/** Why an axis cannot be used with a mix, in words for the person who asked; undefined if it can. */
export function axisFault({ setting, influence, other, values }: Axis, state: TrialState): string | undefined {
  const known = (id: string | undefined) => state.influences.some((i) => i.id === id);
  if (!AXIS_SETTINGS.includes(setting)) return `"${setting}" is no setting that a strip can step through.`;
  if (!values.length || values.length > MOST_VALUES) return `An axis takes 1 to ${MOST_VALUES} values.`;
  if (OF_INFLUENCE.has(setting) && !known(influence)) return 'The influence of this axis is not in the mix.';
  if (setting === 'fade' && (!known(other) || other === influence))
    return 'A fade goes from one influence of the mix to another.';
  if (setting === 'change' && !state.settings.start) return 'Without a start picture there is nothing to change.';
  const range = RANGES[setting];
  if (range) {
    const off = values.find((v) => typeof v !== 'number' || !(v >= range[0] && v <= range[1]));
    if (off !== undefined) return `${setting}: from ${range[0]} to ${range[1]}, not "${off}".`;
    if (setting === 'seed' && values.some((v) => !Number.isInteger(v))) return 'A seed is a whole number.';
    return undefined;
  }
  if (values.some((v) => typeof v !== 'string')) return `${setting}: the values are words.`;
  const among = setting === 'gives' ? GIVES : setting === 'reading' ? READINGS : undefined;
  const strange = among && values.find((v) => !(among as readonly unknown[]).includes(v));
  if (strange !== undefined) return `${setting}: "${strange}" is none of ${among!.join(', ')}.`;
  if (setting === 'without' && values.some((v) => v !== '' && !known(String(v).split('/')[0])))
    return 'What is to be left out is not in the mix.';
  return undefined;
}

/** A mix with one value of an axis set. The value must be one that {@link axisFault} does not object to. */
export function withValue<M extends TrialState>(state: M, axis: Axis, value: number | string): M {
  const change = (id: string | undefined, fields: (i: TrialInfluence) => Partial<TrialInfluence>): M => ({
    ...state,
    influences: state.influences.map((i) => (i.id === id ? { ...i, ...fields(i) } : i)),
  });
  const { setting, influence } = axis;
  switch (setting) {
    case 'weight':
      return change(influence, () => ({ weight: value as number, on: true }));
    case 'from':
      return change(influence, (i) => ({ from: value as number, to: Math.max(i.to, value as number) }));
    case 'to':
      return change(influence, (i) => ({ to: value as number, from: Math.min(i.from, value as number) }));
    case 'gives':
    case 'reading':
      return change(influence, () => ({ [setting]: value }));
    case 'swap': {
      const [of, referenceId] = String(value).split(':');
      return change(influence, () => ({ of: of as TrialInfluence['of'], referenceId, except: undefined }));
    }
    case 'fade': {
      const [a, b] = [influence, axis.other].map((id) => state.influences.find((i) => i.id === id)!);
      const whole = Math.max(a.weight, b.weight);
      const part = value as number;
      const gone = change(a.id, () => ({ weight: whole * (1 - part), on: true }));
      return withValue(gone, { setting: 'weight', influence: b.id, values: [] }, whole * part);
    }
    case 'without': {
      const [id, picture] = String(value).split('/');
      if (!id) return state;
      if (picture) return change(id, (i) => ({ except: [...(i.except ?? []), picture] }));
      return { ...state, influences: state.influences.filter((i) => i.id !== id) };
    }
    case 'balance':
    case 'spread':
    case 'strictness':
    case 'ornateness':
    case 'seed':
      return { ...state, settings: { ...state.settings, [setting]: value } };
    case 'change':
      return {
        ...state,
        settings: {
          ...state.settings,
          start: state.settings.start && { ...state.settings.start, change: value as number },
        },
      };
    case 'words':
      return { ...state, prompt: String(value) };
  }
}

/** The mixes of all cells of a strip of one axis or a table of two, row by row. */
export function cellsOf<M extends TrialState>(state: M, axes: readonly Axis[]): M[] {
  const [across, down] = axes;
  const row = (m: M) => across.values.map((v) => withValue(m, across, v));
  return down ? down.values.flatMap((v) => row(withValue(state, down, v))) : row(state);
}

/**
 * The axis of "leave one out": the whole mix, then the mix without each of its influences that are on; with `pictures` (ids of
 * references by influence) of looks and characters also without each of their pictures.
 */
export function leaveOneOut(state: TrialState, pictures: Readonly<Record<string, readonly string[]>> = {}): Axis {
  const values = state.influences
    .filter((i) => i.on && i.weight > 0)
    .flatMap((i) => {
      const own = (pictures[i.id] ?? []).filter((p) => !i.except?.includes(p));
      return [i.id, ...(own.length > 1 ? own.map((p) => `${i.id}/${p}`) : [])];
    });
  return { setting: 'without', values: ['', ...values].slice(0, MOST_VALUES) };
}

/** `count` values from `low` to `high`, evenly, in hundredths. */
export const evenly = (low: number, high: number, count: number): number[] =>
  Array.from(
    { length: count },
    (_, k) => Math.round((count > 1 ? low + ((high - low) * k) / (count - 1) : low) * 100) / 100,
  );
