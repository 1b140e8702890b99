import { crispEdges } from './crispEdges';
import { facesBetween, grow } from './faces';
import { formsOf } from './forms';
import { merged } from './merging';
import { outlinesOf, simplifiedPath, type Ring } from './outlines';
import { superpixels, type Planes } from './superpixels';

const W = 90;
const H = 70;
type At = (x: number, y: number) => readonly [number, number, number];

const planesOf = (at: At, w = W, h = H): Planes => {
  const planes = [0, 1, 2].map(() => new Float32Array(w * h)) as unknown as Planes;
  for (let i = 0; i < w * h; i++) at(i % w, Math.floor(i / w)).forEach((v, c) => (planes[c][i] = v));
  return planes;
};
const labelsOf = (at: (x: number, y: number) => number, w = W, h = H) => {
  const of = Int32Array.from({ length: w * h }, (_, i) => at(i % w, Math.floor(i / w)));
  return { of, count: of.reduce((a, b) => Math.max(a, b), 0) };
};
const sizeOf = (ring: Ring) =>
  Math.abs(
    ring.reduce((s, [x, y], k) => s + x * ring[(k + 1) % ring.length][1] - ring[(k + 1) % ring.length][0] * y, 0),
  ) / 2;

describe('areas between lines', () => {
  const box = (gap: number) => {
    const mask = new Uint8Array(W * H);
    for (let x = 20; x <= 70; x++) {
      mask[15 * W + x] = 1;
      if (x < 45 - gap / 2 || x > 45 + gap / 2) mask[55 * W + x] = 1;
    }
    for (let y = 15; y <= 55; y++) mask[y * W + 20] = mask[y * W + 70] = 1;
    return mask;
  };
  const inside = 35 * W + 45;

  test('a closed box is an area of its own, and every pixel belongs to one', () => {
    const { of, count } = facesBetween(box(0), [], { w: W, h: H });
    expect(count).toBe(2);
    expect(of[inside]).not.toBe(of[2 * W + 2]);
    expect(of.every((k) => k > 0)).toBe(true);
  });

  test('what a small gap leaves open does not run out; what is open is one with what is around it', () => {
    const small = facesBetween(box(5), [], { w: W, h: H });
    expect(small.of[inside]).not.toBe(small.of[2 * W + 2]);
    const wide = facesBetween(box(26), [], { w: W, h: H });
    expect(wide.of[inside]).toBe(wide.of[2 * W + 2]);
  });

  test('a link closes what is open', () => {
    const { of } = facesBetween(
      box(26),
      [
        [
          [31, 55],
          [59, 55],
        ],
      ],
      { w: W, h: H },
    );
    expect(of[inside]).not.toBe(of[2 * W + 2]);
  });

  test('a way between two windows does not part a wall', () => {
    const mask = box(0);
    for (const [x0, x1] of [
      [28, 40],
      [49, 62],
    ])
      for (let k = 0; k <= x1 - x0; k++)
        for (const [x, y] of [
          [x0 + k, 30],
          [x0 + k, 42],
          [x0, 30 + Math.min(12, k)],
          [x1, 30 + Math.min(12, k)],
        ])
          mask[y * W + x] = 1;
    const { of } = facesBetween(mask, [], { w: W, h: H, least: 40 });
    expect(of[20 * W + 45]).toBe(of[50 * W + 45]);
    expect(of[36 * W + 34]).not.toBe(of[20 * W + 45]);
  });

  test('areas grow no farther than they may', () => {
    const of = new Int32Array(W * H);
    of[inside] = 3;
    grow(of, W, H, 2);
    expect([of[inside + 2], of[inside + 3]]).toEqual([3, 0]);
    grow(of, W, H, Infinity, (i) => i % W < 60);
    expect([of[35 * W + 59], of[35 * W + 60]]).toEqual([3, 0]);
  });
});

describe('areas of like colour', () => {
  /** A sky that grows lighter downwards over a dark ground, with a red house between. */
  const scene: At = (x, y) =>
    x > 30 && x < 50 && y > 30 && y < 55 ? [50, 60, 30] : y > 44 ? [35, -20, 25] : [60 + y * 0.5, -5, -20 + y * 0.3];
  const planes = planesOf(scene);
  const small = superpixels(planes, W, H, { count: 200, compact: 8 });

  test('small ones do not reach over edges, and none is in two pieces', () => {
    expect(small.count).toBeGreaterThan(100);
    const dark = new Set<number>();
    const light = new Set<number>();
    small.of.forEach((k, i) => (planes[0][i] < 40 ? dark : light).add(k));
    expect([...dark].filter((k) => light.has(k)).length).toBeLessThan(4);
  });

  test('merged, a sky is one area though it grows lighter, and the house stays itself', () => {
    const { of, count } = merged(small, planes, W, H, { count: 3, least: 0, cap: 2, small: 0.3 });
    expect(of[2 * W + 45]).toBe(of[40 * W + 5]);
    expect(of[40 * W + 40]).not.toBe(of[20 * W + 40]);
    expect(of[60 * W + 5]).not.toBe(of[20 * W + 5]);
    expect(count).toBe(3);
  });

  test('what never belongs together stays apart, whatever it costs', () => {
    const one = merged(small, planes, W, H, { count: 1, least: 0, cap: 2, small: 0.3 });
    expect(one.count).toBe(1);
    const apart = merged(small, planes, W, H, { count: 1, least: 0, cap: 2, small: 0.3, apart: () => true });
    expect(apart.count).toBe(small.count);
  });

  test('a soft change is no edge, a crisp one is', () => {
    const edges = crispEdges(
      planesOf((x, y) => [y > 40 ? 80 : 30 + x * 0.2, 0, 0]),
      W,
      H,
      { low: 0.5, high: 1 },
    );
    const rows = new Set([...edges].flatMap((v, i) => (v ? [Math.floor(i / W)] : [])));
    expect(rows.size).toBeGreaterThan(0);
    for (const y of rows) expect(Math.abs(y - 40)).toBeLessThanOrEqual(2);
  });
});

describe('outlines', () => {
  const labels = labelsOf((x, y) => (Math.hypot(x - 45, y - 35) < 20 ? 2 : x < 45 ? 1 : 3));

  test('they are as large as their areas, and neighbours share their border point for point', () => {
    const rings = outlinesOf(labels, W, H, { tolerance: 1, smooth: 2 });
    for (const k of [1, 2, 3]) {
      const pixels = labels.of.filter((v) => v === k).length;
      expect(Math.abs(sizeOf(rings[k][0]) / pixels - 1)).toBeLessThan(0.04);
    }
    const keys = (k: number) => new Set(rings[k].flat().map(([x, y]) => `${x.toFixed(4)} ${y.toFixed(4)}`));
    const shared = [...keys(2)].filter((p) => keys(1).has(p) || keys(3).has(p));
    expect(shared).toHaveLength(keys(2).size);
  });

  test('a hole is an outline of its own', () => {
    const ringed = outlinesOf(
      labelsOf((x, y) => (Math.hypot(x - 45, y - 35) < 12 ? 2 : 1)),
      W,
      H,
      { tolerance: 1, smooth: 1 },
    );
    expect(ringed[1]).toHaveLength(2);
    expect(ringed[2]).toHaveLength(1);
  });

  test('more tolerance leaves fewer points; corners of the picture stay', () => {
    const count = (tolerance: number) => outlinesOf(labels, W, H, { tolerance, smooth: 0 })[2][0].length;
    expect(count(4)).toBeLessThan(count(1));
    const corners = outlinesOf(labels, W, H, { tolerance: 9, smooth: 2 })[1][0].map(String);
    expect(corners).toEqual(expect.arrayContaining(['0,0', `0,${H}`]));
  });

  test('a path keeps the points that it needs', () => {
    expect(
      simplifiedPath(
        [
          [0, 0],
          [5, 0.2],
          [10, 0],
          [10, 10],
        ],
        1,
      ),
    ).toEqual([
      [0, 0],
      [10, 0],
      [10, 10],
    ]);
  });
});

describe('forms', () => {
  const form = (at: (x: number, y: number) => boolean, lab: readonly [number, number, number] = [50, 0, 0]) => {
    const labels = labelsOf((x, y) => (at(x, y) ? 2 : 1));
    const planes = planesOf((x, y) => (at(x, y) ? lab : [90, 0, 0]));
    return formsOf(labels, outlinesOf(labels, W, H, { tolerance: 1.5, smooth: 0 }), planes, W, H)[2]!;
  };
  const gable = (x: number, y: number) => y > 15 && y < 45 && Math.abs(x - 45) < (y - 15) * 0.9;
  const box = (x: number, y: number) => x > 20 && x < 60 && y > 20 && y < 50;
  const disc = (x: number, y: number) => Math.hypot(x - 45, y - 35) < 18;

  test('a gable, a box and a disc are told apart', () => {
    expect(form(gable)).toMatchObject({ gable: true, boxy: false });
    expect(form(box)).toMatchObject({ gable: false, boxy: true });
    expect(form(disc)).toMatchObject({ gable: false });
    expect(form(disc).roundness).toBeGreaterThan(0.78);
    expect(form(box).roundness).toBeLessThan(form(disc).roundness);
    expect(form(disc).disc).toBeGreaterThan(0.8);
  });

  test('size, place, sides and colour are those of its pixels', () => {
    const f = form((_, y) => y >= 60, [40, -30, 30]);
    expect(f).toMatchObject({
      size: W * 10,
      top: 60,
      bottom: 69,
      left: 0,
      right: W - 1,
      edge: { left: 10, right: 10, top: 0, bottom: W },
    });
    expect(f.lab.map(Math.round)).toEqual([40, -30, 30]);
    expect(f.hue).toBeCloseTo(135, 0);
    expect(f.beside.get(1)).toBe(W);
    expect(f.upper).toBeGreaterThan(0.95);
  });

  test('a hole counts as filled for its form, not for what it fills', () => {
    const ring = form((x, y) => box(x, y) && !(x > 30 && x < 50 && y > 28 && y < 42));
    expect(ring.outerFills).toBeGreaterThan(0.9);
    expect(ring.fills).toBeLessThan(0.8);
  });
});
