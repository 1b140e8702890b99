import { connected } from '../mask/connected';
import { mirrored, pictureOf, testScene } from '../testing';
import { describeLayout, layoutDistance, layoutLikeness } from './layout';

const scene = testScene(3);
const layout = (seed: number) => describeLayout(testScene(seed));

test('a layout is at no distance from itself, and as far from another as that is from it', () => {
  const [a, b] = [layout(1), layout(2)];
  expect(layoutDistance(a, a)).toBeCloseTo(0, 4);
  expect(layoutDistance(a, b)).toBeCloseTo(layoutDistance(b, a), 6);
  expect(layoutLikeness(a, b)).toBeCloseTo(1 - layoutDistance(a, b) / 100, 9);
});

test('other colours, less contrast and another size are the same layout; mirrored it is another', () => {
  const own = describeLayout(scene);
  const pale = describeLayout({
    ...scene,
    planes: [scene.planes[0].map((v) => 0.4 + 0.5 * v), scene.planes[1], scene.planes[2]],
  });
  const coloured = describeLayout({ ...scene, planes: [scene.planes[0], scene.planes[2], scene.planes[1]] });
  const small = describeLayout(testScene(3, 120, 80));
  expect(layoutDistance(own, coloured)).toBeCloseTo(0, 4);
  expect(layoutDistance(own, pale)).toBeLessThan(10);
  expect(layoutDistance(own, small)).toBeLessThan(layoutDistance(own, describeLayout(mirrored(scene))));
});

test('unrelated pictures are far apart, further than a picture from its noisy self', () => {
  let least = Infinity;
  for (let seed = 4; seed < 8; seed++) least = Math.min(least, layoutDistance(describeLayout(scene), layout(seed)));
  const noisy = {
    ...scene,
    planes: [
      scene.planes[0].map((v, i) => v + 0.05 * Math.sin(i * 12.9898)),
      scene.planes[1],
      scene.planes[2],
    ] as never,
  };
  expect(layoutDistance(describeLayout(scene), describeLayout(noisy))).toBeLessThan(0.6 * least);
});

test('fine marks are no arrangement', () => {
  const plain = pictureOf(192, 192, (_u, v) => [v < 0.5 ? 0.8 : 0.3, 0, 0]);
  const hatched = pictureOf(192, 192, (_u, v, x, y) => [
    (v < 0.5 ? 0.8 : 0.3) + ((x + y) % 4 < 2 ? 0.08 : -0.08),
    0,
    0,
  ]);
  expect(layoutDistance(describeLayout(plain), describeLayout(hatched))).toBeLessThan(8);
});

describe('connected areas', () => {
  const of = (rows: readonly string[]) => connected(Uint8Array.from(rows.join('')), rows[0].length, rows.length);
  test('of one value hang together by sides, not by corners', () => {
    const { areas, part } = of(['1100', '1001', '0011']);
    expect(areas.length).toBe(3);
    expect([...areas].sort((a, b) => a - b)).toEqual([3, 3, 6].sort((a, b) => a - b));
    expect(part[0]).toBe(part[4]);
    expect(of(['10', '01']).areas).toEqual([1, 1, 1, 1]);
  });
  test('do not go round the edge of the picture', () => {
    expect(of(['100', '001']).areas).toHaveLength(3);
  });
  test('every pixel belongs to one, and they fill the picture', () => {
    const { areas, part } = of(['0120', '0120', '3333']);
    expect(areas.reduce((a, b) => a + b, 0)).toBe(12);
    expect(Math.min(...part)).toBe(0);
    expect(new Set(part).size).toBe(areas.length);
  });
});
