/** Times of day that the painter can light. */
export const TIMES = ['dawn', 'morning', 'noon', 'dusk', 'night', 'moonlight'] as const;
export const WEATHERS = ['clear', 'cloudy', 'fog', 'rain', 'storm', 'snow'] as const;
export const SEASONS = ['spring', 'summer', 'autumn', 'winter'] as const;
export const PLACES = [
  'marsh',
  'reed channel',
  'stilt village',
  'lighthouse',
  'harbour',
  'mill',
  'open sea',
  'pier',
] as const;
export const FRAMINGS = ['portrait', 'half figure', 'full figure', 'wide view'] as const;
export const ACTIONS = ['stand', 'walk', 'pole', 'read', 'hold a lantern', 'wave'] as const;
export const VIEWS = ['front', 'three-quarter', 'profile'] as const;
export const EXPRESSIONS = ['calm', 'smile', 'laugh', 'worried', 'surprised', 'stern'] as const;
export const SUBJECTS = ['Ilse', 'Brom', 'Tove', 'Marek', 'Juna'] as const;
export const THINGS = ['boat', 'sailing boat', 'gulls', 'stilt house', 'mill', 'lighthouse'] as const;
export const MEDIA = ['gouache', 'ink wash', 'linocut', 'pastel', 'paper-cut', 'woodblock'] as const;

export type Time = (typeof TIMES)[number];
export type Weather = (typeof WEATHERS)[number];
export type Season = (typeof SEASONS)[number];
export type PlaceName = (typeof PLACES)[number];
export type Framing = (typeof FRAMINGS)[number];
export type Action = (typeof ACTIONS)[number];
export type View = (typeof VIEWS)[number];
export type Expression = (typeof EXPRESSIONS)[number];
export type SubjectName = (typeof SUBJECTS)[number];
export type ThingName = (typeof THINGS)[number];
export type Medium = (typeof MEDIA)[number];

/** A stretch of the prompt, as character positions [start, end). */
export interface TextSpan {
  readonly start: number;
  readonly end: number;
  readonly text: string;
}

/** A stretch that was understood, and as what. */
export interface UnderstoodSpan extends TextSpan {
  /** The axis and value, e.g. "time: dusk". */
  readonly means: string;
}

/** What a prompt asks for, in the painter's terms. */
export interface SceneBrief {
  readonly text: string;
  readonly time: Time;
  readonly weather: Weather;
  readonly season: Season;
  readonly place: PlaceName;
  readonly framing: Framing;
  readonly action: Action;
  readonly view: View;
  readonly expression: Expression;
  readonly subjects: readonly SubjectName[];
  readonly things: readonly ThingName[];
  readonly medium?: Medium;
  readonly understood: readonly UnderstoodSpan[];
  /** Words that mean something, but nothing that the painter can draw. */
  readonly unheard: readonly TextSpan[];
}
