import type {
  Action,
  Age,
  CastName,
  Expression,
  Garment,
  Held,
  KnownOutfit,
  NamedColour,
  Pattern,
  Placed,
  Relation,
  View,
} from './brief';

/** An entity while it is being read: a brief with everything open. */
export interface EntityDraft {
  kind: 'person' | 'creature' | 'thing';
  /** Species or thing; empty for people. */
  what: string;
  count: number;
  /** The number was said, not guessed from a plural. */
  counted?: boolean;
  refused?: boolean;
  size?: Placed['size'];
  side?: Placed['side'];
  distance?: Placed['distance'];
  relation?: { how: Relation['how']; target: EntityDraft; also: readonly EntityDraft[] };
  colour?: NamedColour;
  cast?: CastName;
  name?: string;
  nameOnly?: boolean;
  age?: Age;
  sex?: 'woman' | 'man';
  build?: 'thin' | 'round';
  skin?: 'dark' | 'brown' | 'pale';
  hair?: { style?: string; length?: 'short' | 'long'; colour?: NamedColour };
  beard?: { colour?: NamedColour };
  moustache?: boolean;
  freckles?: boolean;
  glasses?: boolean;
  earring?: boolean;
  eyes?: NamedColour;
  garments: Garment[];
  clothes?: NamedColour;
  outfit?: KnownOutfit;
  bare: string[];
  holds: Held[];
  action?: Action;
  expression?: Expression;
  view?: View;
}

/** Adjectives that wait for their noun. */
export interface Pending {
  colours: NamedColour[];
  shade?: string;
  pattern?: Pattern;
  count?: number;
  age?: Age;
  size?: Placed['size'];
  build?: 'thin' | 'round';
  skin?: 'dark' | 'brown' | 'pale';
  expression?: Expression;
  action?: Action;
  view?: View;
  features: string[];
  garments: Garment[];
  hairColour?: NamedColour;
}

export const nothingPending = (): Pending => ({ colours: [], features: [], garments: [] });

export const isAnimate = (e: EntityDraft | undefined): boolean => e?.kind === 'person' || e?.kind === 'creature';

/** A colour made lighter, deeper or brighter. */
export function shaded(colour: NamedColour | undefined, shade: string | undefined): NamedColour | undefined {
  if (!colour || !shade) return colour;
  const [L, C, h] = colour.lch;
  if (shade === 'light') return { name: `light ${colour.name}`, lch: [Math.min(0.93, L + 0.17), C * 0.65, h] };
  if (shade === 'deep') return { name: `deep ${colour.name}`, lch: [Math.max(0.2, L - 0.14), C * 0.95, h] };
  return { name: `bright ${colour.name}`, lch: [L + 0.03, C * 1.15, h] };
}
