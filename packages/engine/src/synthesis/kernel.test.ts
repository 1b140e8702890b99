import { createPicture, Random, type Picture } from '@urbild/core';
import { createWasmKernel, type PatchKernel } from './kernel';
import { ReferenceKernel } from './kernel.reference';
import { PatchLevel } from './patchLevel';
import { heightsIn } from './places';

function noisy(width: number, height: number, seed: number): Picture {
  const random = new Random(seed);
  const p = createPicture(width, height);
  p.planes.forEach((plane) => plane.forEach((_, i) => (plane[i] = random.next())));
  return p;
}

/** Matches a small picture against two references and votes. */
function work(kernel: PatchKernel, shares: readonly number[], quota = 0.05) {
  kernel.seed(12345);
  const references = [noisy(30, 24, 1), noisy(22, 26, 2)];
  const level = new PatchLevel(kernel, {
    width: 28,
    height: 20,
    references,
    guides: references,
    places: references.map((r) => heightsIn(r.width, r.height, 0.06)),
  });
  const random = new Random(3);
  const field = level.field;
  for (let i = 0; i < field.length; i++) {
    const r = level.rects[random.chance(0.5) ? 0 : 1];
    field[i] = random.integer(r.y0, r.y1 - 1) * level.atlasWidth + random.integer(r.x0, r.x1 - 1);
  }
  const target = noisy(28, 20, 4);
  level.setGuide(target, heightsIn(28, 20, 0.06), new Float32Array(28 * 20).fill(1.5));
  const before = level.cost.slice();
  level.match(
    target,
    { guide: 1.5, texture: 1, usage: 0.005, quota, shares, passes: 3, probes: 8, phase: 0 },
    () => {},
  );
  return { field: level.field.slice(), cost: level.cost.slice(), before, picture: level.vote(2), level };
}

test('the SIMD kernel and its reference implementation in TypeScript give the same bytes', () => {
  const a = work(createWasmKernel(), [0.5, 0.5]);
  const b = work(new ReferenceKernel(), [0.5, 0.5]);
  expect(b.field).toEqual(a.field);
  expect(b.cost).toEqual(a.cost);
  a.picture.planes.forEach((plane, c) => expect(b.picture.planes[c]).toEqual(plane));
});

test('every match lies inside a reference, away from its border', () => {
  const { field, level } = work(createWasmKernel(), [0.5, 0.5]);
  for (const q of field) {
    const y = Math.floor(q / level.atlasWidth);
    const x = q - y * level.atlasWidth;
    expect(level.rects.some((r) => x >= r.x0 && x < r.x1 && y >= r.y0 && y < r.y1)).toBe(true);
  }
});

test('references cover about as much as their share', () => {
  const part = (shares: readonly number[]) => {
    const { field, level } = work(createWasmKernel(), shares, 1);
    return field.filter((q) => q % level.atlasWidth < level.rects[0].x1 + 3).length / field.length;
  };
  expect(part([0.9, 0.1])).toBeGreaterThan(part([0.5, 0.5]) + 0.1);
  expect(part([0.1, 0.9])).toBeLessThan(part([0.5, 0.5]) - 0.1);
});

test('matching can be stopped between bands', () => {
  const kernel = createWasmKernel();
  const reference = noisy(30, 24, 1);
  const level = new PatchLevel(kernel, {
    width: 20,
    height: 20,
    references: [reference],
    guides: [reference],
    places: [new Float32Array(reference.width * reference.height)],
  });
  const stop = () => {
    throw new Error('stopped');
  };
  expect(() =>
    level.match(
      noisy(20, 20, 4),
      { guide: 1, texture: 1, usage: 0, quota: 0, shares: [1], passes: 1, probes: 1, phase: 0 },
      stop,
    ),
  ).toThrow('stopped');
});
