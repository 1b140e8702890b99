import { capsule, resamplePath, ribbon, spline, wobble } from './curve';
import { outline } from './outline';
import { areaOf, boundsOf, ellipse, rectangle, type Path, type Point } from './point';
import { scanPath } from './scan';

const SQUARE = rectangle(10, 20, 30, 40);
const lengths = (path: Path) => path.slice(1).map((q, i) => Math.hypot(q[0] - path[i][0], q[1] - path[i][1]));
const near = (path: Path, [x, y]: Point) => Math.min(...path.map((q) => Math.hypot(q[0] - x, q[1] - y)));

describe('boxes and areas', () => {
  test('of a rectangle, whichever way round it goes', () => {
    expect(boundsOf(SQUARE)).toEqual([10, 20, 40, 60]);
    expect(areaOf(SQUARE)).toBe(1200);
    expect(areaOf([...SQUARE].reverse())).toBe(1200);
  });
  test('an ellipse has its radii, and its area nearly; turned by a quarter its radii change places', () => {
    const e = ellipse(50, 60, 20, 10, 0, 64);
    expect(boundsOf(e).map(Math.round)).toEqual([30, 50, 70, 70]);
    expect(areaOf(e) / (Math.PI * 200)).toBeGreaterThan(0.98);
    expect(boundsOf(ellipse(50, 60, 20, 10, Math.PI / 2, 64)).map(Math.round)).toEqual([40, 40, 60, 80]);
  });
  test('larger ones have more corners, small ones still twelve', () => {
    expect(ellipse(0, 0, 2, 2)).toHaveLength(12);
    expect(ellipse(0, 0, 100, 100)).toHaveLength(140);
  });
});

describe('splines', () => {
  test('go through their points', () => {
    const curve = spline(SQUARE);
    for (const q of SQUARE) expect(near(curve, q)).toBeLessThan(1e-9);
  });
  test('swing out where nothing is sharp, and keep a corner that is marked', () => {
    expect(areaOf(spline(SQUARE))).toBeGreaterThan(1250);
    const sharp = SQUARE.map(([x, y]): Point => [x, y, 1]);
    expect(areaOf(spline(sharp))).toBeCloseTo(1200, 6);
  });
  test('open ones begin and end where their points do', () => {
    const curve = spline(
      [
        [0, 0],
        [10, 10],
        [20, 0],
      ],
      false,
      1,
    );
    expect(curve[0]).toEqual([0, 0]);
    expect(curve.at(-1)).toEqual([20, 0]);
    expect(Math.max(...curve.map((q) => q[1]))).toBeLessThan(11);
  });
  test('have points as close as is asked for', () => {
    const far = spline(
      [
        [0, 0],
        [100, 0],
      ],
      false,
      20,
    ).length;
    const close = spline(
      [
        [0, 0],
        [100, 0],
      ],
      false,
      5,
    ).length;
    expect(close).toBeGreaterThan(3 * far);
  });
});

describe('points along a path', () => {
  test('lie about a step apart, on the path', () => {
    const path = resamplePath(SQUARE, 5);
    for (const l of lengths(path)) expect(l).toBeCloseTo(5, 6);
    expect(path).toHaveLength(28);
    expect(areaOf(path)).toBeCloseTo(1200, 6);
  });
  test('an open path keeps its end', () => {
    expect(
      resamplePath(
        [
          [0, 0],
          [9, 0],
        ],
        4,
        false,
      ),
    ).toEqual([
      [0, 0],
      [4.5, 0],
      [9, 0],
    ]);
  });
  test('a hand is unsteady by so much and no more, the same way each time', () => {
    const [calm, shaky] = [wobble(SQUARE, 0, 22, 3), wobble(SQUARE, 2, 22, 3)];
    expect(areaOf(calm)).toBeCloseTo(1200, 6);
    const off = shaky.map((q, i) => Math.hypot(q[0] - calm[i][0], q[1] - calm[i][1]));
    expect(Math.max(...off)).toBeGreaterThan(0.3);
    expect(Math.max(...off)).toBeLessThanOrEqual(2 * 1.45);
    expect(wobble(SQUARE, 2, 22, 3)).toEqual(shaky);
    expect(wobble(SQUARE, 2, 22, 4)).not.toEqual(shaky);
  });
});

describe('bands', () => {
  test('are as wide as is said, where it is said', () => {
    const band = ribbon(
      [
        [0, 0],
        [50, 0],
        [100, 0],
      ],
      [10, 20, 10],
      1,
    );
    const widthAt = (x: number) => {
      const ys = band.filter((q) => Math.abs(q[0] - x) < 0.8).map((q) => q[1]);
      return Math.max(...ys) - Math.min(...ys);
    };
    expect(widthAt(1)).toBeCloseTo(10, 0);
    expect(widthAt(50)).toBeCloseTo(20, 0);
    expect(widthAt(99)).toBeCloseTo(10, 0);
    expect(areaOf(band)).toBeCloseTo(1500, -1);
  });
  test('with round ends reach further by half their width', () => {
    const [left, , right] = boundsOf(
      capsule(
        [
          [0, 0],
          [100, 0],
        ],
        [10, 20],
        1,
      ),
    );
    expect(left).toBeCloseTo(-5, 0);
    expect(right).toBeCloseTo(110, 0);
  });
  test('of points in one place are no disaster', () => {
    for (const q of ribbon(
      [
        [5, 5],
        [5, 5],
      ],
      [4, 4],
    ))
      expect(q.every(Number.isFinite)).toBe(true);
  });
});

describe('filling', () => {
  const filled = (path: Path, w = 60, h = 70) => {
    const rows = new Map<number, number>();
    scanPath(path, w, h, (y, x0, x1) => rows.set(y, (rows.get(y) ?? 0) + x1 - x0 + 1));
    return rows;
  };
  test('takes the pixels whose middles lie inside', () => {
    const rows = filled(SQUARE);
    expect([...rows.keys()]).toEqual(Array.from({ length: 40 }, (_, k) => 20 + k));
    expect(new Set(rows.values())).toEqual(new Set([30]));
  });
  test('ends at the picture', () => {
    const rows = filled(rectangle(-10, -10, 200, 200), 20, 10);
    expect(rows.size).toBe(10);
    expect(new Set(rows.values())).toEqual(new Set([20]));
    expect(filled(rectangle(100, 100, 10, 10), 20, 10).size).toBe(0);
  });
  test('covers as much as the path has, for round things too', () => {
    const e = ellipse(30, 35, 25, 30, 0.4);
    const sum = [...filled(e).values()].reduce((a, b) => a + b, 0);
    expect(sum / areaOf(e)).toBeGreaterThan(0.98);
    expect(sum / areaOf(e)).toBeLessThan(1.02);
  });
  test('a path that goes round twice is filled once; one that turns back leaves a hole', () => {
    const twice = [...SQUARE, ...SQUARE];
    expect(new Set(filled(twice).values())).toEqual(new Set([30]));
    const inner: Path = [
      [20, 30],
      [20, 40],
      [30, 40],
      [30, 30],
      [20, 30],
    ];
    const hole: Path = [...SQUARE, SQUARE[0], ...inner];
    const rows = filled(hole);
    expect(rows.get(22)).toBe(30);
    expect(rows.get(35)).toBe(20);
  });
});

test('an outline that is read twice is read once', () => {
  expect(outline('1,2 3,4!')).toBe(outline('1,2 3,4!'));
  for (const slip of ['1', '1,b', '1,2,3', '1,2 x']) expect(() => outline(slip)).toThrow(SyntaxError);
});
