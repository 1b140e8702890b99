import {
  blurPlane,
  CHROMA_GAIN,
  lchToLab,
  lerp,
  mixLch,
  resample,
  type Lab,
  type Lch,
  type Picture,
} from '@urbild/core';
import { environmentFor, type Environment } from '../painter/light/environment';

const TIMES = ['dawn', 'morning', 'noon', 'dusk', 'night', 'moonlight'] as const;
const WEATHERS = ['clear', 'cloudy', 'fog', 'rain', 'storm'] as const;

/** How a scene is lit, in a few numbers: the tones of its upper, middle and lower part, and its spread of lightness. */
interface Lighting {
  readonly bands: readonly Lab[];
  readonly spread: number;
}

/** A mid-toned meadow and a mid-toned wall: what a light makes of them is what the lower part of a picture shows. */
const GROUND: Lch = [0.56, 0.05, 95];

function lightingOf(picture: Picture): Lighting {
  const { planes, width: w, height: h } = resample(picture, 48, 48);
  const bands = [0, 1, 2].map((k): Lab => {
    const [from, to] = [Math.round((k * h) / 3) * w, Math.round(((k + 1) * h) / 3) * w];
    const mean = (c: number) => planes[c].subarray(from, to).reduce((s, v) => s + v, 0) / (to - from);
    return [mean(0), mean(1) / CHROMA_GAIN, mean(2) / CHROMA_GAIN];
  });
  const mean = planes[0].reduce((s, v) => s + v, 0) / planes[0].length;
  const spread = Math.sqrt(planes[0].reduce((s, v) => s + (v - mean) ** 2, 0) / planes[0].length);
  return { bands, spread };
}

function lightingUnder(e: Environment): Lighting {
  const grade = ([L, C, hue]: Lch): Lch =>
    mixLch([(L - 0.5) * e.contrast + 0.5 + e.lift, C * e.chroma, hue], e.tint, e.tintAmount);
  const bands = [
    lchToLab(mixLch(e.sky[0], e.sky[1], 0.4)),
    lchToLab(mixLch(e.sky[2], e.haze, 0.5)),
    lchToLab(grade(GROUND)),
  ];
  return { bands, spread: 0.1 + 0.1 * e.contrast };
}

const apart = (a: Lighting, b: Lighting): number =>
  a.bands.reduce(
    (s, x, k) => s + Math.hypot(x[0] - b.bands[k][0], 2 * (x[1] - b.bands[k][1]), 2 * (x[2] - b.bands[k][2])),
    0,
  ) + Math.abs(a.spread - b.spread);

/** Where the light of a picture comes from: -1 from the left .. 1 from the right, by the skewness of its slopes of lightness. */
export function lightSide(picture: Picture): number {
  const { planes, width: w, height: h } = resample(picture, 96, 96);
  const L = blurPlane(planes[0], w, h, 1.2);
  let skew = 0;
  let all = 1e-9;
  // a form that is lit from the left brightens steeply there and darkens slowly to the right: the slopes are skewed
  for (let y = 4; y < h - 4; y++)
    for (let x = 4; x < w - 4; x++) {
      const slope = L[y * w + x + 2] - L[y * w + x - 2];
      skew += slope ** 3;
      all += Math.abs(slope) ** 3;
    }
  return Math.max(-1, Math.min(1, (-1.5 * skew) / all));
}

/** The light of the painter that comes nearest to that of a picture; snow and wind cannot be told from light alone. */
export function environmentLike(picture: Picture, season: Environment['season']): Environment {
  const wanted = lightingOf(picture);
  let best: Environment | undefined;
  let least = Infinity;
  for (const time of TIMES)
    for (const weather of WEATHERS) {
      const e = environmentFor(time, weather, season);
      // clear weather is the usual one: another has to fit plainly better
      const d = apart(wanted, lightingUnder(e)) + (weather === 'clear' ? 0 : 0.05);
      if (d < least) {
        least = d;
        best = e;
      }
    }
  const side = lightSide(picture);
  const [, down] = best!.direction;
  return { ...best!, direction: [-side * 0.9, Math.max(0.3, down)] };
}

/** Between two lights: colours and numbers in proportion, what is one thing or another from the one with more than half. */
export function mixLight(a: Environment, b: Environment, share: number): Environment {
  if (share <= 0) return a;
  const main = share > 0.5 ? b : a;
  const mix = (x: Lch, y: Lch): Lch => mixLch(x, y, share);
  const number = (key: NumberKey) => lerp(a[key], b[key], share);
  return {
    ...main,
    sky: [mix(a.sky[0], b.sky[0]), mix(a.sky[1], b.sky[1]), mix(a.sky[2], b.sky[2])],
    haze: mix(a.haze, b.haze),
    light: mix(a.light, b.light),
    shadow: mix(a.shadow, b.shadow),
    tint: mix(a.tint, b.tint),
    water: [mix(a.water[0], b.water[0]), mix(a.water[1], b.water[1])],
    tintAmount: number('tintAmount'),
    contrast: number('contrast'),
    lift: number('lift'),
    chroma: number('chroma'),
    fog: number('fog'),
    stars: number('stars'),
    vignette: number('vignette'),
    rim: number('rim'),
    figureKeep: number('figureKeep'),
    direction: [lerp(a.direction[0], b.direction[0], share), lerp(a.direction[1], b.direction[1], share)],
  };
}

type NumberKey = 'tintAmount' | 'contrast' | 'lift' | 'chroma' | 'fog' | 'stars' | 'vignette' | 'rim' | 'figureKeep';
