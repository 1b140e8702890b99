/** How many numbers of a vector are looked at first, and how far apart they lie (coprime with the lengths in use). */
const GLANCED = 40;
const SCATTER = 37;
/** How many rows are compared number by number. */
const EXACT = 2000;

/**
 * Vectors of equal length, 8 bits a number, in one block of memory: tens of thousands are compared in a few milliseconds. Rows
 * of dropped ids are used again.
 */
export class VectorTable {
  /** The id of each row; undefined for a free one. */
  readonly ids: (string | undefined)[] = [];
  readonly #rows = new Map<string, number>();
  readonly #free: number[] = [];
  #length = 0;
  #block = new Int8Array(0);
  #coarse = new Int8Array(0);
  /** One over the length of each vector. */
  #scale = new Float32Array(0);

  put(id: string, vector: Int8Array): void {
    this.#length ||= vector.length;
    if (vector.length !== this.#length) return;
    let row = this.#rows.get(id);
    if (row === undefined) {
      row = this.#free.pop() ?? this.ids.length;
      this.#rows.set(id, row);
      this.ids[row] = id;
      this.#makeRoom(row + 1);
    }
    this.#block.set(vector, row * this.#length);
    this.#coarse.set(this.#few(vector), row * GLANCED);
    let squares = 0;
    for (let i = 0; i < vector.length; i++) squares += vector[i] * vector[i];
    this.#scale[row] = squares ? 1 / Math.sqrt(squares) : 0;
  }

  drop(id: string): void {
    const row = this.#rows.get(id);
    if (row === undefined) return;
    this.#rows.delete(id);
    this.ids[row] = undefined;
    this.#free.push(row);
  }

  /**
   * The cosine of the likeliest rows with a vector, or with the better of two; -Infinity for all others. Which rows are likely
   * is told by a first look at a few numbers of each, scattered over the vector.
   */
  scores(a: Int8Array, b?: Int8Array): Float32Array {
    const n = this.ids.length;
    const out = new Float32Array(n).fill(-Infinity);
    if (a.length !== this.#length) return out;
    const glance = this.#glance(a, b);
    const least = n > EXACT ? threshold(glance, EXACT) : -Infinity;
    const norm = (v: Int8Array) => 1 / (Math.sqrt(v.reduce((s, x) => s + x * x, 0)) || 1);
    const [na, nb] = [norm(a), b ? norm(b) : 0];
    for (let row = 0; row < n; row++) {
      if (glance[row] < least) continue;
      const at = row * this.#length;
      let score = product(this.#block, at, a) * na;
      if (b) score = Math.max(score, product(this.#block, at, b) * nb);
      out[row] = score * this.#scale[row];
    }
    return out;
  }

  /** A rough score of every row, from {@link GLANCED} numbers of its vector. */
  #glance(a: Int8Array, b?: Int8Array): Float32Array {
    const out = new Float32Array(this.ids.length);
    const one = this.#few(a);
    const two = b && this.#few(b);
    for (let row = 0; row < out.length; row++) {
      let score = product(this.#coarse, row * GLANCED, one);
      if (two) score = Math.max(score, product(this.#coarse, row * GLANCED, two));
      out[row] = score * this.#scale[row];
    }
    return out;
  }

  #few(v: Int8Array): Int8Array {
    return Int8Array.from({ length: GLANCED }, (_, k) => v[(k * SCATTER) % v.length]);
  }

  #makeRoom(rows: number): void {
    if (this.#scale.length >= rows) return;
    const room = Math.max(256, Math.ceil(rows * 1.6));
    const block = new Int8Array(room * this.#length);
    block.set(this.#block);
    this.#block = block;
    const coarse = new Int8Array(room * GLANCED);
    coarse.set(this.#coarse);
    this.#coarse = coarse;
    const scale = new Float32Array(room);
    scale.set(this.#scale);
    this.#scale = scale;
  }
}

/** Dot product with a row of the block, in whole numbers, four at a time: the engine keeps it in registers. */
function product(block: Int8Array, at: number, v: Int8Array): number {
  const n = v.length & ~3;
  let p = 0;
  let q = 0;
  for (let i = 0; i < n; i += 4) {
    p = (p + block[at + i] * v[i] + block[at + i + 1] * v[i + 1]) | 0;
    q = (q + block[at + i + 2] * v[i + 2] + block[at + i + 3] * v[i + 3]) | 0;
  }
  for (let i = n; i < v.length; i++) p = (p + block[at + i] * v[i]) | 0;
  return p + q;
}

/** A value that about `count` of many values reach, by a histogram. */
function threshold(values: Float32Array, count: number): number {
  let low = Infinity;
  let high = -Infinity;
  for (let i = 0; i < values.length; i++) {
    low = Math.min(low, values[i]);
    high = Math.max(high, values[i]);
  }
  const bins = new Uint32Array(1024);
  const k = 1023 / (high - low || 1);
  for (let i = 0; i < values.length; i++) bins[((values[i] - low) * k) | 0]++;
  let seen = 0;
  let bin = 1023;
  while (bin > 0 && seen + bins[bin] < count) seen += bins[bin--];
  return low + bin / k;
}
