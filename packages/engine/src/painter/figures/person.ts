import type { Expression, Lch, SubjectName } from '@urbild/core';

export type HairStyle = 'plait' | 'short' | 'bowl' | 'curly' | 'bun' | 'long';

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
  };
  readonly eyes: {
    readonly size: number;
    readonly spacing: number;
    readonly colour: Lch;
    readonly tilt: number;
    readonly lashes: boolean;
  };
  readonly brow: { readonly colour: Lch; readonly thickness: number; readonly arch: number; readonly angle: number };
  readonly nose: { readonly length: number; readonly width: number; readonly snub: number; readonly hook: number };
  readonly mouth: { readonly width: number; readonly fullness: number; readonly colour: Lch };
  readonly freckles: boolean;
  readonly wrinkles: boolean;
  readonly blush: number;
  readonly hair: { readonly style: HairStyle; readonly colour: Lch; readonly volume: number };
  readonly beard?: Lch;
  readonly hat?: Lch;
  readonly glasses?: Lch;
  readonly earring?: Lch;
  /** Half the shoulder width in head heights, and thickness of the body against the usual. */
  readonly shoulders: number;
  readonly girth: number;
  /** Height against a grown person's. */
  readonly stature: number;
  readonly coat: { readonly kind: 'oilskin' | 'jumper' | 'shawl'; readonly colour: Lch; readonly second?: Lch };
  readonly legs: Lch;
  readonly boots: Lch;
  readonly satchel?: Lch;
}

/** The people of the demo world. */
export const CAST: Readonly<Record<Exclude<SubjectName, 'Brom'>, Person>> = {
  Ilse: {
    skin: [0.845, 0.078, 56],
    face: { width: 0.98, length: 1, jaw: 0.3, cheek: 0.35, chin: 0.35 },
    eyes: { size: 1.12, spacing: 1, colour: [0.55, 0.09, 150], tilt: 0.06, lashes: true },
    brow: { colour: [0.46, 0.11, 45], thickness: 1, arch: 0.5, angle: 0 },
    nose: { length: 0.85, width: 0.9, snub: 0.8, hook: 0 },
    mouth: { width: 1, fullness: 0.8, colour: [0.62, 0.12, 25] },
    freckles: true,
    wrinkles: false,
    blush: 0.9,
    hair: { style: 'plait', colour: [0.56, 0.135, 45], volume: 1 },
    shoulders: 0.6,
    girth: 0.95,
    stature: 1,
    coat: { kind: 'oilskin', colour: [0.76, 0.145, 82] },
    legs: [0.36, 0.05, 250],
    boots: [0.33, 0.05, 140],
    satchel: [0.5, 0.085, 130],
  },
  Marek: {
    skin: [0.775, 0.085, 48],
    face: { width: 1.02, length: 1.06, jaw: 0.9, cheek: 0.1, chin: 0.6 },
    eyes: { size: 0.78, spacing: 1.02, colour: [0.5, 0.08, 235], tilt: -0.08, lashes: false },
    brow: { colour: [0.88, 0.01, 90], thickness: 2, arch: 0.2, angle: -0.05 },
    nose: { length: 1.35, width: 1.4, snub: 0.1, hook: 0.6 },
    mouth: { width: 1, fullness: 0.4, colour: [0.58, 0.08, 25] },
    freckles: false,
    wrinkles: true,
    blush: 0.7,
    hair: { style: 'short', colour: [0.86, 0.012, 90], volume: 0.9 },
    beard: [0.88, 0.012, 90],
    hat: [0.45, 0.09, 255],
    shoulders: 0.74,
    girth: 1.15,
    stature: 1.03,
    coat: { kind: 'jumper', colour: [0.36, 0.05, 258] },
    legs: [0.42, 0.03, 70],
    boots: [0.3, 0.03, 50],
  },
  Tove: {
    skin: [0.53, 0.085, 50],
    face: { width: 1, length: 0.98, jaw: 0.45, cheek: 0.6, chin: 0.3 },
    eyes: { size: 1, spacing: 1.04, colour: [0.32, 0.05, 50], tilt: 0.1, lashes: true },
    brow: { colour: [0.2, 0.02, 40], thickness: 1.3, arch: 0.7, angle: 0.04 },
    nose: { length: 0.85, width: 1.3, snub: 0.5, hook: 0 },
    mouth: { width: 1.08, fullness: 1.4, colour: [0.5, 0.12, 22] },
    freckles: false,
    wrinkles: false,
    blush: 0.4,
    hair: { style: 'curly', colour: [0.22, 0.03, 35], volume: 1.2 },
    earring: [0.8, 0.13, 85],
    shoulders: 0.64,
    girth: 1.05,
    stature: 1.01,
    coat: { kind: 'shawl', colour: [0.5, 0.13, 20], second: [0.86, 0.04, 80] },
    legs: [0.38, 0.07, 320],
    boots: [0.3, 0.03, 50],
  },
  Juna: {
    skin: [0.825, 0.072, 68],
    face: { width: 1.06, length: 0.92, jaw: 0.2, cheek: 0.9, chin: 0.1 },
    eyes: { size: 1.18, spacing: 1.06, colour: [0.34, 0.05, 60], tilt: 0.02, lashes: false },
    brow: { colour: [0.24, 0.02, 260], thickness: 1.1, arch: 0.3, angle: 0.06 },
    nose: { length: 0.75, width: 0.85, snub: 1, hook: 0 },
    mouth: { width: 0.85, fullness: 0.7, colour: [0.62, 0.11, 22] },
    freckles: false,
    wrinkles: false,
    blush: 1.1,
    hair: { style: 'bowl', colour: [0.25, 0.025, 265], volume: 1.05 },
    glasses: [0.36, 0.09, 40],
    shoulders: 0.52,
    girth: 0.9,
    stature: 0.8,
    coat: { kind: 'jumper', colour: [0.62, 0.14, 35], second: [0.92, 0.03, 85] },
    legs: [0.4, 0.06, 245],
    boots: [0.35, 0.04, 50],
  },
};

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
