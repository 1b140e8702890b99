import type { Lch, Season, Time, Weather } from '@urbild/core';

/** The light of a scene: sky, haze, sun, shadow and how every local colour is graded by them. Colours are OKLCH. */
export interface Environment {
  readonly time: Time;
  readonly weather: Weather;
  readonly season: Season;
  /** Zenith, middle, horizon. */
  readonly sky: readonly [Lch, Lch, Lch];
  readonly haze: Lch;
  readonly light: Lch;
  readonly shadow: Lch;
  /** Local colours are mixed towards `tint` by `tintAmount`. */
  readonly tint: Lch;
  readonly tintAmount: number;
  /** L -> (L - .5) contrast + .5 + lift; C -> C chroma. */
  readonly contrast: number;
  readonly lift: number;
  readonly chroma: number;
  /** Haze grows with depth d (0 near, 1 far) as 1 - exp(-d fog). */
  readonly fog: number;
  /** Near the horizon, near the viewer. */
  readonly water: readonly [Lch, Lch];
  readonly sun?: {
    readonly elevation: number;
    readonly radius: number;
    readonly colour: Lch;
    readonly glow: number;
    readonly moon?: boolean;
  };
  /** Number of stars, 0..1. */
  readonly stars: number;
  /** Direction in which light travels, unit-ish, y down. */
  readonly direction: readonly [x: number, y: number];
  /** Darkening towards the corners, 0..1. */
  readonly vignette: number;
  /** Windows and lamps are lit. */
  readonly lamps: boolean;
  /** Strength of rim light. */
  readonly rim: number;
  /** How far a figure keeps its own ungraded colours, 0..1. */
  readonly figureKeep: number;
}

const COMMON = { weather: 'clear', season: 'summer', stars: 0, lamps: false, rim: 1 } as const;

/** The light of every time of day, in clear weather and summer. */
export const TIMES: Readonly<Record<Time, Environment>> = {
  dawn: {
    ...COMMON,
    time: 'dawn',
    sky: [
      [0.74, 0.055, 255],
      [0.86, 0.05, 350],
      [0.93, 0.075, 75],
    ],
    haze: [0.885, 0.05, 62],
    light: [0.95, 0.1, 78],
    shadow: [0.46, 0.075, 285],
    tint: [0.8, 0.08, 45],
    tintAmount: 0.12,
    contrast: 0.98,
    lift: 0,
    chroma: 1,
    fog: 1.75,
    water: [
      [0.9, 0.06, 66],
      [0.6, 0.06, 248],
    ],
    sun: { elevation: 0.13, radius: 17, colour: [0.975, 0.07, 85], glow: 1 },
    direction: [0.75, 0.55],
    vignette: 0.16,
    rim: 1.25,
    figureKeep: 0.15,
  },
  morning: {
    ...COMMON,
    time: 'morning',
    sky: [
      [0.7, 0.08, 238],
      [0.83, 0.05, 222],
      [0.95, 0.04, 95],
    ],
    haze: [0.92, 0.03, 150],
    light: [0.98, 0.075, 90],
    shadow: [0.46, 0.075, 268],
    tint: [0.9, 0.06, 90],
    tintAmount: 0.09,
    contrast: 1,
    lift: 0.025,
    chroma: 1.03,
    fog: 1.6,
    water: [
      [0.87, 0.045, 190],
      [0.54, 0.075, 232],
    ],
    sun: { elevation: 0.42, radius: 15, colour: [0.985, 0.05, 95], glow: 0.9 },
    direction: [0.7, 0.65],
    vignette: 0.14,
    rim: 1.1,
    figureKeep: 0.1,
  },
  noon: {
    ...COMMON,
    time: 'noon',
    sky: [
      [0.68, 0.095, 240],
      [0.8, 0.065, 225],
      [0.94, 0.03, 190],
    ],
    haze: [0.9, 0.03, 215],
    light: [0.985, 0.055, 98],
    shadow: [0.45, 0.08, 262],
    tint: [0.9, 0.04, 110],
    tintAmount: 0.06,
    contrast: 1,
    lift: 0.04,
    chroma: 1.05,
    fog: 1.35,
    water: [
      [0.84, 0.05, 205],
      [0.5, 0.085, 225],
    ],
    direction: [0.6, 0.8],
    vignette: 0.14,
    figureKeep: 0.1,
  },
  dusk: {
    ...COMMON,
    time: 'dusk',
    sky: [
      [0.4, 0.095, 292],
      [0.62, 0.125, 12],
      [0.86, 0.13, 68],
    ],
    haze: [0.66, 0.1, 22],
    light: [0.88, 0.135, 62],
    shadow: [0.27, 0.075, 292],
    tint: [0.5, 0.1, 340],
    tintAmount: 0.24,
    contrast: 0.8,
    lift: -0.07,
    chroma: 0.95,
    fog: 1.7,
    water: [
      [0.83, 0.12, 62],
      [0.36, 0.085, 295],
    ],
    sun: { elevation: 0.05, radius: 22, colour: [0.93, 0.13, 70], glow: 1.1 },
    direction: [-0.85, 0.3],
    vignette: 0.26,
    rim: 1.5,
    figureKeep: 0.6,
  },
  night: {
    ...COMMON,
    time: 'night',
    sky: [
      [0.22, 0.06, 275],
      [0.31, 0.06, 262],
      [0.46, 0.055, 235],
    ],
    haze: [0.39, 0.05, 245],
    light: [0.86, 0.12, 78],
    shadow: [0.14, 0.04, 278],
    tint: [0.3, 0.06, 262],
    tintAmount: 0.4,
    contrast: 0.64,
    lift: -0.17,
    chroma: 0.82,
    fog: 1.5,
    water: [
      [0.44, 0.055, 238],
      [0.21, 0.05, 268],
    ],
    stars: 1,
    direction: [0.5, 0.7],
    vignette: 0.32,
    lamps: true,
    figureKeep: 0.52,
  },
  moonlight: {
    ...COMMON,
    time: 'moonlight',
    sky: [
      [0.27, 0.065, 265],
      [0.42, 0.065, 248],
      [0.66, 0.05, 215],
    ],
    haze: [0.56, 0.045, 225],
    light: [0.93, 0.035, 190],
    shadow: [0.17, 0.055, 268],
    tint: [0.42, 0.06, 245],
    tintAmount: 0.4,
    contrast: 0.72,
    lift: -0.13,
    chroma: 0.75,
    fog: 1.7,
    water: [
      [0.62, 0.05, 218],
      [0.23, 0.06, 258],
    ],
    sun: { elevation: 0.62, radius: 24, colour: [0.96, 0.03, 100], glow: 0.8, moon: true },
    stars: 0.5,
    direction: [0.7, 0.65],
    vignette: 0.32,
    lamps: true,
    rim: 1.3,
    figureKeep: 0.45,
  },
};
