import { createCanvas, type SKRSContext2D } from '@napi-rs/canvas';
import { Random } from '@urbild/core';

/** What is to be seen of the one person of a portrait. */
export interface PersonTruth {
  /** How the hair is worn: none, not beyond the ears, to the chin, hanging lower, or tied up on the head. */
  readonly worn: 'bald' | 'short' | 'bob' | 'long' | 'up';
  readonly beard: boolean;
  readonly glasses: boolean;
  /** A hat has a brim, a knit cap has none. */
  readonly headwear: 'none' | 'hat' | 'knit cap';
  /** Of the upper clothes; plain when absent. */
  readonly pattern?: ClothPattern;
}

/** What is on cloth. */
export const CLOTH_PATTERNS = ['plain', 'stripes', 'checks', 'dots'] as const;
export type ClothPattern = (typeof CLOTH_PATTERNS)[number];

/** People from this number on may wear patterned clothes too, and have eyes of all colours; those before wear plain ones and have dark eyes. */
export const PATTERNED = 30_000;

/** People from this number on may wear hats, glasses and beards, and their hair in all ways; those before are as they always were. */
export const DRESSED = 1000;

/** What stands in a picture of a family, as far as its generator knows. */
export interface FamilyTruth {
  readonly kind: 'portrait' | 'figure' | 'scene' | 'thing' | 'plan' | 'pose';
  /** People in it. */
  readonly people: number;
  /** What lies behind: one tone, or many things. */
  readonly ground: 'plain' | 'busy';
  /** Colours of whoever it shows, sRGB. */
  readonly hair?: Rgb;
  readonly skin?: Rgb;
  /** Of the iris, where it is drawn in a colour of its own. */
  readonly eyes?: Rgb;
  readonly clothes?: Rgb;
  /** The other colour of patterned clothes. */
  readonly second?: Rgb;
  readonly person?: PersonTruth;
  /** How far the face is turned, degrees, 0 to the viewer; where it is really turned in space. */
  readonly yaw?: number;
  /** Joints of the only figure, parts of width and height. */
  readonly joints?: Readonly<Record<string, readonly [number, number]>>;
  /** What each of its areas is, where the generator lays the picture out of areas. */
  readonly areas?: AreaTruth;
}

/** What an area of a picture shows. */
export type AreaTruthKind =
  'sky' | 'water' | 'ground' | 'plants' | 'building' | 'rock' | 'person' | 'thing' | 'sun or moon' | 'nothing';

/** Every pixel's area, and what every area shows. */
export interface AreaTruth {
  /** An index into `kinds` a pixel. */
  readonly map: Uint8Array;
  readonly kinds: readonly AreaTruthKind[];
}

/** A colour, sRGB 0..255. */
export type Rgb = readonly [number, number, number];

/** 8-bit opaque sRGB pixels with what is known of them. */
export interface FamilyPicture {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray;
  readonly truth: FamilyTruth;
}

/** What a picture of a family is made of. */
export interface FamilyWish {
  /** Who or what is to be recognised: a person, a thing, a manner. The same number is the same one in any picture. */
  readonly who: number;
  /** Everything else: view, light, ground, arrangement. */
  readonly seed: number;
}

/**
 * Pictures in a technique that our painter has not: a generator with seeds that shares nothing with the painter nor with other families
 * but noise and the laying of shapes on a canvas.
 */
export interface ForeignFamily {
  readonly name: string;
  /** How its pictures are made, in a sentence. */
  readonly technique: string;
  /** Left out of every training and tuning, and only measured. */
  readonly heldOut: boolean;
  make(wish: FamilyWish): FamilyPicture;
  /** What the person of that number wears, without a picture of them; only of families of people. */
  wears?(who: number): PersonTruth;
}

/** Chance for one purpose of one picture. */
export const chanceOf = (family: string, purpose: string, n: number): Random =>
  new Random([...`${family} ${purpose} ${n}`].reduce((s, c) => (Math.imul(s, 31) + c.charCodeAt(0)) | 0, 17) >>> 0);

/** A colour for a canvas. */
export const css = ([r, g, b]: Rgb, alpha = 1): string =>
  `rgba(${Math.round(r)}, ${Math.round(g)}, ${Math.round(b)}, ${alpha})`;

/** A colour from hue (degrees), saturation and lightness (0..1), by the usual HSL formula. */
export function hsl(h: number, s: number, l: number): Rgb {
  const at = (n: number) => {
    const k = (n + h / 30) % 12;
    return 255 * (l - s * Math.min(l, 1 - l) * Math.max(-1, Math.min(k - 3, 9 - k, 1)));
  };
  return [at(0), at(8), at(4)];
}

/** A colour between two: 0 the first, 1 the second. */
export const between = (a: Rgb, b: Rgb, t: number): Rgb => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
];

/** Pixels of a canvas of w x h px after `draw`. */
export function onCanvas(w: number, h: number, draw: (g: SKRSContext2D) => void): Uint8ClampedArray {
  const g = createCanvas(w, h).getContext('2d');
  g.lineCap = 'round';
  g.lineJoin = 'round';
  draw(g);
  return g.getImageData(0, 0, w, h).data;
}

/** Notes which area lies where while a picture is laid out of areas, later ones over earlier ones. */
export class AreaNotes {
  readonly #g: SKRSContext2D;
  readonly #kinds: AreaTruthKind[];

  /** Everywhere is `first` until something else is laid over it. */
  constructor(
    readonly w: number,
    readonly h: number,
    first: AreaTruthKind,
  ) {
    this.#g = createCanvas(w, h).getContext('2d');
    this.#kinds = [first];
    this.#g.fillStyle = '#000';
    this.#g.fillRect(0, 0, w, h);
  }

  /** An area with this outline, px. */
  lay(kind: AreaTruthKind, outline: readonly (readonly [number, number])[]): void {
    const id = this.#kinds.push(kind) - 1;
    this.#g.fillStyle = `rgb(${id * 5}, ${255 - id * 5}, ${(id * 90) % 256})`;
    this.#g.beginPath();
    outline.forEach(([x, y], k) => (k ? this.#g.lineTo(x, y) : this.#g.moveTo(x, y)));
    this.#g.closePath();
    this.#g.fill();
  }

  /** What was noted; soft edges go to what lies before them in the row. */
  done(): AreaTruth {
    const { data } = this.#g.getImageData(0, 0, this.w, this.h);
    const ids = new Map(
      this.#kinds.map((_, id) => [id ? (id * 5 * 256 + 255 - id * 5) * 256 + ((id * 90) % 256) : 0, id]),
    );
    let last = 0;
    const map = Uint8Array.from({ length: this.w * this.h }, (_, i) => {
      last = ids.get((data[i * 4] * 256 + data[i * 4 + 1]) * 256 + data[i * 4 + 2]) ?? last;
      return last;
    });
    return { map, kinds: this.#kinds };
  }
}

/** Pixels one by one: `at` gives the colour at a place given as parts of width and height. */
export function byPixel(w: number, h: number, at: (u: number, v: number) => Rgb): Uint8ClampedArray {
  const rgba = new Uint8ClampedArray(w * h * 4);
  for (let y = 0, o = 0; y < h; y++)
    for (let x = 0; x < w; x++, o += 4) {
      const [r, g, b] = at((x + 0.5) / w, (y + 0.5) / h);
      rgba.set([r, g, b, 255], o);
    }
  return rgba;
}
