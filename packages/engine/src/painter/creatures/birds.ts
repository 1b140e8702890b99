import { adjustLch, type Lch } from '@urbild/core';
import { ribbon, spline, wobble } from '../geometry/curve';
import { outline } from '../geometry/outline';
import { ellipse, type Point } from '../geometry/point';
import { REGION } from '../scene/region';
import type { Pen, Scene } from '../scene/scene';

/** A gull far up: centre and half span in px. */
export function gull(
  scene: Scene,
  x: number,
  y: number,
  span: number,
  colour: Lch = [0.95, 0.01, 90],
  depth = 0.2,
): void {
  if (!scene.allows('creature: gull')) return;
  scene.pen({ region: REGION.animal, depth }).shape(
    ribbon(
      [
        [x - span, y - span * 0.1],
        [x - span * 0.45, y - span * 0.42],
        [x, y],
        [x + span * 0.5, y - span * 0.38],
        [x + span, y - span * 0.02],
      ],
      [0.3, span * 0.16, span * 0.22, span * 0.15, 0.3],
    ),
    colour,
    { plain: true },
  );
}

/** How a heron stands. */
export interface HeronStyle {
  /** Faces left. */
  readonly flip?: boolean;
  /** The red neckerchief by which Brom is known. */
  readonly scarf?: boolean;
  /** The colour of its feathers, grey if absent. */
  readonly colour?: Lch;
}

const USUAL: Lch = [0.64, 0.025, 245];
const DARK_GREY: Lch = [0.46, 0.03, 255];
const WHITE: Lch = [0.92, 0.012, 90];
const BLACK: Lch = [0.24, 0.02, 270];
const NECK: Lch = [0.84, 0.012, 80];
const BILL: Lch = [0.74, 0.12, 70];
const RED: Lch = [0.55, 0.185, 27];

/** A heron that is being painted, in units of its height from its feet. */
interface Heron {
  readonly scene: Scene;
  readonly pen: Pen;
  readonly size: number;
  /** 1 facing right, -1 facing left. */
  readonly f: 1 | -1;
  readonly grey: Lch;
  /** What its outlines are unsteady by. */
  readonly seed: number;
  at(u: number, v: number): Point;
  /** An outline written as "u,v u,v! ..." (see outline). */
  path(text: string): Point[];
}

/** A heron standing on (x, y) px, `size` px tall. */
export function heron(
  scene: Scene,
  x: number,
  y: number,
  size: number,
  depth: number,
  { flip = false, scarf = true, colour }: HeronStyle = {},
): void {
  const f = flip ? -1 : 1;
  const at = (u: number, v: number): Point => [x + u * size * f, y - v * size];
  const path = (text: string) =>
    outline(text).map(([u, v, corner]): Point => (corner ? [...xy(at(u, v)), 1] : at(u, v)));
  const pen = scene.pen({ region: REGION.animal, depth, keep: scene.light.figureKeep * 0.5 });
  const bird: Heron = { scene, pen, size, f, grey: colour ?? USUAL, seed: x, at, path };
  paintLegs(bird);
  paintBody(bird);
  paintNeck(bird);
  paintWing(bird);
  paintHead(bird);
  if (scarf) paintNeckerchief(bird, scene.pen({ region: REGION.garment, depth, keep: scene.light.figureKeep }));
}

function paintLegs({ pen, size, at }: Heron): void {
  for (const [a, b, c, shade] of [
    [-0.015, -0.03, -0.01, 0],
    [0.04, 0.06, 0.05, 0.04],
  ] as const) {
    pen.line([at(a, 0.34), at(b, 0.18), at(c, 0)], size * 0.02, [0.5 + shade, 0.05, 75], { taper: [0, 0] });
    pen.line([at(c, 0.003), at(c + 0.07, -0.005)], size * 0.012, [0.5, 0.05, 75]);
    pen.line([at(c, 0.003), at(c - 0.04, -0.003)], size * 0.01, [0.5, 0.05, 75]);
  }
}

/** Tail and body. */
function paintBody({ pen, f, grey, seed, path }: Heron): void {
  const body = spline(path('-.29,.33! -.2,.46 -.05,.585 .1,.6 .17,.52 .12,.4 0,.335 -.14,.33'));
  pen.shape(wobble(body, 0.6, 9, seed), grey, { volume: 0.9, shade: 1.2, rim: 1.3, strokes: 0.6 * f });
}

function paintNeck({ pen, size, seed, at, path }: Heron): void {
  const widths = [0.15, 0.1, 0.065, 0.052, 0.055, 0.06].map((w) => w * size);
  const neck = ribbon(path('.08,.53 .17,.6 .13,.7 .085,.79 .13,.88 .19,.905'), widths);
  pen.shape(wobble(neck, 0.4, 9, seed), NECK, { volume: 0.9, rim: 1.2, strokes: 1.4, texture: 0.6 });
  for (let i = 0; i < 5; i++) {
    const t = i / 5;
    const dash = [at(0.155 - 0.03 * t, 0.6 + 0.16 * t), at(0.145 - 0.035 * t, 0.63 + 0.16 * t)];
    pen.line(dash, size * 0.012, BLACK, { alpha: 0.75 });
  }
  const breast = ribbon(path('.16,.58 .185,.5 .15,.4'), [size * 0.05, size * 0.045, 0.5]);
  pen.shape(wobble(breast, 0.5, 8, seed), WHITE, { rim: 0.6, texture: 0.4 });
}

function paintWing({ pen, size, f, grey, seed, at, path }: Heron): void {
  const wing = spline(path('-.33,.3! -.2,.4 -.03,.55 .08,.56 .1,.49 0,.4 -.15,.335'));
  const look = { volume: 0.8, rim: 0.8, strokes: 0.6 * f };
  pen.shape(wobble(wing, 0.6, 9, seed + 1), adjustLch(grey, -0.06), look);
  for (let i = 0; i < 5; i++) {
    const t = i / 5;
    const feather = [
      at(0.05 - 0.08 * t, 0.52 - 0.05 * t),
      at(-0.12 - 0.06 * t, 0.41 - 0.035 * t),
      at(-0.28 - 0.02 * t, 0.315 - 0.003 * i),
    ];
    pen.line(feather, size * 0.012, i % 2 ? DARK_GREY : adjustLch(DARK_GREY, -0.08), { alpha: 0.7 });
  }
  const shoulder = spline(path('.09,.565 .13,.53 .1,.48 .06,.52'));
  pen.shape(wobble(shoulder, 0.4, 8, seed), BLACK, { plain: true, alpha: 0.85 });
}

/** Head, bill, plume and eye. */
function paintHead({ pen, size, seed, at, path }: Heron): void {
  const head = spline(path('.125,.925 .165,.95 .22,.945 .255,.918 .24,.89 .18,.875 .135,.885'));
  pen.shape(wobble(head, 0.25, 8, seed), WHITE, { rim: 0.8, texture: 0.4 });
  const bill = spline(path('.265,.925! .255,.885! .34,.882 .47,.868! .36,.905'));
  pen.shape(wobble(bill, 0.2, 8, seed), BILL, { texture: 0.3, rim: 0.6, shade: 1.5 });
  pen.line(path('.25,.9 .36,.889 .45,.873'), size * 0.006, adjustLch(BILL, -0.25));
  const plume = ribbon(path('.225,.93 .15,.945 .05,.9 -.02,.865'), [size * 0.018, size * 0.035, size * 0.02, 0.4]);
  pen.shape(plume, BLACK, { texture: 0.2, rim: 0.5 });
  pen.line(path('.14,.935 .06,.925 0,.91'), size * 0.008, BLACK);
  const eye = pen.with({ region: REGION.eye });
  eye.shape(ellipse(...xy(at(0.218, 0.914)), size * 0.0155, size * 0.0155), [0.86, 0.14, 90], { plain: true });
  const pupil = ellipse(...xy(at(0.22, 0.914)), size * 0.008, size * 0.008, 0, 10);
  eye.with({ raw: true }).shape(pupil, [0.15, 0.01, 0], { plain: true });
}

function paintNeckerchief({ size, seed, at, path }: Heron, pen: Pen): void {
  const look = { rim: 1.3, texture: 0.8 };
  const around = spline(path('.05,.7 .1,.735 .165,.725 .185,.685 .12,.665 .06,.675'));
  pen.shape(wobble(around, 0.4, 8, seed), RED, look);
  const tip = spline(path('.1,.675! .19,.68! .2,.6 .175,.545! .125,.62'));
  pen.shape(wobble(tip, 0.4, 8, seed), adjustLch(RED, -0.03), look);
  for (const [u, v] of outline('.14,.65 .165,.62 .17,.655 .12,.7 .155,.7'))
    pen.shape(ellipse(...xy(at(u, v)), size * 0.0065, size * 0.0065, 0, 8), [0.95, 0.02, 90], { plain: true });
  const end = spline(path('.055,.69 -.02,.7 -.05,.665 0,.665'));
  pen.shape(wobble(end, 0.3, 8, seed), RED, { texture: 0.5 });
}

const xy = (p: Point): [number, number] => [p[0], p[1]];
