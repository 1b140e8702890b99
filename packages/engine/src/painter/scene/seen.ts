import { type Lch, type Medium } from '@urbild/core';
import type { Environment } from '../light/environment';
import { bytesOf, type AreaMap } from './areas';
import type { FigureRecord } from './figureRecord';
import type { SceneItem } from './items';
import { REGION } from './region';
import type { Scene } from './scene';
import { weatherMarks, type WeatherMark } from './weatherMarks';

/** A flat colour of an item as it was put down, and over how many pixels it can be seen. */
export interface SeenColour {
  readonly lch: Lch;
  readonly region: number;
  readonly depth: number;
  readonly pixels: number;
}

/** An item of the words as it can be seen in the finished scene. */
export interface SeenItem extends Pick<SceneItem, 'entity' | 'kind' | 'what' | 'held'> {
  /** Pixels that nothing covers, what it holds or carries included. */
  readonly pixels: number;
  /** Left, top, right, bottom of them, px; absent where there are none. */
  readonly box?: readonly [number, number, number, number];
  readonly colours: readonly SeenColour[];
  /** The codes of the map that are it, or are in its hands. */
  readonly codes: readonly number[];
}

/** What can be seen in a finished scene: the evidence for what its words claim. */
export interface SceneSeen {
  readonly width: number;
  readonly height: number;
  readonly items: readonly SeenItem[];
  /** 1 + the index of the item that each pixel belongs to, the innermost one; 0 for the place. */
  readonly map: Uint8Array;
  /** The map as a camera sees it that looks at a part of the scene only. */
  readonly view?: { readonly width: number; readonly height: number; readonly map: Uint8Array };
  readonly figures: readonly FigureRecord[];
  /** Parts of the picture by region code. */
  readonly regions: Float64Array;
  /** px; absent where the picture came nearer to its subject. */
  readonly horizon?: number;
  readonly light: Environment;
  /** What weather put in front of it, mark by mark. */
  readonly weatherMarks: readonly WeatherMark[];
  readonly lamps: number;
  /** A reference lays the place out: what it had of its own may be gone. */
  readonly laidOut: boolean;
  readonly medium: Medium;
  readonly seed: number;
  /** A local colour under the light of the scene. */
  grade(colour: Lch, depth: number, keep?: number): Lch;
}

/** The most items that are told apart. */
const MOST_ITEMS = 255;

/** Looks at a finished scene. */
export function seenOf(scene: Scene, areas: AreaMap, medium: Medium): SceneSeen {
  const { width, height, items, light, horizon, figures } = scene;
  const shown = items.slice(0, MOST_ITEMS);
  const last = shown.reduce((most, item) => Math.max(most, item.last), 0);
  // items within others come later and win
  const itemOfId = new Uint8Array(last + 1);
  shown.forEach((item, k) => itemOfId.fill(k + 1, item.first, item.last));
  const map = bytesOf(areas, ({ id }) => (id <= last ? itemOfId[id] : 0));
  const pixels = new Uint32Array(areas.nodes.length + 1);
  for (let i = 0; i < map.length; i++) pixels[areas.index[i]]++;
  const boxes = boxesOf(map, width, shown.length);
  const regions = new Float64Array(Math.max(...Object.values(REGION)) + 1);
  areas.nodes.forEach(({ region }, k) => (regions[region] += pixels[k + 1] / map.length));
  const visible = areas.nodes.flatMap((node, k) => (pixels[k + 1] ? [{ node, n: pixels[k + 1] }] : []));
  const seen = shown.map((item): SeenItem => {
    const { entity, kind, what, held, first, last } = item;
    const codes = shown.flatMap((other, o) => (other.first >= first && other.last <= last ? [o + 1] : []));
    const own = visible.filter(({ node: { id } }) => id >= first && id < last);
    return {
      entity,
      kind,
      what,
      held,
      pixels: own.reduce((sum, { n }) => sum + n, 0),
      box: around(codes.map((code) => boxes[code - 1])),
      codes,
      colours: own.flatMap(({ node, n }) =>
        node.kind === 'blades' ? [] : [{ lch: node.colour, region: node.region, depth: node.depth, pixels: n }],
      ),
    };
  });
  return {
    width,
    height,
    items: seen,
    map,
    figures,
    regions,
    horizon,
    light,
    weatherMarks: weatherMarks(scene),
    lamps: scene.lamps.length,
    laidOut: scene.laidOut,
    medium,
    seed: scene.seed,
    grade: (colour, depth, keep) => scene.grade(colour, depth, keep),
  };
}

type Box = [number, number, number, number];

/** The box around boxes, as far as there are any. */
const around = (boxes: readonly (Box | undefined)[]): Box | undefined =>
  boxes.reduce((a, b) => {
    if (!a || !b) return a ?? b;
    return [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[2], b[2]), Math.max(a[3], b[3])];
  }, undefined);

/** The boxes of the codes 1 .. count of a map. */
function boxesOf(map: Uint8Array, width: number, count: number): (Box | undefined)[] {
  const boxes: (Box | undefined)[] = new Array<Box | undefined>(count).fill(undefined);
  for (let i = 0, x = 0, y = 0; i < map.length; i++, x++) {
    if (x === width) {
      x = 0;
      y++;
    }
    if (!map[i]) continue;
    const box = (boxes[map[i] - 1] ??= [x, y, x + 1, y + 1]);
    if (x < box[0]) box[0] = x;
    if (x >= box[2]) box[2] = x + 1;
    if (y >= box[3]) box[3] = y + 1;
  }
  return boxes;
}
