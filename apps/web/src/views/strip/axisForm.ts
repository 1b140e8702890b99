import {
  AXIS_SETTINGS,
  evenly,
  GIVES,
  leaveOneOut,
  OF_INFLUENCE,
  READINGS,
  type AxisSetting,
  type TrialState,
} from '@urbild/core';
import type { StripAxis } from '../../api/trials';
import { percent, round } from '../bench/influences';

/** How the settings of an axis are called where one is chosen. */
export const AXIS_NAMES: Readonly<Record<AxisSetting, string>> = {
  weight: 'weight',
  from: 'start of the span',
  to: 'end of the span',
  gives: 'what it gives',
  reading: 'how it is read',
  swap: 'another in its place',
  fade: 'from one to another',
  without: 'leave one out',
  balance: 'balance',
  spread: 'spread',
  strictness: 'strictness of the words',
  ornateness: 'ornateness',
  seed: 'seed',
  change: 'change of the start picture',
  words: 'the words',
};

/** Settings that can be stepped through with a mix. */
export const settingsFor = (state: TrialState): AxisSetting[] =>
  AXIS_SETTINGS.filter((s) => {
    if (s === 'change') return !!state.settings.start;
    if (s === 'fade') return state.influences.length > 1;
    return OF_INFLUENCE.has(s) || s === 'without' ? state.influences.length > 0 : true;
  });

/** The range that a number of a setting has, and the usual steps through it. */
const RANGES: Partial<Record<AxisSetting, readonly [low: number, high: number]>> = {
  weight: [0, 2],
  from: [0, 1],
  to: [0, 1],
  fade: [0, 1],
  balance: [0, 2],
  spread: [0, 1],
  strictness: [0, 1],
  ornateness: [0, 1],
  change: [0, 1],
};
export const rangeOf = (setting: AxisSetting): readonly [number, number] | undefined => RANGES[setting];

/** An axis as it is first offered for a setting. */
export function firstAxis(setting: AxisSetting, state: TrialState, influence = state.influences[0]?.id): StripAxis {
  const range = RANGES[setting];
  const own = OF_INFLUENCE.has(setting) ? { influence } : {};
  if (setting === 'without') return toAxis(leaveOneOut(state));
  if (setting === 'fade')
    return { setting, ...own, other: state.influences.find((i) => i.id !== influence)?.id, values: evenly(0, 1, 5) };
  if (setting === 'weight') return { setting, ...own, values: evenly(0, 1.2, 5) };
  if (range) return { setting, ...own, values: evenly(range[0], range[1], 5) };
  if (setting === 'seed')
    return { setting, values: Array.from({ length: 5 }, (_, k) => (state.settings.seed + k) % 0x100000000) };
  if (setting === 'gives')
    return { setting, ...own, values: GIVES.filter((g) => g === 'look' || g === 'palette' || g === 'everything') };
  if (setting === 'reading') return { setting, ...own, values: [...READINGS] };
  if (setting === 'swap') {
    const i = state.influences.find((one) => one.id === influence);
    return { setting, ...own, values: i ? [`${i.of ?? 'reference'}:${i.referenceId}`] : [] };
  }
  return { setting, values: [state.prompt] };
}

const toAxis = ({ setting, values }: { setting: AxisSetting; values: readonly (number | string)[] }): StripAxis => ({
  setting,
  values: [...values],
});

/** Numbers out of a line of text; what is no number is left out. */
export const numbersIn = (text: string): number[] =>
  text
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map((t) => Number(t.replace('%', '')))
    .filter((v) => Number.isFinite(v));

/** A value of an axis as its cell is labelled. `name` gives the name of an influence or of a picture by its id. */
export function labelOf(axis: StripAxis, value: number | string, name: (id: string) => string): string {
  switch (axis.setting) {
    case 'from':
    case 'to':
    case 'fade':
    case 'change':
      return percent(value as number);
    case 'weight':
    case 'balance':
    case 'spread':
    case 'strictness':
    case 'ornateness':
      return round(value as number).toFixed(2);
    case 'swap':
      return name(String(value).split(':')[1]);
    case 'without': {
      const [influence, picture] = String(value).split('/');
      return influence ? `without ${name(picture ?? influence)}` : 'the whole mix';
    }
    default:
      return String(value);
  }
}

/** What an axis steps through, as a title. */
export function titleOf(axis: StripAxis, name: (id: string) => string): string {
  if (axis.setting === 'fade') return `${name(axis.influence!)} fades into ${name(axis.other!)}`;
  return axis.influence ? `${name(axis.influence)}: ${AXIS_NAMES[axis.setting]}` : AXIS_NAMES[axis.setting];
}
