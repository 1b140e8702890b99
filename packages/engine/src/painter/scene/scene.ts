import { clamp, labToLch, lchToLab, mixLch, ValueNoise, type Lch, type PlaceName, type Random } from '@urbild/core';
import type { Path } from '../geometry/point';
import type { Environment } from '../light/environment';
import { inLeaf, isSnowy } from '../light/environment';
import type { FigureRecord } from './figureRecord';
import type { Blade, GroupNode, Node, Reflection, ShapeNode, ShapeStyle } from './displayList';
import type { ItemOf, SceneItem } from './items';
import { REGION, type Region } from './region';
import { COMMON_SEED, SpreadRandom } from './spreadRandom';

/** A lamp that lights what stands near it. */
export interface Lamp {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
}

const SNOW: Lch = [0.955, 0.012, 252];
const SNOW_COVER: Partial<Record<Region, number>> = {
  [REGION.ground]: 0.86,
  [REGION.hill]: 0.86,
  [REGION.foliage]: 0.42,
  [REGION.rock]: 0.4,
};

/** Options of a pen: what it draws, how far away, and whether colours are graded by the light. */
export interface PenOptions {
  readonly region: Region;
  readonly depth: number;
  /** Colours are final: no grading by time, no haze, no snow. */
  readonly raw?: boolean;
  /** How far local colours are kept against the grading, 0..1. */
  readonly keep?: number;
}

/**
 * Records a picture as a display list: shapes, lines, blades, glows and mists in painting order. Media render the list;
 * nothing here touches a canvas.
 */
export class Scene {
  readonly root: GroupNode = { kind: 'group', children: [] };
  readonly random: Random;
  readonly noise: ValueNoise;
  readonly lamps: Lamp[] = [];
  /** What is known of the painted people and creatures. */
  readonly figures: FigureRecord[] = [];
  /** What of the words was painted; what lies within another one comes after it. */
  readonly items: SceneItem[] = [];
  /** A reference among the influences lays the place out: what it had of its own may be gone. */
  laidOut = false;
  /** Where the horizon of the place is, px; unknown where the picture came nearer. */
  horizon?: number;
  /** Where the sun or moon stands, px, if there is one. */
  sun?: { readonly x: number; readonly y: number };
  /** The running numbers of the marks of the weather, drops or flakes: from the first to before the last. */
  weather?: readonly [first: number, last: number];
  /** What shall not appear, as in the brief: "thing: boat". */
  readonly refused = new Set<string>();
  /** Entities that have their places and are not painted: somebody else stands there already. */
  unpainted: ReadonlySet<number> = new Set();
  /** One 512th of the shorter side: lengths of places and things are given in it. */
  readonly unit: number;
  #target: Node[] = this.root.children;
  #nextId = 1;

  constructor(
    readonly width: number,
    readonly height: number,
    readonly light: Environment,
    readonly seed: number,
    spread = 1,
  ) {
    this.random = new SpreadRandom(seed, spread);
    // noise cannot move from one form to another, so it changes over in the middle
    this.noise = new ValueNoise(spread < 0.5 ? COMMON_SEED : seed);
    this.unit = Math.min(width, height) / 512;
  }

  /** A local colour under the light of the scene at a depth (0 near, 1 far). */
  grade(colour: Lch, depth: number, keep = 0): Lch {
    const e = this.light;
    let graded: Lch = [
      clamp((colour[0] - 0.5) * e.contrast + 0.5 + e.lift, 0.03, 0.99),
      colour[1] * e.chroma,
      colour[2],
    ];
    graded = mixLch(graded, e.tint, e.tintAmount);
    if (keep) graded = mixLch(graded, colour, keep);
    return mixLch(graded, e.haze, (1 - Math.exp(-depth * e.fog)) * 0.96);
  }

  /** The local colour that {@link grade} turned into `graded`: its inverse, but for what was clipped. */
  ungrade(graded: Lch, depth: number, keep = 0): Lch {
    const e = this.light;
    const haze = (1 - Math.exp(-depth * e.fog)) * 0.96;
    const [g, tint, far] = [lchToLab(graded), lchToLab(e.tint), lchToLab(e.haze)];
    const own = (1 - e.tintAmount) * (1 - keep);
    const local = [0, 1, 2].map((k) => {
      const near = (g[k] - far[k] * haze) / (1 - haze);
      const untinted = near - tint[k] * e.tintAmount * (1 - keep);
      const scale = own * (k ? e.chroma : e.contrast) + keep;
      const shift = k ? 0 : own * (0.5 - 0.5 * e.contrast + e.lift);
      return (untinted - shift) / scale;
    });
    return labToLch([local[0], local[1], local[2]]);
  }

  /** True where none of these was refused. */
  allows(...what: string[]): boolean {
    return !what.some((w) => this.refused.has(w));
  }

  /** A pen for one region at one depth. */
  pen(options: PenOptions): Pen {
    return new Pen(this, options);
  }

  /** Adds a node and gives it its running number. */
  add<T extends Node>(node: T): T {
    this.#target.push(node);
    return node;
  }

  /** Everything that `draw` adds is a picture of `what`. */
  item(what: ItemOf, draw: () => void): void {
    const item: SceneItem = { ...what, first: this.#nextId, last: this.#nextId };
    this.items.push(item);
    draw();
    item.last = this.#nextId;
  }

  /** Everything that `draw` adds is what a place is known by. */
  landmark(place: PlaceName, draw: () => void): void {
    this.item({ entity: -1, kind: 'landmark', what: place }, draw);
  }

  /** Everything that `draw` adds is a mark of the weather. */
  markWeather(draw: () => void): void {
    const first = this.#nextId;
    draw();
    this.weather = [first, this.#nextId];
  }

  nextId(): number {
    return this.#nextId++;
  }

  /** Everything that `draw` adds is clipped to `shape`. */
  inside(shape: ShapeNode, draw: () => void): void {
    shape.children ??= [];
    this.#into(shape.children, draw);
  }

  /** Everything that `draw` adds becomes one group, mirrored in water if `reflection` is given. */
  group(reflection: Reflection | undefined, draw: () => void): void {
    const group: GroupNode = { kind: 'group', children: [], reflection };
    this.add(group);
    this.#into(group.children, draw);
  }

  #into(children: Node[], draw: () => void): void {
    const before = this.#target;
    this.#target = children;
    draw();
    this.#target = before;
  }
}

/** Draws shapes of one region at one depth into a scene. */
export class Pen {
  constructor(
    readonly scene: Scene,
    readonly options: PenOptions,
  ) {}

  /** The same pen with some options changed. */
  with(options: Partial<PenOptions>): Pen {
    return new Pen(this.scene, { ...this.options, ...options });
  }

  /** The final colour for a local one. */
  colour(local: Lch): Lch {
    const { raw, depth, region, keep } = this.options;
    if (raw) return local;
    const seasonal =
      region === REGION.foliage || region === REGION.ground ? inLeaf(local, this.scene.light.season) : local;
    const cover = isSnowy(this.scene.light) ? (SNOW_COVER[region] ?? 0) : 0;
    return this.scene.grade(cover ? mixLch(seasonal, SNOW, cover) : seasonal, depth, keep);
  }

  shape(path: Path, colour: Lch, style: ShapeStyle = {}): ShapeNode {
    return this.scene.add({
      ...style,
      kind: 'shape',
      path,
      colour: this.colour(colour),
      toColour: style.toColour && this.colour(style.toColour),
      ...this.#base(),
    });
  }

  line(
    path: Path,
    width: number,
    colour: Lch,
    style: { alpha?: number; taper?: readonly [number, number] } = {},
  ): void {
    this.scene.add({
      kind: 'line',
      path,
      width,
      colour: this.colour(colour),
      alpha: style.alpha ?? 1,
      taperStart: style.taper?.[0] ?? 0.15,
      taperEnd: style.taper?.[1] ?? 0.15,
      bright: !!this.options.raw,
      ...this.#base(),
    });
  }

  /** Adds blades whose colours are final already (see {@link Pen.colour}). */
  blades(blades: readonly Blade[]): void {
    this.scene.add({ kind: 'blades', blades, ...this.#base() });
  }

  /** A light that screens what lies beneath. */
  glow(x: number, y: number, radius: number, colour: Lch, alpha: number): void {
    this.scene.add({ kind: 'glow', x, y, radius, colour, alpha, stain: false, ...this.#base() });
  }

  /** A soft stain of a local colour: blush, a cast shadow. */
  stain(x: number, y: number, radius: number, colour: Lch, alpha: number): void {
    this.scene.add({ kind: 'glow', x, y, radius, colour: this.colour(colour), alpha, stain: true, ...this.#base() });
  }

  mist(x: number, y: number, width: number, height: number, colour: Lch, alpha: number): void {
    this.scene.add({ kind: 'mist', x, y, width, height, colour, alpha, ...this.#base() });
  }

  #base() {
    return { region: this.options.region, depth: this.options.depth, id: this.scene.nextId() };
  }
}
