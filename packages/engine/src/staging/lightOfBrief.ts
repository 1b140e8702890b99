import { clamp, type Lch, type SceneBrief } from '@urbild/core';
import { environmentFor, type Environment } from '../painter/light/environment';
import { mixLight } from './light';

/** What there is where the words say nothing of an axis. */
const USUAL = { time: 'noon', weather: 'clear', season: 'summer', light: undefined } as const;
/** How far beyond itself a light goes that counts twice. */
const BEYOND = 0.6;

const within = ([L, C, h]: Lch): Lch => [clamp(L, 0.02, 0.985), Math.max(0, C), h];

/** A light that went beyond itself, with colours and numbers that still are some. */
const sound = (e: Environment): Environment => ({
  ...e,
  sky: [within(e.sky[0]), within(e.sky[1]), within(e.sky[2])],
  haze: within(e.haze),
  light: within(e.light),
  shadow: within(e.shadow),
  tint: within(e.tint),
  water: [within(e.water[0]), within(e.water[1])],
  tintAmount: clamp(e.tintAmount, 0, 0.6),
  contrast: clamp(e.contrast, 0.4, 1.4),
  chroma: clamp(e.chroma, 0.2, 1.5),
  fog: Math.max(0, e.fog),
  stars: Math.max(0, e.stars),
  vignette: clamp(e.vignette, 0, 0.6),
  rim: Math.max(0, e.rim),
  figureKeep: clamp(e.figureKeep, 0, 1),
});

/**
 * The light of a brief, each of its axes as much as the words make of it: below 1 on the way from the usual (noon, clear, summer),
 * above 1 beyond itself.
 */
export function lightOfBrief(brief: SceneBrief): Environment {
  const { time, weather, season, light, stress = {} } = brief;
  let out = environmentFor(time, weather, season, light);
  for (const axis of ['time', 'weather', 'season', 'light'] as const) {
    const much = stress[axis];
    if (much === undefined || much === 1) continue;
    const plain = { time, weather, season, light, [axis]: USUAL[axis] };
    const without = environmentFor(plain.time, plain.weather, plain.season, plain.light);
    const own = environmentFor(time, weather, season, light);
    // what this axis alone changes, as a step that is made longer or shorter
    out = much < 1 ? mixLight(without, out, much) : mixLight(without, out, 1 + BEYOND * (much - 1));
    if (much > 0.5) out = { ...out, sun: own.sun, weather: own.weather, season: own.season };
  }
  return out === undefined || !Object.keys(stress).length ? out : sound(out);
}
