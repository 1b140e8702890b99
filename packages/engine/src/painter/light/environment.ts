import { mixLch, type Lch, type SceneBrief, type Season, type Time, type Weather } from '@urbild/core';
import { TIMES, type Environment } from './times';

export type { Environment } from './times';

type Change = (c: Lch) => Lch;
const repaint = (e: Environment, change: Change): Pick<Environment, 'sky' | 'haze' | 'water'> => ({
  sky: [change(e.sky[0]), change(e.sky[1]), change(e.sky[2])],
  haze: change(e.haze),
  water: [change(e.water[0]), change(e.water[1])],
});

function underWeather(e: Environment, weather: Weather): Environment {
  const veil = (grey: Lch, amount: number) =>
    repaint(e, (c) => mixLch(c, [(c[0] + grey[0]) / 2, grey[1], grey[2]], amount));
  const paleSun = (k: number) =>
    e.sun && { ...e.sun, colour: mixLch(e.sun.colour, e.haze, k), glow: e.sun.glow * (1 - k) };
  switch (weather) {
    case 'clear':
      return e;
    case 'wind':
      return { ...e, weather, chroma: e.chroma * 0.97, fog: e.fog * 0.85, stars: e.stars * 0.7 };
    case 'cloudy':
      return { ...e, weather, ...veil([0.74, 0.018, 240], 0.45), chroma: e.chroma * 0.9, sun: paleSun(0.5), stars: 0 };
    case 'fog':
      return {
        ...e,
        weather,
        ...veil([0.82, 0.012, 200], 0.66),
        fog: e.fog * 2.6,
        chroma: e.chroma * 0.8,
        sun: paleSun(0.4),
        stars: 0,
      };
    case 'rain':
      return {
        ...e,
        weather,
        ...veil([0.58, 0.025, 225], 0.64),
        fog: e.fog * 1.5,
        chroma: e.chroma * 0.78,
        tint: mixLch(e.tint, [0.6, 0.025, 225], 0.6),
        tintAmount: e.tintAmount + 0.1,
        sun: undefined,
        stars: 0,
      };
    case 'storm': {
      const dark = e.sky[1][0] < 0.5 ? 0.72 : 1;
      return {
        ...e,
        weather,
        sky: [
          [0.3 * dark, 0.035, 250],
          [0.45 * dark, 0.04, 225],
          [0.76 * dark, 0.06, 150],
        ],
        haze: [0.58 * dark, 0.04, 190],
        water: [
          [0.6 * dark, 0.05, 175],
          [0.27 * dark, 0.05, 215],
        ],
        light: [0.93, 0.07, 120],
        shadow: [0.2, 0.05, 255],
        tint: [0.42, 0.05, 220],
        tintAmount: 0.26,
        contrast: 0.85,
        lift: -0.07,
        chroma: 0.78,
        fog: 1.3,
        sun: undefined,
        stars: 0,
        lamps: true,
        rim: 1.3,
        vignette: 0.3,
        figureKeep: 0.35,
      };
    }
    case 'snow':
      return {
        ...e,
        weather,
        ...veil([0.82, 0.018, 245], 0.5),
        fog: e.fog * 1.5,
        chroma: e.chroma * 0.85,
        sun: paleSun(0.4),
        stars: 0,
      };
  }
}

function inSeason(e: Environment, season: Season): Environment {
  switch (season) {
    case 'summer':
      return e;
    case 'spring':
      return { ...e, season, tint: mixLch(e.tint, [0.86, 0.08, 130], 0.4), tintAmount: e.tintAmount + 0.04 };
    case 'autumn':
      return {
        ...e,
        season,
        tint: mixLch(e.tint, [0.74, 0.12, 68], 0.6),
        tintAmount: e.tintAmount + 0.06,
        haze: mixLch(e.haze, [e.haze[0], 0.06, 75], 0.5),
      };
    case 'winter':
      return {
        ...e,
        season,
        tint: mixLch(e.tint, [0.84, 0.025, 250], 0.45),
        tintAmount: e.tintAmount + 0.06,
        chroma: e.chroma * 0.9,
      };
  }
}

/** Light from behind the subject, or from lamps that are lit by day too. */
function underLight(e: Environment, light: SceneBrief['light']): Environment {
  if (light === 'backlit')
    return {
      ...e,
      direction: [0.12, -0.95],
      rim: e.rim * 1.9,
      lift: e.lift - 0.05,
      shadow: mixLch(e.shadow, [0.2, 0.05, 280], 0.4),
    };
  if (light === 'lamplight')
    return {
      ...e,
      lamps: true,
      lift: e.lift - 0.06,
      tint: mixLch(e.tint, [0.6, 0.1, 60], 0.5),
      tintAmount: Math.max(e.tintAmount, 0.16),
      vignette: e.vignette + 0.1,
    };
  return e;
}

/** The light for a time of day, a weather and a season: three separate axes. */
export const environmentFor = (
  time: Time,
  weather: Weather,
  season: Season,
  light?: SceneBrief['light'],
): Environment => underLight(underWeather(inSeason(TIMES[time], season), weather), light);

const SEASON_SHIFT: Readonly<Record<Season, readonly [dL: number, kC: number, hue: number, amount: number]>> = {
  spring: [0.04, 1.08, 128, 0.35],
  summer: [0, 1, 0, 0],
  autumn: [0.02, 1.05, 72, 0.6],
  winter: [0.02, 0.5, 95, 0.3],
};

/** The colour of leaves and grass in the season; other colours stay as they are. */
export function inLeaf(colour: Lch, season: Season): Lch {
  const [L, C, h] = colour;
  const [dL, kC, hue, amount] = SEASON_SHIFT[season];
  const green = h > 88 && h < 190 && C > 0.03 ? 1 : 0;
  if (!green || !amount) return colour;
  return [Math.min(0.97, L + dL), C * kC, h + (hue - h) * amount];
}

/** True where snow lies: winter with snow in the air. */
export const isSnowy = (e: Environment): boolean => e.weather === 'snow';
