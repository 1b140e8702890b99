import type { Lch } from '../colour/oklch';
import type { TraitSheet } from '../traits/types';

/** The longest prompt that is read, in characters. */
export const MAX_PROMPT_LENGTH = 2000;
/** Times of day that the painter can light. */
export const TIMES = ['dawn', 'morning', 'noon', 'dusk', 'night', 'moonlight'] as const;
export const WEATHERS = ['clear', 'cloudy', 'fog', 'rain', 'storm', 'snow', 'wind'] as const;
export const SEASONS = ['spring', 'summer', 'autumn', 'winter'] as const;
export const PLACES = [
  'marsh',
  'reed channel',
  'stilt village',
  'harbour',
  'market quay',
  'mill',
  'lighthouse',
  'boathouse',
  'pier',
  'open sea',
  'beach',
  'meadow',
  'forest',
  'orchard',
  'mountains',
  'river bridge',
  'village street',
  'town square',
  'kitchen',
  'attic',
  'greenhouse',
  'night sky',
] as const;
export const FRAMINGS = ['portrait', 'half figure', 'full figure', 'wide view'] as const;
export const ACTIONS = [
  'stand',
  'walk',
  'run',
  'sit',
  'kneel',
  'row',
  'pole',
  'read',
  'hold',
  'carry',
  'wave',
  'point',
  'look up',
  'lean',
  'sleep',
  'fly',
  'swim',
] as const;
export const VIEWS = ['front', 'three-quarter', 'profile', 'back'] as const;
export const EXPRESSIONS = ['calm', 'smile', 'laugh', 'worried', 'surprised', 'stern'] as const;
export const CAST_NAMES = ['Ilse', 'Brom', 'Tove', 'Marek', 'Juna'] as const;
export const MEDIA = [
  'gouache',
  'ink wash',
  'linocut',
  'pastel',
  'paper-cut',
  'woodblock',
  'embroidery',
  'cyanotype',
  'screen print',
  'impasto',
  'charcoal',
  'pencil',
  'stained glass',
] as const;
export const PATTERNS = ['stripes', 'dots', 'checks', 'flowers', 'patches'] as const;

export type Time = (typeof TIMES)[number];
export type Weather = (typeof WEATHERS)[number];
export type Season = (typeof SEASONS)[number];
export type PlaceName = (typeof PLACES)[number];
export type Framing = (typeof FRAMINGS)[number];
export type Action = (typeof ACTIONS)[number];
export type View = (typeof VIEWS)[number];
export type Expression = (typeof EXPRESSIONS)[number];
export type CastName = (typeof CAST_NAMES)[number];
export type Medium = (typeof MEDIA)[number];
export type Pattern = (typeof PATTERNS)[number];
export type Age = 'child' | 'young' | 'grown' | 'old';

/** A stretch of the prompt, as character positions [start, end). */
export interface TextSpan {
  readonly start: number;
  readonly end: number;
  readonly text: string;
}

/** A stretch that was understood, and as what. */
export interface UnderstoodSpan extends TextSpan {
  /** The axis and value, e.g. "time: dusk"; "no thing: boat" for what shall not appear. */
  readonly means: string;
}

/** What a stretch of the prompt says of an entity, or of the whole picture: a finished scene shows it or does not. */
export interface Claim extends TextSpan {
  /** An axis of the vocabulary ("action", "colour", "time"); "no" for what shall not appear. */
  readonly axis: string;
  readonly value: string;
  /** Index of the brief's entity that it is said of; of the whole picture when absent. */
  readonly entity?: number;
}

/** A stretch that has a meaning which cannot be seen in the picture, and the sentence that says why. */
export interface NotDrawn extends UnderstoodSpan {
  readonly why: string;
}

/** A colour by name. */
export interface NamedColour {
  readonly name: string;
  readonly lch: Lch;
}

/**
 * What ties an entity to the one named before it ("a cat on a crate": the crate carries how 'on' and the cat as target):
 * the target, an index into the brief's entities, is `how` this one.
 */
export interface Relation {
  readonly how: 'beside' | 'behind' | 'before' | 'in' | 'on' | 'under' | 'over' | 'with' | 'at';
  readonly target: number;
  /** Others of the same list: "a cup, a book and a candle on a table". */
  readonly also?: readonly number[];
}

/** What every drawn thing has: how many, where, how large. */
export interface Placed {
  /** 1..8 */
  readonly count: number;
  readonly size?: 'tall' | 'short' | 'big' | 'small' | 'long';
  readonly side?: 'left' | 'right' | 'middle';
  readonly distance?: 'near' | 'far';
  readonly relation?: Relation;
  /** How much it counts in the picture, 0..2; 1 when absent. */
  readonly prominence?: number;
}

/** A garment and its cloth. */
export interface Garment {
  /** A value of the garment words, e.g. "coat". */
  readonly kind: string;
  readonly colour?: NamedColour;
  readonly second?: NamedColour;
  readonly pattern?: Pattern;
}

/** Something in the hands: a thing or a small creature. */
export interface Held {
  readonly what: string;
  readonly creature: boolean;
  readonly colour?: NamedColour;
  readonly size?: Placed['size'];
}

/** A person as the words describe one; what is absent was not said. */
export interface PersonBrief extends Placed {
  readonly kind: 'person';
  readonly cast?: CastName;
  /** The name that the studio knows this person by; the cast's own names are in `cast`. */
  readonly name?: string;
  /** The studio knows this name and nothing else: no description that says what to draw. */
  readonly nameOnly?: boolean;
  /** Another person of the same description; 0 when absent. */
  readonly variant?: number;
  readonly age?: Age;
  readonly sex?: 'woman' | 'man';
  readonly build?: 'thin' | 'round';
  readonly skin?: 'dark' | 'brown' | 'pale';
  readonly hair?: { readonly style?: string; readonly length?: 'short' | 'long'; readonly colour?: NamedColour };
  readonly beard?: { readonly colour?: NamedColour };
  readonly moustache?: boolean;
  readonly freckles?: boolean;
  readonly glasses?: boolean;
  readonly earring?: boolean;
  readonly eyes?: NamedColour;
  readonly garments: readonly Garment[];
  /** The colour of "a woman in red". */
  readonly clothes?: NamedColour;
  /** The outfit that the words call by its name; its garments are among the others. */
  readonly outfit?: KnownOutfit;
  /** What was refused for this person: "hat", "beard", ... */
  readonly bare: readonly string[];
  readonly holds: readonly Held[];
  readonly action?: Action;
  readonly expression?: Expression;
  readonly view?: View;
}

/** A creature as the words describe it. */
export interface CreatureBrief extends Placed {
  readonly kind: 'creature';
  readonly species: string;
  readonly cast?: CastName;
  readonly name?: string;
  readonly nameOnly?: boolean;
  readonly colour?: NamedColour;
  readonly action?: Action;
  readonly view?: View;
  /** A scarf or a hat on a creature. */
  readonly garments: readonly Garment[];
  readonly outfit?: KnownOutfit;
}

/** A thing. */
export interface ThingBrief extends Placed {
  readonly kind: 'thing';
  readonly thing: string;
  readonly colour?: NamedColour;
}

export type Entity = PersonBrief | CreatureBrief | ThingBrief;

/** What a prompt asks for, in the painter's terms. */
export interface SceneBrief {
  readonly text: string;
  readonly time: Time;
  readonly weather: Weather;
  readonly season: Season;
  readonly place: PlaceName;
  readonly framing: Framing;
  /** Light from behind, or from lamps. */
  readonly light?: 'backlit' | 'lamplight';
  /** The eye above or below its usual height. */
  readonly camera?: 'above' | 'below';
  /** People, creatures and things, in the order in which they are named. */
  readonly entities: readonly Entity[];
  /** How much time, weather, season and light count, 0..2 each; 1 where absent. */
  readonly stress?: Readonly<Partial<Record<'time' | 'weather' | 'season' | 'light', number>>>;
  /** What shall not appear: "thing: boat", "creature: heron", "person", ... */
  readonly avoid: readonly string[];
  readonly medium?: Medium;
  /** Colours named with the medium: "linocut in red". */
  readonly inks: readonly NamedColour[];
  readonly understood: readonly UnderstoodSpan[];
  /** What the words claim, each of whom it is said of. */
  readonly claims: readonly Claim[];
  /** Words that have a meaning, of which nothing came: they went with nothing, or less is drawn than they say. */
  readonly unused: readonly NotDrawn[];
  /** Words that mean something, but nothing that the painter can draw. */
  readonly unheard: readonly TextSpan[];
}

/** The people of a brief. */
export const peopleOf = (brief: SceneBrief): PersonBrief[] =>
  brief.entities.filter((e): e is PersonBrief => e.kind === 'person');

/** The most outfits of one character, the longest name of one, and the longest words for one, in characters. */
export const MOST_OUTFITS = 12;
export const LONGEST_OUTFIT_NAME = 40;
export const LONGEST_OUTFIT_WORDS = 200;
/** The most pictures that one outfit has. */
export const MOST_OUTFIT_PICTURES = 8;
/** What an outfit may be called: a letter first, then what a word of a prompt may have. */
export const OUTFIT_NAME = /^\p{L}[\p{L}\p{N} '-]*$/u;
/** The words of an outfit as a prompt would say them of somebody. */
export const wearing = (wears: string): string => `a person in ${wears}`;

/** Clothes of somebody that words call by a name: "winter coat", "Sunday dress". */
export interface KnownOutfit {
  readonly name: string;
  /** What it is, in words: "a long green coat and a knit cap". */
  readonly wears?: string;
  /** What its pictures show of it; what `wears` names goes before. */
  readonly traits?: TraitSheet;
}

/** Somebody whom a studio knows by name, and the words that describe them. */
export interface KnownName {
  readonly name: string;
  /** "a girl with a green coat", "a small dog"; nothing is known without. */
  readonly description?: string;
  /** Clothes of theirs that words can call. */
  readonly outfits?: readonly KnownOutfit[];
}

/** The name of an entity, of the cast or of the studio; undefined for whoever has none. */
export const nameOf = (e: Entity): string | undefined => (e.kind === 'thing' ? undefined : (e.cast ?? e.name));
