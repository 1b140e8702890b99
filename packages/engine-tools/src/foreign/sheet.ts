import { createCanvas, type SKRSContext2D } from '@napi-rs/canvas';
import { Random, ValueNoise } from '@urbild/core';

/** 8-bit opaque sRGB pixels of a picture that our painter did not make. */
export interface ForeignPicture {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray;
}

/** What a drawing function gets: a canvas of w x h px, a random source and noise of its own. */
export interface Desk {
  readonly g: SKRSContext2D;
  readonly w: number;
  readonly h: number;
  readonly random: Random;
  readonly noise: ValueNoise;
}

/** Draws on a fresh canvas filled with `paper`. The same name gives the same picture. */
export function drawn(name: string, w: number, h: number, paper: string, draw: (desk: Desk) => void): ForeignPicture {
  const canvas = createCanvas(w, h);
  const g = canvas.getContext('2d');
  g.fillStyle = paper;
  g.fillRect(0, 0, w, h);
  g.lineCap = 'round';
  g.lineJoin = 'round';
  const seed = [...name].reduce((s, c) => (s * 31 + c.charCodeAt(0)) | 0, 7) >>> 0;
  draw({ g, w, h, random: new Random(seed), noise: new ValueNoise(seed) });
  return { name, width: w, height: h, rgba: g.getImageData(0, 0, w, h).data };
}

/** Pixels computed one by one: `at` gives sRGB 0..255 for a place given as parts of width and height. */
export function computed(
  name: string,
  w: number,
  h: number,
  at: (u: number, v: number, noise: ValueNoise, random: Random) => readonly [number, number, number],
): ForeignPicture {
  const seed = [...name].reduce((s, c) => (s * 31 + c.charCodeAt(0)) | 0, 7) >>> 0;
  const noise = new ValueNoise(seed);
  const random = new Random(seed);
  const rgba = new Uint8ClampedArray(w * h * 4);
  for (let y = 0, o = 0; y < h; y++)
    for (let x = 0; x < w; x++, o += 4) {
      const [r, g, b] = at(x / w, y / h, noise, random);
      rgba[o] = r;
      rgba[o + 1] = g;
      rgba[o + 2] = b;
      rgba[o + 3] = 255;
    }
  return { name, width: w, height: h, rgba };
}

/** A closed or open line through points. */
export function line({ g }: Desk, points: readonly (readonly [number, number])[], closed = false): void {
  g.beginPath();
  points.forEach(([x, y], i) => (i ? g.lineTo(x, y) : g.moveTo(x, y)));
  if (closed) g.closePath();
}

/** Sprinkles `count` specks of a colour. */
export function specks({ g, w, h, random }: Desk, count: number, size: number, colour: string): void {
  g.fillStyle = colour;
  for (let i = 0; i < count; i++) {
    const s = size * (0.4 + random.next());
    g.fillRect(random.next() * w, random.next() * h, s, s);
  }
}
