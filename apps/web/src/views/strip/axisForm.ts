import { AXIS_SETTINGS, axisKind, canStep, type AxisSetting, type MixState } from '@urbild/core';
import type { StripAxis } from '../../api/trials';
import { percent, round } from '../../shared/forms/figures';

/** How the settings of an axis are called where one is chosen. */
export const axisName = (setting: AxisSetting): string => axisKind(setting).name;

/** Settings that can be stepped through with a mix. */
export const settingsFor = (state: MixState): AxisSetting[] => AXIS_SETTINGS.filter((s) => canStep(s, state));

/** The lowest and highest of the steps that are offered for a setting whose values are numbers that any step may lie between. */
export function rangeOf(setting: AxisSetting, state: MixState): readonly [number, number] | undefined {
  const { form, offered } = axisKind(setting);
  if (form.kind !== 'number') return undefined;
  const steps = offered(state, state.influences[0]) as readonly number[];
  return [Math.min(...steps), Math.max(...steps)];
}

/** An axis as it is first offered for a setting. */
export function firstAxis(setting: AxisSetting, state: MixState, influence = state.influences[0]?.id): StripAxis {
  const { ofInfluence, offered } = axisKind(setting);
  const values = offered(
    state,
    state.influences.find((i) => i.id === influence),
  );
  const other = state.influences.find((i) => i.id !== influence)?.id;
  return {
    setting,
    ...(ofInfluence ? { influence } : {}),
    ...(setting === 'fade' ? { other } : {}),
    values: [...values],
  };
}

/** Numbers out of a line of text; what is no number is left out. */
export const numbersIn = (text: string): number[] =>
  text
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map((t) => Number(t.replace('%', '')))
    .filter((v) => Number.isFinite(v));

/** A value of an axis as its cell is labelled. `name` gives the name of an influence or of a picture by its id. */
export function labelOf({ setting }: StripAxis, value: number | string, name: (id: string) => string): string {
  if (setting === 'swap') return name(String(value).split(':')[1]);
  if (setting === 'without') {
    const [influence, picture] = String(value).split('/');
    return influence ? `without ${name(picture ?? influence)}` : 'the whole mix';
  }
  const { as } = axisKind(setting);
  if (as === 'percent') return percent(value as number);
  return as === 'number' ? round(value as number).toFixed(2) : String(value);
}

/** What an axis steps through, as a title. */
export function titleOf({ setting, influence, other }: StripAxis, name: (id: string) => string): string {
  if (setting === 'fade') return `${name(influence!)} fades into ${name(other!)}`;
  return influence ? `${name(influence)}: ${axisName(setting)}` : axisName(setting);
}
