import { clamp, smoothstep, table } from '@urbild/core';
import { spline } from '../../geometry/curve';
import type { Point } from '../../geometry/point';
import type { Person } from '../person';

/** From here up a face is as wide as it is; below, its own outline says. */
const CHEEKS = 0.12;
const DEGREE = Math.PI / 180;

/** A smooth curve through knots `[y, value]`, as a function of y. */
function smoothTable(knots: readonly (readonly [number, number])[]): (y: number) => number {
  const points = spline(knots as unknown as Point[], false, 0.03);
  return table(points.filter((q, i) => i === 0 || q[0] > points[i - 1][0] + 1e-6) as unknown as [number, number][]);
}

/**
 * One head for every turn: a stack of slices, each with a half width, a front and a back, and features placed on it by
 * angle. Units are head heights, y -0.5 at the crown and 0.5 at the chin, origin in the middle of the head.
 */
export class HeadModel {
  readonly yaw: number;
  /** Sine and cosine of the turn. */
  readonly sin: number;
  readonly cos: number;
  /** 0 up to about 62 degrees of turn, 1 in profile, 0 again from behind. */
  readonly profile: number;
  /** Seen from behind: no face. */
  readonly away: boolean;
  readonly #cosRoll: number;
  readonly #sinRoll: number;
  readonly #half: (y: number) => number;
  readonly #front: (y: number) => number;
  readonly #back: (y: number) => number;
  readonly #outline: (y: number) => number;

  /** `yaw` and `roll` in degrees; (cx, cy) the head's middle in figure units. */
  constructor(
    readonly person: Person,
    readonly cx: number,
    readonly cy: number,
    yaw: number,
    roll: number,
  ) {
    const { jaw, cheek, chin, outline } = person.face;
    this.yaw = yaw;
    this.sin = Math.sin(yaw * DEGREE);
    this.cos = Math.cos(yaw * DEGREE);
    this.profile = smoothstep(62, 84, Math.abs(yaw)) * smoothstep(128, 104, Math.abs(yaw));
    this.away = this.cos < -0.25;
    this.#cosRoll = Math.cos(roll * DEGREE);
    this.#sinRoll = Math.sin(roll * DEGREE);
    this.#outline = outline ? table([[CHEEKS, 1], ...outline]) : () => 1;
    this.#half = smoothTable([
      [-0.5, 0],
      [-0.485, 0.12],
      [-0.43, 0.245],
      [-0.32, 0.345],
      [-0.17, 0.395],
      [0, 0.395],
      [0.12, 0.365 + cheek * 0.035],
      [0.24, 0.305 + cheek * 0.035 + jaw * 0.04],
      [0.35, 0.215 + jaw * 0.085 + cheek * 0.015],
      [0.43, 0.125 + jaw * 0.075 - chin * 0.015],
      [0.48, 0.06 + jaw * 0.05 - chin * 0.01],
      [0.5, 0],
    ]);
    this.#front = smoothTable([
      [-0.5, 0],
      [-0.485, 0.12],
      [-0.42, 0.23],
      [-0.3, 0.335],
      [-0.16, 0.38],
      [-0.05, 0.388],
      [0.03, 0.365],
      [0.15, 0.382],
      [0.25, 0.388],
      [0.34, 0.372],
      [0.43, 0.365 + chin * 0.02],
      [0.48, 0.3],
      [0.5, 0.22],
    ]);
    this.#back = smoothTable([
      [-0.5, 0],
      [-0.485, 0.14],
      [-0.42, 0.27],
      [-0.3, 0.375],
      [-0.15, 0.43],
      [0, 0.435],
      [0.12, 0.39],
      [0.2, 0.31],
      [0.28, 0.13],
      [0.35, 0],
      [0.43, -0.12],
      [0.5, -0.22],
    ]);
  }

  get noseLength(): number {
    return 0.095 * this.person.nose.length;
  }

  half(y: number): number {
    return this.#half(clamp(y, -0.5, 0.5)) * this.person.face.width * this.#outline(y);
  }

  front(y: number): number {
    return this.#front(clamp(y, -0.5, 0.5));
  }

  back(y: number): number {
    return this.#back(clamp(y, -0.5, 0.5));
  }

  /** How far the midline stands out at a height: nose, lips, chin. */
  noseProfile(y: number): number {
    const { snub, hook, reach = 1 } = this.person.nose;
    const { fullness } = this.person.mouth;
    const t = (y + 0.03) / (0.265 * reach);
    let out = 0;
    if (t > 0 && t < 1) {
      const rise = Math.pow(t, 1.5 + snub * 0.9 - hook * 0.7);
      out = this.noseLength * (t < 0.86 ? rise / Math.pow(0.86, 1.5) : Math.pow((1 - t) / 0.14, 0.55));
      out += hook * 0.03 * Math.sin(Math.PI * clamp(t / 0.7));
    }
    const bump = (at: number, width: number, height: number) => height * Math.exp(-(((y - at) / width) ** 2));
    return (
      out +
      bump(0.285, 0.02, 0.018 * fullness + 0.006) +
      bump(0.337, 0.022, 0.016 * fullness + 0.004) -
      bump(0.311, 0.01, 0.016) -
      bump(0.385, 0.03, 0.022) +
      bump(0.445, 0.035, 0.012 + 0.02 * this.person.face.chin) -
      bump(0, 0.035, 0.014)
    );
  }

  /** The outline's x at a height, on the side the face turns to (1) or the other (-1). */
  extent(y: number, side: 1 | -1): number {
    const a = this.half(y) * Math.abs(this.cos);
    if (side > 0) {
      const f = this.front(y) + this.profile * this.noseProfile(y);
      return Math.hypot(a, f * this.sin);
    }
    const b = this.back(y);
    return b >= 0 ? -Math.hypot(a, b * this.sin) : -a - b * this.sin * this.sin * 0.9;
  }

  /** Head coordinates -> figure units; the head rolls about the top of the neck. */
  place(x: number, y: number): Point {
    const k = this.person.headScale;
    x *= k;
    const py = (y * this.person.face.length - 0.35) * k;
    return [this.cx + x * this.#cosRoll - py * this.#sinRoll, this.cy + 0.35 + x * this.#sinRoll + py * this.#cosRoll];
  }

  /** A point on the head at an angle from the midline (degrees) and a height, `out` head heights above the skin. */
  on(angle: number, y: number, out = 0, scale = 1): Point {
    const s = Math.sin(angle * DEGREE);
    const c = Math.cos(angle * DEGREE);
    const x = this.half(y) * s * scale;
    const z = (c > 0 ? this.front(y) : this.back(y)) * c * scale + out;
    return this.place(x * this.cos + z * this.sin, y);
  }

  /** Above 0 where an angle on the head faces the viewer. */
  facing(angle: number): number {
    return Math.cos((angle + this.yaw) * DEGREE);
  }

  /** The outline of the face, clockwise from the crown, in figure units. */
  outline(): Point[] {
    const ys: number[] = [];
    for (let y = -0.5; y <= 0.5001; y += 0.025) ys.push(y);
    const right = ys.map((y) => this.place(this.extent(y, 1), y));
    const left = ys.map((y) => this.place(this.extent(y, -1), y)).reverse();
    return [...right, ...left];
  }

  /** Rolled offsets about a point, for small features. */
  offset(from: Point, x: number, y: number): Point {
    return [from[0] + x * this.#cosRoll - y * this.#sinRoll, from[1] + x * this.#sinRoll + y * this.#cosRoll];
  }
}
