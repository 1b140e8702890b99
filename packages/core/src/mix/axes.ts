import { withoutInfluence } from './called';
import { MAX_PROMPT_LENGTH } from '../prompt/brief';
import { INFLUENCE_SETTINGS } from './influence';
import type { MixInfluence, MixState } from './mix';
import { evenly, type AnySetting, type Form, type SteppedNames } from './setting';
import { SETTINGS } from './settings';

/** The most values of one axis. */
export const MOST_VALUES = 12;

type Value = number | string;

/** What the steps of a test strip are steps of, and what a step makes of a mix. */
interface AxisKind {
  /** How it is called where one is chosen. */
  readonly name: string;
  readonly as: 'percent' | 'number' | 'word';
  /** Whether it belongs to one influence. */
  readonly ofInfluence: boolean;
  readonly form: Form;
  /** Why the mix cannot be stepped through in that way; undefined if it can. */
  fault?(axis: Axis, state: MixState): string | undefined;
  /** The steps that are offered at first. */
  offered(state: MixState, influence?: MixInfluence): readonly Value[];
  set<M extends MixState>(state: M, axis: Axis, value: Value): M;
}

const knows = (state: MixState, id: string | undefined) => state.influences.some((i) => i.id === id);

function changeInfluence<M extends MixState>(
  state: M,
  id: string | undefined,
  fields: (i: MixInfluence) => Partial<MixInfluence>,
): M {
  return { ...state, influences: state.influences.map((i) => (i.id === id ? { ...i, ...fields(i) } : i)) };
}

/** The steps of a declared setting where it offers none itself. */
const usualSteps = ({ form, usual }: AnySetting): readonly Value[] => {
  if (form.kind === 'choice') return form.values;
  return form.kind === 'number' || form.kind === 'whole' ? evenly(form.low, form.high, 5) : [String(usual)];
};

function declaredAxes(settings: Readonly<Record<string, AnySetting>>, ofInfluence: boolean): [string, AxisKind][] {
  return Object.entries(settings).flatMap(([setting, declared]): [string, AxisKind][] => {
    const { steps, form, usual } = declared;
    if (!steps) return [];
    const { name, as, offered, also } = steps;
    const kind: AxisKind = {
      name,
      as,
      form,
      ofInfluence,
      offered(state, influence) {
        const fields = (ofInfluence ? influence : state.settings) as Readonly<Record<string, unknown>> | undefined;
        return (offered?.(fields?.[setting] ?? usual) as readonly Value[] | undefined) ?? usualSteps(declared);
      },
      set: (state, { influence }, value) =>
        ofInfluence
          ? changeInfluence(state, influence, (i) => ({ [setting]: value, ...also?.(value, i) }))
          : { ...state, settings: { ...state.settings, [setting]: value } },
    };
    return [[setting, kind]];
  });
}

const TEXT: Form = { kind: 'text', longest: MAX_PROMPT_LENGTH };
const PART: Form = { kind: 'number', low: 0, high: 1 };

const swap: AxisKind = {
  name: 'another in its place',
  as: 'word',
  ofInfluence: true,
  form: TEXT,
  offered: (_, i) => (i ? [`${i.of ?? 'reference'}:${i.referenceId}`] : []),
  set(state, { influence }, value) {
    const [of, referenceId] = String(value).split(':');
    return changeInfluence(state, influence, () => ({ of: of as MixInfluence['of'], referenceId, except: undefined }));
  },
};

const fade: AxisKind = {
  name: 'from one to another',
  as: 'percent',
  ofInfluence: true,
  form: PART,
  fault: ({ influence, other }, state) =>
    knows(state, other) && other !== influence ? undefined : 'A fade goes from one influence of the mix to another.',
  offered: () => evenly(0, 1, 5),
  set(state, { influence, other }, value) {
    const [a, b] = [influence, other].map((id) => state.influences.find((i) => i.id === id)!);
    const whole = Math.max(a.weight, b.weight);
    const part = value as number;
    const gone = changeInfluence(state, a.id, () => ({ weight: whole * (1 - part), on: true }));
    return changeInfluence(gone, b.id, () => ({ weight: whole * part, on: true }));
  },
};

const without: AxisKind = {
  name: 'leave one out',
  as: 'word',
  ofInfluence: false,
  form: TEXT,
  fault: ({ values }, state) =>
    values.some((v) => v !== '' && !knows(state, String(v).split('/')[0]))
      ? 'What is to be left out is not in the mix.'
      : undefined,
  offered: (state) => leaveOneOut(state).values,
  set(state, _, value) {
    const [id, picture] = String(value).split('/');
    if (!id) return state;
    if (picture) return changeInfluence(state, id, (i) => ({ except: [...(i.except ?? []), picture] }));
    return withoutInfluence(state, id);
  },
};

const change: AxisKind = {
  name: 'change of the start picture',
  as: 'percent',
  ofInfluence: false,
  form: PART,
  fault: (_, state) => (state.settings.start ? undefined : 'Without a start picture there is nothing to change.'),
  offered: () => evenly(0, 1, 5),
  set: (state, _, value) => ({
    ...state,
    settings: { ...state.settings, start: state.settings.start && { ...state.settings.start, change: value } },
  }),
};

const words: AxisKind = {
  name: 'the words',
  as: 'word',
  ofInfluence: false,
  form: TEXT,
  offered: (state) => [state.prompt],
  set: (state, _, value) => ({ ...state, prompt: String(value) }),
};

/** What the steps of a test strip can be steps of: every declared setting that has steps, and five things besides. */
export type AxisSetting =
  | SteppedNames<typeof INFLUENCE_SETTINGS>
  | SteppedNames<typeof SETTINGS>
  | 'swap'
  | 'fade'
  | 'without'
  | 'change'
  | 'words';

/** Numbers go before words: they are stepped through more often. */
const numbersFirst = (kinds: [string, AxisKind][]): [string, AxisKind][] => {
  const rank = ({ form: { kind } }: AxisKind) => (kind === 'number' ? 0 : kind === 'whole' ? 1 : 2);
  return [...kinds].sort(([, a], [, b]) => rank(a) - rank(b));
};

const KINDS = Object.fromEntries([
  ...numbersFirst(declaredAxes(INFLUENCE_SETTINGS, true)),
  ...Object.entries({ swap, fade, without }),
  ...numbersFirst(declaredAxes(SETTINGS, false)),
  ...Object.entries({ change, words }),
]) as Readonly<Record<AxisSetting, AxisKind>>;

/** Everything that a test strip can step through, in the order in which it is offered. */
export const AXIS_SETTINGS = Object.keys(KINDS) as readonly AxisSetting[];

/** What is declared of what a strip steps through. */
export const axisKind = (setting: AxisSetting): AxisKind => KINDS[setting];

/** One axis of a test strip: a setting and the values that it takes, one after another. */
export interface Axis {
  readonly setting: AxisSetting;
  /** The influence whose setting it is. */
  readonly influence?: string;
  /** Of a fade: the influence that comes as the other goes. */
  readonly other?: string;
  readonly values: readonly Value[];
}

/** Why values are not of a form, in words; undefined if they are. */
function formFault(setting: string, form: Form, values: readonly Value[]): string | undefined {
  if (form.kind === 'number' || form.kind === 'whole') {
    const off = values.find((v) => typeof v !== 'number' || !(v >= form.low && v <= form.high));
    if (off !== undefined) return `${setting}: from ${form.low} to ${form.high}, not "${off}".`;
    const broken = form.kind === 'whole' && values.some((v) => !Number.isInteger(v));
    return broken ? `A ${setting} is a whole number.` : undefined;
  }
  if (values.some((v) => typeof v !== 'string')) return `${setting}: the values are words.`;
  if (form.kind !== 'choice') return undefined;
  const strange = values.find((v) => !form.values.includes(v as string));
  return strange === undefined ? undefined : `${setting}: "${strange}" is none of ${form.values.join(', ')}.`;
}

/** Why an axis cannot be used with a mix, in words for the person who asked; undefined if it can. */
export function axisFault(axis: Axis, state: MixState): string | undefined {
  const { setting, influence, values } = axis;
  if (!AXIS_SETTINGS.includes(setting)) return `"${setting}" is no setting that a strip can step through.`;
  if (!values.length || values.length > MOST_VALUES) return `An axis takes 1 to ${MOST_VALUES} values.`;
  const { ofInfluence, fault, form } = KINDS[setting];
  if (ofInfluence && !knows(state, influence)) return 'The influence of this axis is not in the mix.';
  return fault?.(axis, state) ?? formFault(setting, form, values);
}

/** True where a mix has what an axis needs. */
export function canStep(setting: AxisSetting, state: MixState): boolean {
  if (setting === 'change') return !!state.settings.start;
  if (setting === 'fade') return state.influences.length > 1;
  return KINDS[setting].ofInfluence || setting === 'without' ? state.influences.length > 0 : true;
}

/** A mix with one value of an axis set. The value must be one that {@link axisFault} does not object to. */
export const atStep = <M extends MixState>(state: M, axis: Axis, value: Value): M =>
  KINDS[axis.setting].set(state, axis, value);

/** The mixes of all cells of a strip of one axis or a table of two, row by row. */
export function cellsOf<M extends MixState>(state: M, axes: readonly Axis[]): M[] {
  const [across, down] = axes;
  const row = (m: M) => across.values.map((v) => atStep(m, across, v));
  return down ? down.values.flatMap((v) => row(atStep(state, down, v))) : row(state);
}

/**
 * The axis of "leave one out": the whole mix, then the mix without each of its influences that are on; with `pictures` (ids of
 * references by influence) of looks and characters also without each of their pictures.
 */
export function leaveOneOut(state: MixState, pictures: Readonly<Record<string, readonly string[]>> = {}): Axis {
  const values = state.influences
    .filter((i) => i.on && i.weight > 0)
    .flatMap((i) => {
      const own = (pictures[i.id] ?? []).filter((p) => !i.except?.includes(p));
      return [i.id, ...(own.length > 1 ? own.map((p) => `${i.id}/${p}`) : [])];
    });
  return { setting: 'without', values: ['', ...values].slice(0, MOST_VALUES) };
}
