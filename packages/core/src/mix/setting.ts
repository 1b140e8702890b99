/** How one setting is declared. Everything else that is known of it - types, bounds, differences, form controls - derives from that. */

/** What values a setting can have: enough for bounds, JSON Schema and a form control. */
export type Form =
  | { readonly kind: 'number'; readonly low: number; readonly high: number }
  | { readonly kind: 'whole'; readonly low: number; readonly high: number }
  | { readonly kind: 'choice'; readonly values: readonly string[] }
  | { readonly kind: 'choices'; readonly values: readonly string[] }
  | { readonly kind: 'flag' }
  | { readonly kind: 'text'; readonly longest: number }
  | { readonly kind: 'ids'; readonly most: number }
  /** Made of several fields, which its own file describes. */
  | { readonly kind: 'parts'; readonly most?: number };

/** Steps of a test strip through a setting. */
export interface Steps<V = unknown> {
  /** How the axis is called. */
  readonly name: string;
  /** Whether a step is said as a percentage, as a number of two digits, or as it stands. */
  readonly as: 'percent' | 'number' | 'word';
  /** The steps that are offered at first, out of what the setting is now; evenly over its range, or every choice, when absent. */
  offered?(now: V): readonly V[];
  /** What else of its influence a step sets. */
  also?(value: V, influence: { readonly from: number; readonly to: number }): object;
}

/** One setting of a mix, or of an influence. */
export interface Setting<V = unknown> {
  /** A word or two, for a label. */
  readonly label: string;
  /** Its whole name, for people who do not see what stands around it. */
  readonly title: string;
  /** What it does, in one sentence without its full stop. */
  readonly says: string;
  readonly form: Form;
  /** What acts where nothing is said; undefined where nothing stands for that. */
  readonly usual?: V;
  /**
   * Whether the engine's request says it: always, only where it is not the usual value, or not as it stands (a plate has a width and a
   * height, a start picture is a hash).
   */
  readonly request: 'always' | 'unless usual' | 'otherwise';
  /** Whether the painter paints anew when it changes; else it acts on what lies over the painted stage. */
  readonly stage: boolean;
  /** Whether a shot may say it differently from its mix. */
  readonly own?: boolean;
  readonly steps?: Steps<V>;
  /** A value without what does nothing, so that two values that mean the same are equal; the value itself when absent. */
  plain?(value: V): V;
  /** How two values differ, in words; empty where they do not. `called` is the name of the setting, or of the influence whose setting it is. */
  differences(before: V | undefined, after: V | undefined, called: string): string[];
  /** What a shot says in the place of what its mix says, in words. */
  instead(own: V, mix: V | undefined, called: string): string;
}

/** A setting whatever its values are, for what treats all of them alike. */
export type AnySetting = Setting<any> & { readonly needed: boolean }; // eslint-disable-line @typescript-eslint/no-explicit-any -- values of settings are contravariant in differences()

/** A setting that every mix, or every influence, says. */
export type Needed<V> = Setting<V> & { readonly needed: true };
/** A setting that may be left out. */
export type Optional<V> = Setting<V> & { readonly needed: false };

/** What a declaration has to say; the rest follows from its form. */
export type Declared<V> = Omit<Setting<V>, 'differences' | 'instead'> &
  Partial<Pick<Setting<V>, 'differences' | 'instead'>>;

/** A number in at most two digits behind the point. */
export const shortNumber = (v: number): string => String(Math.round(v * 100) / 100);
/** `count` values from `low` to `high`, evenly, in hundredths. */
export const evenly = (low: number, high: number, count: number): number[] =>
  Array.from(
    { length: count },
    (_, k) => Math.round((count > 1 ? low + ((high - low) * k) / (count - 1) : low) * 100) / 100,
  );

export const percentOf = (v: number): string => `${Math.round(v * 100)} %`;

/** What is told of a setting that does not tell it itself: "balance 1 → 0.8", "balance 0.8 instead of 1". */
function usualWords<V>({ usual, form }: Declared<V>): Pick<Setting<V>, 'differences' | 'instead'> {
  const said = (v: V | undefined): string => {
    const value = v ?? usual;
    if (value === undefined) return 'as it comes';
    return form.kind === 'number' ? shortNumber(value as number) : String(value as string);
  };
  return {
    differences: (before, after, called) =>
      (before ?? usual) === (after ?? usual) ? [] : [`${called} ${said(before)} → ${said(after)}`],
    instead: (own, mix, called) => `${called} ${said(own)} instead of ${said(mix)}`,
  };
}

/** A setting that a test strip can step through. */
export interface Stepped<V> {
  readonly steps: Steps<V>;
}

/** Declares a setting that is always there. */
export function needed<V>(declared: Declared<V> & Stepped<V>): Needed<V> & Stepped<V>;
export function needed<V>(declared: Declared<V>): Needed<V>;
export function needed<V>(declared: Declared<V>): Needed<V> {
  return { ...usualWords(declared), ...declared, needed: true };
}

/** Declares a setting that may be absent. */
export function optional<V>(declared: Declared<V> & Stepped<V>): Optional<V> & Stepped<V>;
export function optional<V>(declared: Declared<V>): Optional<V>;
export function optional<V>(declared: Declared<V>): Optional<V> {
  return { ...usualWords(declared), ...declared, needed: false };
}

/** The type of the values of a setting. */
export type ValueOf<S> = S extends Setting<infer V> ? V : never;

type NeededNames<S> = { [K in keyof S]: S[K] extends { readonly needed: true } ? K : never }[keyof S];

/** The object whose fields are declared by `S`: what is needed, and what may be absent. */
export type FieldsOf<S> = { readonly [K in NeededNames<S>]: ValueOf<S[K]> } & {
  readonly [K in Exclude<keyof S, NeededNames<S>>]?: ValueOf<S[K]>;
};

/** The names of the settings of `S` that a test strip can step through. */
export type SteppedNames<S> = { [K in keyof S]: S[K] extends { readonly steps: unknown } ? K : never }[keyof S];
