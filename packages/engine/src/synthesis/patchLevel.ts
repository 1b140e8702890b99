import { createPicture, type Picture } from '@urbild/core';
import type { PatchKernel } from './kernel';
import { PatchMemory } from './patchMemory';

/** Where a reference lies in the atlas, without its border of 3 px, which is no patch centre. */
export interface AtlasRect {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

/** The numbers of one round of matching. */
export interface MatchOptions {
  /** Weight of the guide against the texture. */
  readonly guide: number;
  readonly texture: number;
  /** Price of crowded blocks, and of a reference that has more than its share. */
  readonly usage: number;
  readonly quota: number;
  /** Parts of the picture that each reference should cover, summing to 1. */
  readonly shares: readonly number[];
  readonly passes: number;
  readonly probes: number;
  readonly phase: number;
}

/** What a level fills its target from: everything that is said of references has one entry for each of them. */
export interface PatchSources {
  /** Size of the target in px. */
  readonly width: number;
  readonly height: number;
  readonly references: readonly Picture[];
  /** The references softened, each in the size of its reference. */
  readonly guides: readonly Picture[];
  /** What else is compared of each of their pixels, as one number. */
  readonly places: readonly Float32Array[];
  /** For each of their pixels 1 where patches may be taken; everywhere when absent. */
  readonly surfaces?: readonly Uint8Array[];
}

/** Px at the edge of a reference that are no centre of a patch. */
const BORDER = 3;
/** Rows that are matched between two looks at whether somebody has stopped the render. */
const BAND = 48;
/** The cost of a patch that has not been compared yet. */
const UNMATCHED = 0.01;
/** How fast what a patch says fades from its centre outwards, px. */
const VOTE_SIGMA = 1.2;

/** One level of guided patch matching: the memory of a kernel laid out for one size of target and atlas. */
export class PatchLevel {
  /** Size of the target in px. */
  readonly width: number;
  readonly height: number;
  readonly rects: readonly AtlasRect[];
  readonly atlasWidth: number;
  readonly #atlasHeight: number;
  readonly #kernel: PatchKernel;
  readonly #surfaces: readonly Uint8Array[] | undefined;
  readonly #blocksWide: number;
  readonly #blocksHigh: number;
  readonly #memory: PatchMemory;

  /** Lays out the kernel's memory and fills the atlas; what was in the memory before is gone. */
  constructor(kernel: PatchKernel, { width, height, references, guides, places, surfaces }: PatchSources) {
    this.width = width;
    this.height = height;
    this.#surfaces = surfaces;
    this.#kernel = kernel;
    this.atlasWidth = references.reduce((s, r) => s + r.width, 0);
    this.#atlasHeight = Math.max(...references.map((r) => r.height));
    this.#blocksWide = (this.atlasWidth >> 3) + 1;
    this.#blocksHigh = (this.#atlasHeight >> 3) + 1;
    this.#memory = new PatchMemory(kernel, {
      width,
      height,
      atlasWidth: this.atlasWidth,
      atlasHeight: this.#atlasHeight,
      blocks: this.#blocksWide * this.#blocksHigh,
      references: references.length,
    });
    this.rects = this.#fillAtlas(references, guides, places);
    this.cost.fill(UNMATCHED);
  }

  /** Byte addresses of the parts, for tests. */
  get addresses() {
    return this.#memory.at;
  }

  #fillAtlas(references: readonly Picture[], guides: readonly Picture[], places: readonly Float32Array[]): AtlasRect[] {
    const W = this.atlasWidth;
    const [valid, owner] = (['valid', 'owner'] as const).map((p) => this.#memory.bytes(p, W * this.#atlasHeight));
    const rects: AtlasRect[] = [];
    let left = 0;
    references.forEach((r, k) => {
      this.#memory.putAtlas(r, 'atlas', left);
      this.#memory.putAtlas(guides[k], 'atlasGuide', left, places[k]);
      for (let y = 0; y < r.height; y++) {
        const row = y * W + left;
        owner.fill(k, row, row + r.width);
        if (y < BORDER || y >= r.height - BORDER) continue;
        for (let x = BORDER; x < r.width - BORDER; x++) valid[row + x] = this.#surfaces?.[k][y * r.width + x] ?? 1;
      }
      const rect = { x0: left + BORDER, y0: BORDER, x1: left + r.width - BORDER, y1: r.height - BORDER };
      rects.push(rect);
      this.#memory.ints('rects', 4, k * 16).set([rect.x0, rect.y0, rect.x1, rect.y1]);
      left += r.width;
    });
    return rects;
  }

  /** The atlas index that each pixel is drawn from. */
  get field(): Int32Array {
    return this.#memory.ints('field', this.width * this.height);
  }

  /** True where a patch may be taken from an atlas index. */
  isValid(index: number): boolean {
    return this.#memory.bytes('valid', index + 1)[index] === 1;
  }

  get cost(): Float32Array {
    return this.#memory.floats('cost', this.width * this.height);
  }

  /** What the result should look like, what else is compared of it, and how much each pixel insists on it (1 usual). */
  setGuide(guide: Picture, places: Float32Array, gain: Float32Array): void {
    this.#memory.putTarget(guide, 'targetGuide', places);
    this.#memory.floats('gain', gain.length).set(gain);
  }

  /** Matches the current picture against the atlas; `checkpoint` is called often and may throw to stop. */
  match(current: Picture, o: MatchOptions, checkpoint: () => void): void {
    this.#memory.putTarget(current, 'target');
    const { width: w, height: h } = this;
    this.#countUse(o.shares);
    this.#memory.floats('share', o.shares.length).set(o.shares);
    const reach = Math.max(...this.rects.map((r) => Math.max(r.x1 - r.x0, r.y1 - r.y0)));
    const { at } = this.#memory;
    for (let pass = 0; pass < o.passes; pass++) {
      const direction = (o.phase + pass) & 1 ? -1 : 1;
      for (let k = 0; k * BAND < h; k++) {
        checkpoint();
        const first = direction > 0 ? k * BAND : Math.max(0, h - (k + 1) * BAND);
        const last = direction > 0 ? Math.min(h, (k + 1) * BAND) : h - k * BAND;
        this.#kernel.run(
          at.target,
          at.targetGuide,
          w,
          h,
          at.atlas,
          at.atlasGuide,
          this.atlasWidth,
          this.#atlasHeight,
          at.valid,
          at.owner,
          at.field,
          at.cost,
          at.gain,
          at.use,
          at.quota,
          this.#blocksWide,
          at.rects,
          this.rects.length,
          at.share,
          at.taken,
          o.guide / 5,
          o.texture / 13,
          o.usage,
          o.quota,
          o.probes,
          reach,
          direction,
          first,
          last,
        );
      }
    }
  }

  #countUse(shares: readonly number[]): void {
    const n = this.width * this.height;
    const [bw, bh] = [this.#blocksWide, this.#blocksHigh];
    const use = this.#memory.floats('use', bw * bh).fill(0);
    const quota = this.#memory.floats('quota', bw * bh).fill(0);
    const taken = this.#memory.floats('taken', this.rects.length).fill(0);
    this.rects.forEach((r, k) => {
      const perBlock = (((shares[k] || 1e-6) * n) / ((r.x1 - r.x0) * (r.y1 - r.y0))) * 64;
      for (let by = 0; by < bh; by++)
        for (let bx = 0; bx < bw; bx++) {
          const x = bx * 8 + 4;
          const y = by * 8 + 4;
          if (x >= r.x0 - 4 && x < r.x1 + 4 && y >= r.y0 - 4 && y < r.y1 + 4) quota[by * bw + bx] = 1 / perBlock;
        }
    });
    const owner = this.#memory.bytes('owner', this.atlasWidth * this.#atlasHeight);
    const field = this.field;
    for (let i = 0; i < n; i++) {
      const q = field[i];
      const y = Math.floor(q / this.atlasWidth);
      use[(y >> 3) * bw + ((q - y * this.atlasWidth) >> 3)]++;
      taken[owner[q]]++;
    }
  }

  /** The picture that the matched patches vote for; patches of radius `radius`, certain ones count more. */
  vote(radius: number, certainty = 1): Picture {
    const { width: w, height: h } = this;
    const n = w * h;
    const cost = this.cost;
    let mean = 0;
    for (let i = 0; i < n; i++) mean += cost[i] / n;
    const scale = -1 / (certainty * mean + 1e-6);
    const weights = this.#memory.floats('weights', n);
    for (let i = 0; i < n; i++) weights[i] = Math.exp(cost[i] * scale) + 1e-3;
    const taps: number[] = [];
    for (let dy = -radius; dy <= radius; dy++)
      for (let dx = -radius; dx <= radius; dx++)
        taps.push(Math.exp(-(dx * dx + dy * dy) / (2 * VOTE_SIGMA * VOTE_SIGMA)));
    this.#memory.floats('kernel', taps.length).set(taps);
    const { at } = this.#memory;
    this.#kernel.vote(
      // what was matched is put there anew before it is matched again
      at.target,
      w,
      h,
      at.atlas,
      this.atlasWidth,
      at.field,
      at.weights,
      at.kernel,
      radius,
    );
    const out = this.#memory.floats('target', n * 4);
    const picture = createPicture(w, h);
    const [L, a, b] = picture.planes;
    for (let i = 0, o = 0; i < n; i++, o += 4) {
      L[i] = out[o];
      a[i] = out[o + 1];
      b[i] = out[o + 2];
    }
    return picture;
  }
}
