import { growTo, reflect, type Picture } from '@urbild/core';
import type { PatchKernel } from './kernel';

/** The parts of a kernel's memory, each laid out for one size of target and atlas. */
export type PatchPart =
  | 'atlas'
  | 'atlasGuide'
  | 'valid'
  | 'owner'
  | 'target'
  | 'targetGuide'
  | 'field'
  | 'cost'
  | 'gain'
  | 'weights'
  | 'use'
  | 'quota'
  | 'rects'
  | 'share'
  | 'taken'
  | 'kernel';

/** What decides how large the parts are: px of target and atlas, blocks of 8 x 8 px of the atlas, references. */
export interface PatchSizes {
  readonly width: number;
  readonly height: number;
  readonly atlasWidth: number;
  readonly atlasHeight: number;
  readonly blocks: number;
  readonly references: number;
}

/** Where the kernel's own data ends. */
const FREE = 4096;
/** Px that a target is continued by on every side, mirrored. */
const PAD = 2;

/** The memory of a kernel with a place for each of its parts; what was in it before is gone. */
export class PatchMemory {
  /** Byte addresses of the parts. */
  readonly at: Readonly<Record<PatchPart, number>>;
  readonly #kernel: PatchKernel;
  readonly #sizes: PatchSizes;

  constructor(kernel: PatchKernel, sizes: PatchSizes) {
    this.#kernel = kernel;
    this.#sizes = sizes;
    const { width, height, atlasWidth, atlasHeight, blocks, references } = sizes;
    const target = width * height;
    const padded = (width + 2 * PAD) * (height + 2 * PAD);
    const atlas = atlasWidth * atlasHeight;
    let top = FREE;
    const allocate = (bytes: number) => {
      const at = (top + 15) & ~15;
      top = at + bytes;
      return at;
    };
    this.at = {
      atlas: allocate(atlas * 16),
      atlasGuide: allocate(atlas * 16),
      valid: allocate(atlas),
      owner: allocate(atlas),
      target: allocate(padded * 16),
      targetGuide: allocate(padded * 16),
      field: allocate(target * 4),
      cost: allocate(target * 4),
      gain: allocate(target * 4),
      weights: allocate(target * 4),
      use: allocate(blocks * 4),
      quota: allocate(blocks * 4),
      rects: allocate(references * 16),
      share: allocate(references * 4),
      taken: allocate(references * 4),
      kernel: allocate(128),
    };
    growTo(kernel, top + 1024);
    new Uint8Array(kernel.memory.buffer, FREE, top - FREE).fill(0);
  }

  /** Parts as what they hold: of colours, costs and shares, of indices, and of marks. `offset` is in bytes. */
  floats(part: PatchPart, length: number): Float32Array {
    return new Float32Array(this.#kernel.memory.buffer, this.at[part], length);
  }

  ints(part: PatchPart, length: number, offset = 0): Int32Array {
    return new Int32Array(this.#kernel.memory.buffer, this.at[part] + offset, length);
  }

  bytes(part: PatchPart, length: number): Uint8Array {
    return new Uint8Array(this.#kernel.memory.buffer, this.at[part], length);
  }

  /** Puts a picture into the atlas, `left` px from its edge, with one more number of each pixel, 0 where nothing is given. */
  putAtlas(picture: Picture, to: 'atlas' | 'atlasGuide', left: number, place?: Float32Array): void {
    const { atlasWidth, atlasHeight } = this.#sizes;
    const floats = this.floats(to, atlasWidth * atlasHeight * 4);
    for (let y = 0, i = 0; y < picture.height; y++) {
      let o = (y * atlasWidth + left) * 4;
      for (let x = 0; x < picture.width; x++, i++, o += 4) putPixel(floats, o, picture, i, place);
    }
  }

  /** Puts a picture into a target, mirrored beyond its edges. */
  putTarget(picture: Picture, to: 'target' | 'targetGuide', place?: Float32Array): void {
    const { width: w, height: h } = picture;
    const stride = w + 2 * PAD;
    const floats = this.floats(to, stride * (h + 2 * PAD) * 4);
    for (let y = -PAD; y < h + PAD; y++) {
      const row = reflect(y, h) * w;
      let o = (y + PAD) * stride * 4;
      for (let x = -PAD; x < w + PAD; x++, o += 4) putPixel(floats, o, picture, row + reflect(x, w), place);
    }
  }
}

function putPixel(to: Float32Array, o: number, { planes }: Picture, i: number, place?: Float32Array): void {
  to[o] = planes[0][i];
  to[o + 1] = planes[1][i];
  to[o + 2] = planes[2][i];
  to[o + 3] = place ? place[i] : 0;
}
