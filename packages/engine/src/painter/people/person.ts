import type { Expression, Lch, Pattern } from '@urbild/core';

/** Ways to wear the hair. */
export const HAIR_STYLES = [
  'plait',
  'two plaits',
  'ponytail',
  'short',
  'bowl',
  'curly',
  'bun',
  'long',
  'wavy',
  'tousled',
  'bald',
] as const;
export type HairStyle = (typeof HAIR_STYLES)[number];

/** Hats. */
export const HATS = [
  'knit cap',
  'straw hat',
  'hat',
  "sou'wester",
  'top hat',
  'beret',
  'headscarf',
  'flat cap',
  'hood',
  'crown',
] as const;
export type HatKind = (typeof HATS)[number];

/** Cloth of a garment. */
export interface Cloth {
  readonly colour: Lch;
  readonly second?: Lch;
  readonly pattern?: Pattern;
}

/** What covers the trunk. */
export const TOPS = ['oilskin', 'coat', 'jacket', 'jumper', 'shirt', 'dress'] as const;
export type TopKind = (typeof TOPS)[number];
/** What is worn over the top. */
export const OVERS = ['shawl', 'apron', 'waistcoat', 'dungarees', 'cloak'] as const;
export type OverKind = (typeof OVERS)[number];

/** The traits of a person, in numbers (1 or 0 is usual, as said) and OKLCH colours. */
export interface Person {
  readonly skin: Lch;
  /** Width and length against the usual (1); jaw, cheek and chin 0..1 from fine to heavy. */
  readonly face: {
    readonly width: number;
    readonly length: number;
    readonly jaw: number;
    readonly cheek: number;
    readonly chin: number;
    /** Factors of its half width at heights of the head (-0.5 the crown .. 0.5 the chin), from above down. */
    readonly outline?: readonly (readonly [y: number, factor: number])[];
  };
  readonly eyes: {
    readonly size: number;
    readonly spacing: number;
    readonly colour: Lch;
    readonly tilt: number;
    readonly lashes: boolean;
    /** Height of the open eye against the usual (1). */
    readonly open?: number;
  };
  readonly brow: {
    readonly colour: Lch;
    readonly thickness: number;
    readonly arch: number;
    readonly angle: number;
    /** How much higher than usual, in head heights. */
    readonly lift?: number;
  };
  readonly nose: {
    readonly length: number;
    readonly width: number;
    readonly snub: number;
    readonly hook: number;
    /** How far down it reaches against the usual (1). */
    readonly reach?: number;
  };
  readonly mouth: {
    readonly width: number;
    readonly fullness: number;
    readonly colour: Lch;
    /** How much lower than usual, in head heights. */
    readonly drop?: number;
  };
  readonly freckles: boolean;
  readonly wrinkles: boolean;
  readonly blush: number;
  readonly hair: { readonly style: HairStyle; readonly colour: Lch; readonly volume: number };
  readonly beard?: Lch;
  readonly moustache?: Lch;
  readonly hat?: { readonly kind: HatKind; readonly colour: Lch };
  readonly glasses?: Lch;
  readonly earring?: Lch;
  /** Half the shoulder width in head heights, and thickness of the body against the usual. */
  readonly shoulders: number;
  readonly girth: number;
  /** Height against a grown person's. */
  readonly stature: number;
  /** Size of the head against the usual for the stature: children's are larger. */
  readonly headScale: number;
  readonly top: Cloth & { readonly kind: TopKind };
  readonly over?: Cloth & { readonly kind: OverKind };
  readonly bottom: Cloth & { readonly kind: 'trousers' | 'skirt' | 'shorts' };
  readonly scarf?: Cloth;
  readonly feet: { readonly kind: 'boots' | 'shoes' | 'bare'; readonly colour: Lch };
  readonly satchel?: Lch;
}

/** An expression as movements of the face: 0 at rest. */
export interface FaceMotion {
  /** Corners of the mouth, -1 down .. 1 up. */
  readonly smile: number;
  /** Open mouth 0..1; round for astonishment. */
  readonly open: number;
  readonly round: boolean;
  /** Brows raised, and drawn together (+) or up in the middle (-). */
  readonly browLift: number;
  readonly browAngle: number;
  /** Eyelids 0 closed .. 1 open; closed eyes of laughter are arcs. */
  readonly lids: number;
  readonly arcs: boolean;
}

const REST: FaceMotion = { smile: 0.25, open: 0, round: false, browLift: 0, browAngle: 0, lids: 1, arcs: false };

export const EXPRESSION_MOTION: Readonly<Record<Expression, FaceMotion>> = {
  calm: REST,
  smile: { ...REST, smile: 0.9, browLift: 0.15, lids: 0.86 },
  laugh: { ...REST, smile: 1, open: 0.8, browLift: 0.3, lids: 0.2, arcs: true },
  worried: { ...REST, smile: -0.45, browLift: 0.2, browAngle: -0.8 },
  surprised: { ...REST, smile: 0, open: 0.75, browLift: 0.9, lids: 1.2, round: true },
  stern: { ...REST, smile: -0.25, browLift: -0.35, browAngle: 0.8, lids: 0.8 },
};

/** A sleeper's face. */
export const ASLEEP: FaceMotion = { ...REST, lids: 0.1, smile: 0.35 };
