import type { Lch } from '@urbild/core';
import { areaMap } from '../scene/areas';
import type { ShapeNode } from '../scene/displayList';
import { isFigure, REGION, type Region } from '../scene/region';
import type { Scene } from '../scene/scene';

/** A local colour of a place, and over how many px it can be seen. */
interface PlaceColour {
  readonly colour: Lch;
  readonly depth: number;
  readonly size: number;
}

/** How much of its size a colour loses by lying at another depth. */
const FAR_OFF = 2;
/** A colour that lies over less than this part of all of its kind is a detail. */
const DETAIL = 0.08;

/** What colours a painted place has, by what they are colours of. */
export class PlaceColours {
  readonly #of = new Map<Region, PlaceColour[]>();

  private constructor(private readonly scene: Scene) {}

  /** Gathers the colours of what can be seen of a place. */
  static of(scene: Scene): PlaceColours {
    const out = new PlaceColours(scene);
    const { index, nodes } = areaMap(scene);
    const pixels = new Uint32Array(nodes.length + 1);
    for (const k of index) pixels[k]++;
    nodes.forEach((node, k) => node.kind === 'shape' && out.#take(node, pixels[k + 1]));
    for (const all of out.#of.values()) all.sort((a, b) => b.size - a.size);
    return out;
  }

  #take({ region, depth, colour, gradient }: ShapeNode, size: number): void {
    if (!size || isFigure(region) || (gradient && region === REGION.sky)) return;
    const all = this.#of.get(region) ?? [];
    all.push({ colour: this.scene.ungrade(colour, depth), depth, size });
    this.#of.set(region, all);
  }

  /** The colour that most of a region has, as it is seen at a depth (0..1); `nth` picks another of those that lie over much of it. */
  near(region: Region, depth: number, nth = 0): Lch | undefined {
    const all = this.#of.get(region);
    if (!all?.length) return undefined;
    const score = (c: PlaceColour) => c.size / (1 + FAR_OFF * Math.abs(c.depth - depth));
    const whole = all.reduce((sum, c) => sum + c.size, 0);
    const best = all.filter((c, k) => !k || c.size > DETAIL * whole).sort((a, b) => score(b) - score(a));
    return this.scene.grade(best[nth % Math.min(best.length, 4)].colour, depth);
  }
}
