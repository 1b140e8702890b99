import { distanceTo } from './masks';

type XY = readonly [x: number, y: number];

/** Somebody drawn as a circle with lines for trunk and limbs, px. */
export interface StickFigure {
  readonly head: XY;
  readonly radius: number;
  /** Neck and hip, then of each side of the picture the ends of its limbs, as far as they were found. */
  readonly joints: Readonly<
    Partial<
      Record<
        | 'neck'
        | 'hip'
        | 'leftElbow'
        | 'leftHand'
        | 'rightElbow'
        | 'rightHand'
        | 'leftKnee'
        | 'leftFoot'
        | 'rightKnee'
        | 'rightFoot',
        XY
      >
    >
  >;
}

/** Radii of heads that are looked for, px. */
const RADIUS = { least: 6, most: 32 } as const;
/** Of 36 places round a head so many must lie on a line. */
const CIRCLE = { places: 36, least: 30 } as const;
/** Candidates that are looked at, the most voted for first. */
const CANDIDATES = 400;
/** A trunk is at least this long, and a head this large: in radii of the head, px. */
const TRUNK = 1.3;
const LEAST_RADIUS = 7;
/** A place lies on a line that is no farther away than this, px. */
const ON_LINE = 1.9;
/** A ray goes on over so many places without a line. */
const MISSES = 3;

const rad = (degrees: number): number => (degrees * Math.PI) / 180;

/** Where drawn lines lie, for rays and circles that ask for them. */
class LineField {
  readonly #far: Float32Array;

  constructor(
    readonly skeleton: Uint8Array,
    readonly w: number,
    readonly h: number,
  ) {
    this.#far = distanceTo(skeleton, w, h);
  }

  /** True where a line passes; nothing within `without` counts. */
  on(x: number, y: number, without?: { readonly at: XY; readonly radius: number }): boolean {
    if (without && Math.hypot(x - without.at[0], y - without.at[1]) < without.radius + 1.5) return false;
    const [px, py] = [Math.round(x), Math.round(y)];
    return px >= 0 && py >= 0 && px < this.w && py < this.h && this.#far[py * this.w + px] < ON_LINE;
  }

  /** How far a straight line runs from a place, px, and on how much of that there is one. */
  ray(
    [x, y]: XY,
    angle: number,
    most: number,
    without?: { readonly at: XY; readonly radius: number },
  ): { length: number; share: number } {
    let [length, misses, hits] = [0, 0, 0];
    for (let s = 1; s <= most; s++) {
      if (this.on(x + Math.cos(angle) * s, y + Math.sin(angle) * s, without)) {
        length = s;
        hits++;
        misses = 0;
      } else if (++misses > MISSES) break;
    }
    return { length, share: hits / (length || 1) };
  }
}

interface Limb {
  readonly score: number;
  readonly joint: XY;
  readonly end?: XY;
}

/** Finds figures of lines: circles by votes of the lines' normals, then the trunk that hangs from each, its legs and arms. */
export function stickFigures(skeleton: Uint8Array, w: number, h: number): StickFigure[] {
  const field = new LineField(skeleton, w, h);
  const found: StickFigure[] = [];
  for (const candidate of votedCircles(skeleton, w, h)) {
    if (
      found.some((f) => Math.hypot(f.head[0] - candidate.at[0], f.head[1] - candidate.at[1]) < candidate.radius * 1.5)
    )
      continue;
    const circle = bestCircle(field, candidate);
    if (!circle || circle.radius < LEAST_RADIUS) continue;
    const figure = bodyBelow(field, circle.at, circle.radius);
    if (figure) found.push(figure);
  }
  return found;
}

/** Circles by what the normals of lines point at, strongest first; on a grid of two px. */
function votedCircles(skeleton: Uint8Array, w: number, h: number): { at: XY; radius: number }[] {
  const votes = new Map<number, number>();
  const [rows, radii] = [1000, 40];
  skeleton.forEach((v, i) => {
    if (!v) return;
    const [x, y] = [i % w, Math.floor(i / w)];
    const normal = normalAt(skeleton, x, y, w, h);
    if (normal === undefined) return;
    for (let r = RADIUS.least; r <= RADIUS.most; r++)
      for (const side of [1, -1]) {
        const [cx, cy] = [Math.round((x + side * normal[0] * r) / 2), Math.round((y + side * normal[1] * r) / 2)];
        if (cx < 0 || cy < 0 || cy >= rows) continue;
        const key = (cx * rows + cy) * radii + (r >> 1);
        votes.set(key, (votes.get(key) ?? 0) + 1);
      }
  });
  return [...votes]
    .flatMap(([key, count]) => {
      const radius = (key % radii) * 2 + 0.5;
      const place = Math.floor(key / radii);
      return count > radius * 0.9
        ? [{ at: [Math.floor(place / rows) * 2, (place % rows) * 2] as XY, radius, score: count / radius }]
        : [];
    })
    .sort((a, b) => b.score - a.score)
    .slice(0, CANDIDATES);
}

/** The direction across a line at one of its pixels, from the spread of the pixels around it. */
function normalAt(skeleton: Uint8Array, x: number, y: number, w: number, h: number): XY | undefined {
  let [n, sx, sy, xx, yy, xy] = [0, 0, 0, 0, 0, 0];
  for (let dy = -4; dy <= 4; dy++)
    for (let dx = -4; dx <= 4; dx++) {
      const [px, py] = [x + dx, y + dy];
      if (px < 0 || py < 0 || px >= w || py >= h || !skeleton[py * w + px]) continue;
      [n, sx, sy, xx, yy, xy] = [n + 1, sx + dx, sy + dy, xx + dx * dx, yy + dy * dy, xy + dx * dy];
    }
  if (n < 5) return undefined;
  const [mx, my] = [sx / n, sy / n];
  const along = 0.5 * Math.atan2(2 * (xy / n - mx * my), xx / n - mx * mx - (yy / n - my * my));
  return [-Math.sin(along), Math.cos(along)];
}

/** The circle near a candidate that lies on lines best; undefined where too little of it does. */
function bestCircle(
  field: LineField,
  { at: [cx, cy], radius }: { at: XY; radius: number },
): { at: XY; radius: number } | undefined {
  let best = { at: [cx, cy] as XY, radius, hits: CIRCLE.least - 1 };
  for (let dx = -2; dx <= 2; dx++)
    for (let dy = -2; dy <= 2; dy++)
      for (let r = radius - 2; r <= radius + 2; r++) {
        let hits = 0;
        // no more looks than it takes to know that it is not the best
        for (let k = 0; k < CIRCLE.places && hits + CIRCLE.places - k > best.hits; k++) {
          const a = (k / CIRCLE.places) * 2 * Math.PI;
          if (field.on(cx + dx + r * Math.cos(a), cy + dy + r * Math.sin(a))) hits++;
        }
        if (hits > best.hits) best = { at: [cx + dx, cy + dy], radius: r, hits };
      }
  return best.hits >= CIRCLE.least ? best : undefined;
}

/** The trunk that leaves a head downwards: where it begins, its direction (radians) and length, px. */
function trunkOf(
  field: LineField,
  [cx, cy]: XY,
  radius: number,
): { from: XY; angle: number; length: number } | undefined {
  let best: { from: XY; angle: number; length: number } | undefined;
  let most = 0;
  for (let a = 20; a <= 160; a += 3) {
    const from: XY = [cx + radius * Math.cos(rad(a)), cy + radius * Math.sin(rad(a))];
    for (let b = -30; b <= 30; b += 3) {
      const angle = rad(a + b);
      const { length, share } = field.ray(from, angle, radius * 6);
      const score = length - Math.abs(b) * 0.15 - Math.abs(a - 90) * 0.12;
      if (share <= 0.85 || score <= most) continue;
      most = score;
      best = { from, angle, length };
    }
  }
  return best && best.length >= radius * 1.6 ? best : undefined;
}

function bodyBelow(field: LineField, head: XY, radius: number): StickFigure | undefined {
  const trunk = trunkOf(field, head, radius);
  if (!trunk) return undefined;
  const { from, angle, length } = trunk;
  const without = { at: head, radius };
  const along = (s: number): XY => [from[0] + Math.cos(angle) * s, from[1] + Math.sin(angle) * s];
  /** How far a place lies beside the trunk, px; its sign tells the side. */
  const beside = ([x, y]: XY): number => Math.cos(angle) * (y - from[1]) - Math.sin(angle) * (x - from[0]);
  const limb = (at: XY, first: number, last: number, most: number) =>
    bestLimb(field, at, { first, last, most, radius, beside, without });
  const way = (angle * 180) / Math.PI;
  let legs: { at: number; sides: readonly [Limb, Limb]; score: number } | undefined;
  for (let s = radius * 1.4; s <= length + 2; s += 1.5) {
    const sides = [
      limb(along(s), way + 8, way + 75, radius * 5),
      limb(along(s), way - 75, way - 8, radius * 5),
    ] as const;
    if (!sides[0] || !sides[1]) continue;
    const scores = [sides[0].score, sides[1].score];
    const score = Math.min(...scores) * 2 + Math.max(...scores) * 0.2 + s * 0.05;
    if (score > (legs?.score ?? 0)) legs = { at: s, sides: [sides[0], sides[1]], score };
  }
  if (!legs || legs.at < radius * TRUNK) return undefined;
  const arms: (Limb | undefined)[] = [undefined, undefined];
  for (let s = 0; s <= legs.at * 0.55; s += 1.5)
    [limb(along(s), way + 22, way + 165, legs.at * 1.5), limb(along(s), way - 165, way - 22, legs.at * 1.5)].forEach(
      (one, k) => {
        if ((one?.score ?? 0) > (arms[k]?.score ?? 0)) arms[k] = one;
      },
    );
  if (!arms[0] && !arms[1]) return undefined;
  return {
    head,
    radius,
    joints: {
      neck: from,
      hip: along(legs.at),
      ...named('left', arms[0], legs.sides[0]),
      ...named('right', arms[1], legs.sides[1]),
    },
  };
}

/** The joints of one side of the picture; a limb in one piece bends in its middle. */
function named(side: 'left' | 'right', arm: Limb | undefined, leg: Limb): StickFigure['joints'] {
  return {
    ...(arm && { [`${side}Elbow`]: arm.joint, [`${side}Hand`]: arm.end ?? arm.joint }),
    ...{ [`${side}Knee`]: leg.joint, [`${side}Foot`]: leg.end ?? leg.joint },
  };
}

/** The best limb of one or two straight pieces that leaves a place between two angles (degrees), away from the trunk. */
function bestLimb(
  field: LineField,
  at: XY,
  {
    first,
    last,
    most,
    radius,
    beside,
    without,
  }: {
    first: number;
    last: number;
    most: number;
    radius: number;
    beside: (p: XY) => number;
    without: { readonly at: XY; readonly radius: number };
  },
): Limb | undefined {
  let best: Limb | undefined;
  for (let a = first; a <= last; a += 4) {
    const t = rad(a);
    const { length, share } = field.ray([at[0] + Math.cos(t) * 2, at[1] + Math.sin(t) * 2], t, most, without);
    if (share < 0.8 || length < radius * 0.7 || length >= most) continue;
    const joint: XY = [at[0] + Math.cos(t) * (length + 1), at[1] + Math.sin(t) * (length + 1)];
    if (Math.abs(beside(joint)) < radius * 0.35) continue;
    let [second, end] = [0, undefined as XY | undefined];
    for (let c = -110; c <= 110; c += 5) {
      if (Math.abs(c) < 12) continue;
      const u = t + rad(c);
      const on = field.ray(joint, u, most - length, without);
      const tip: XY = [joint[0] + Math.cos(u) * on.length, joint[1] + Math.sin(u) * on.length];
      const stays = beside(tip) * beside(joint) > 0 && Math.abs(beside(tip)) > radius * 0.5;
      if (on.share > 0.8 && on.length > radius * 0.5 && on.length < most - length && on.length > second && stays)
        [second, end] = [on.length, tip];
    }
    const score = length + second * 0.8;
    if (score > (best?.score ?? 0)) best = { score, joint, end };
  }
  return best;
}
