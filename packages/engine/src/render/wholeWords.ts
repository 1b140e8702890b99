import {
  CHROMA_GAIN,
  clamp,
  resample,
  type Claim,
  type Lab,
  type Picture,
  type SceneBrief,
  type Time,
} from '@urbild/core';
import { REGION } from '../painter/scene/region';
import type { SceneSeen } from '../painter/scene/seen';
import type { WeatherMark } from '../painter/scene/weatherMarks';
import { alike, centred } from './alike';
import { colourKept } from './foundColours';

/** How a picture looks as a whole, for the words that name nobody and nothing: weather, time, place. */
export interface WholeLook {
  /** What sets each mark of the weather off from what is beside it, OKLab. */
  readonly marks: readonly Lab[];
  /** The median colour of its sky, or of all of it where there is hardly a sky, OKLab. */
  readonly tone: Lab;
  /** The median lightness of all of it, OKLab L. */
  readonly light: number;
  /** L, a, b of the cells of a grid over it. */
  readonly cells: readonly Float64Array[];
}

/** Columns and rows of the grid. */
const CELLS = 16;
/** Less of the picture than this is no sky that tells the time. */
const LEAST_SKY = 0.05;
/** A mark is compared with what lies so far beside it, px at 512 and at least. */
const BESIDE = { px: 4, least: 2 } as const;
/** Fewer marks than this say nothing. */
const LEAST_MARKS = 5;
/** About so many of them tell of all. */
const ENOUGH_MARKS = 100;

/** Looks at a picture of a scene; `labels` are those of its stage. */
export function wholeLook(seen: SceneSeen, labels: Uint8Array, picture: Picture): WholeLook {
  // a camera that sees a part of the scene does not see the marks where they were put
  const every = Math.max(1, Math.floor(seen.weatherMarks.length / ENOUGH_MARKS));
  const told = seen.view ? [] : seen.weatherMarks.filter((_, k) => k % every === 0);
  const marks = told.map((mark) => markLook(mark, picture));
  const small = resample(picture, CELLS, CELLS);
  return {
    marks,
    ...tonesOf(labels, picture),
    cells: small.planes.map((plane, c) => Float64Array.from(plane, (v) => v / (c ? CHROMA_GAIN : 1))),
  };
}

const colourAt = ({ planes }: Picture, i: number): Lab => [
  planes[0][i],
  planes[1][i] / CHROMA_GAIN,
  planes[2][i] / CHROMA_GAIN,
];

/** The mean colour on a mark less that beside it, on all four sides. */
function markLook(mark: WeatherMark, { width, height, planes }: Picture): Lab {
  const off = Math.max(BESIDE.least, Math.round((BESIDE.px * Math.min(width, height)) / 512));
  const of = (plane: Float32Array): number => {
    let on = 0;
    let beside = 0;
    let around = 0;
    const add = (j: number) => {
      beside += plane[j];
      around++;
    };
    for (const i of mark) {
      const x = i % width;
      on += plane[i];
      if (x >= off) add(i - off);
      if (x + off < width) add(i + off);
      if (i >= off * width) add(i - off * width);
      if (i + off * width < plane.length) add(i + off * width);
    }
    return around ? on / mark.length - beside / around : 0;
  };
  return [of(planes[0]), of(planes[1]) / CHROMA_GAIN, of(planes[2]) / CHROMA_GAIN];
}

/** About so many pixels tell the tone. */
const TELLING = 1000;

/** The median colour of the sky, so that what covers a part of it changes nothing, and the median lightness of everything. */
function tonesOf(labels: Uint8Array, picture: Picture): Pick<WholeLook, 'tone' | 'light'> {
  const sky: Lab[] = [];
  const all: Lab[] = [];
  const every = Math.max(1, Math.floor(labels.length / TELLING));
  for (let i = 0; i < labels.length; i += every) {
    const colour = colourAt(picture, i);
    all.push(colour);
    if (labels[i] === REGION.sky || labels[i] === REGION.cloud) sky.push(colour);
  }
  const of = sky.length < LEAST_SKY * all.length ? all : sky;
  const median = (colours: readonly Lab[], c: number) =>
    colours.map((v) => v[c]).sort((a, b) => a - b)[colours.length >> 1];
  return { tone: [median(of, 0), median(of, 1), median(of, 2)], light: median(all, 0) };
}

/**
 * How much of the weather's marks can still be seen, 0..1; undefined where there are too few. The part of what set them off that is left
 * (the slope of a regression through zero), and how surely it is theirs (its correlation): both fall among strokes that are as strong.
 */
export function marksFound(was: WholeLook, now: WholeLook): number | undefined {
  if (was.marks.length < LEAST_MARKS) return undefined;
  let [both, before, after] = [0, 0, 0];
  was.marks.forEach((mark, k) =>
    mark.forEach((v, c) => {
      both += v * now.marks[k][c];
      before += v * v;
      after += now.marks[k][c] ** 2;
    }),
  );
  if (before < 1e-9) return undefined;
  if (both <= 0 || after < 1e-12) return 0;
  return Math.sqrt(Math.min(1, both / before) * Math.min(1, both / Math.sqrt(before * after)));
}

/** Times that are dark, and those whose sky has a colour of its own; the others have the light of any day. */
const DARK: ReadonlySet<string> = new Set<Time>(['night', 'moonlight']);
const COLOURED: ReadonlySet<string> = new Set<Time>(['dawn', 'dusk']);
/** So much lighter nobody calls a night one; less than the first is nothing, OKLab L. */
const DAYLIGHT = { from: 0.1, whole: 0.45 } as const;

/** How much of a time of day is left in a picture, 0..1; undefined for those that any light fits. */
function timeFound(time: string, was: WholeLook, now: WholeLook): number | undefined {
  // a dark strip of sky makes no night of a bright picture, nor does dark ground below a bright sky
  const lighter = Math.max(now.tone[0] - was.tone[0], now.light - was.light);
  if (DARK.has(time)) return 1 - clamp((lighter - DAYLIGHT.from) / (DAYLIGHT.whole - DAYLIGHT.from));
  return COLOURED.has(time) ? colourKept(was.tone, now.tone) : undefined;
}

/** Claims of weather and time, with how much of each is found, 0..1; those that cannot be looked for are left out. */
export function wholeFound(
  claims: readonly Claim[],
  was: WholeLook,
  now: WholeLook,
): { readonly claim: Claim; readonly found: number }[] {
  return claims.flatMap((claim) => {
    const found =
      claim.axis === 'weather'
        ? marksFound(was, now)
        : claim.axis === 'time'
          ? timeFound(claim.value, was, now)
          : undefined;
    return found === undefined ? [] : [{ claim, found }];
  });
}

/** Below this two pictures are not arranged alike. */
const ONE_ARRANGEMENT = 0.6;

/** True where a picture is arranged as another is, whatever became of the colours. */
export const isArrangedAlike = (a: WholeLook, b: WholeLook): boolean =>
  alike(centred(a.cells), centred(b.cells)) >= ONE_ARRANGEMENT;

/** The axes that speak of the whole picture. */
export const WHOLE_AXES: ReadonlySet<string> = new Set<keyof SceneBrief>(['place', 'season', 'framing', 'camera']);
