import { closedGaps } from './gaps';
import { darkMarks, distanceTo, piecesOf, thinned } from './masks';
import { eraseFigure, jointsOfFigure, outlineOfFigure } from './figureLines';
import { stickFigures, type StickFigure } from './stickFigures';
import { prunedStrokes, strokesOf } from './strokes';

const W = 120;
const H = 100;
type XY = readonly [number, number];

/** A mask with straight lines of one pixel. */
function drawn(lines: readonly (readonly XY[])[], w = W, h = H): Uint8Array {
  const mask = new Uint8Array(w * h);
  for (const line of lines)
    for (let k = 1; k < line.length; k++) {
      const [[ax, ay], [bx, by]] = [line[k - 1], line[k]];
      const n = Math.max(Math.abs(bx - ax), Math.abs(by - ay), 1);
      for (let i = 0; i <= n; i++)
        mask[Math.round(ay + ((by - ay) * i) / n) * w + Math.round(ax + ((bx - ax) * i) / n)] = 1;
    }
  return mask;
}
const circle = (x: number, y: number, r: number): XY[] =>
  Array.from({ length: 61 }, (_, k) => [x + r * Math.cos((k / 30) * Math.PI), y + r * Math.sin((k / 30) * Math.PI)]);

describe('masks', () => {
  test('a distance is that of a ruler, within a tenth', () => {
    const mask = new Uint8Array(W * H);
    mask[50 * W + 60] = 1;
    const far = distanceTo(mask, W, H);
    for (const [x, y] of [
      [60, 50],
      [80, 50],
      [60, 10],
      [90, 80],
      [20, 35],
    ])
      expect(Math.abs(far[y * W + x] - Math.hypot(x - 60, y - 50))).toBeLessThan(
        0.1 * Math.hypot(x - 60, y - 50) + 0.01,
      );
  });

  test('pieces hang together by sides, over corners only when asked', () => {
    const mask = Uint8Array.of(1, 0, 0, 0, 1, 0, 0, 1, 1);
    expect(piecesOf(mask, 3, 3).sizes).toEqual([0, 1, 3]);
    expect(piecesOf(mask, 3, 3, true).sizes).toEqual([0, 4]);
    expect([...piecesOf(mask, 3, 3).of]).toEqual([1, 0, 0, 0, 2, 0, 0, 2, 2]);
  });

  test('a line is told from paper whatever its shade, a broad shadow and a speck are none', () => {
    const L = Float32Array.from({ length: W * H }, (_, i) => 92 - (i % W > 60 ? 30 : 0));
    for (let x = 10; x < 110; x++) L[50 * W + x] -= 40;
    L[20 * W + 20] = 10;
    const marks = darkMarks(L, W, H);
    expect(marks[50 * W + 30]).toBe(1);
    expect(marks[50 * W + 100]).toBe(1);
    expect(marks[80 * W + 110]).toBe(0);
    expect(marks[20 * W + 20]).toBe(0);
  });

  test('a bar is thinned to one line along its middle that keeps it in one piece', () => {
    const mask = new Uint8Array(W * H);
    for (let y = 40; y < 49; y++) mask.fill(1, y * W + 10, y * W + 100);
    const thin = thinned(mask, W, H);
    expect(piecesOf(thin, W, H, true).sizes).toHaveLength(2);
    for (let x = 20; x < 90; x++) {
      const rows = Array.from({ length: H }, (_, y) => y).filter((y) => thin[y * W + x]);
      expect(rows).toHaveLength(1);
      expect(Math.abs(rows[0] - 44)).toBeLessThanOrEqual(1);
    }
  });
});

describe('strokes', () => {
  test('a T is three strokes with a free end each, a ring is one without', () => {
    const t = strokesOf(
      drawn([
        [
          [20, 20],
          [80, 20],
        ],
        [
          [50, 20],
          [50, 70],
        ],
      ]),
      W,
    );
    expect(t.filter((s) => s.points.length > 5)).toHaveLength(3);
    expect(t.filter((s) => s.freeStart || s.freeEnd)).toHaveLength(3);
    const ring = strokesOf(thinned(drawn([circle(50, 50, 20)]), W, H), W);
    expect(ring.some((s) => s.freeStart || s.freeEnd)).toBe(false);
    expect(ring.reduce((n, s) => n + s.points.length, 0)).toBeGreaterThan(90);
  });

  test('short side branches go, the line that bears them stays', () => {
    const skeleton = drawn([
      [
        [10, 50],
        [110, 50],
      ],
      [
        [60, 50],
        [60, 46],
      ],
    ]);
    prunedStrokes(skeleton, W, 8);
    expect(skeleton[47 * W + 60]).toBe(0);
    for (let x = 10; x <= 110; x++) expect(skeleton[50 * W + x]).toBe(1);
  });
});

describe('gaps', () => {
  const close = (lines: readonly (readonly XY[])[]) => {
    const skeleton = drawn(lines);
    return closedGaps(strokesOf(skeleton, W), skeleton, { w: W, h: H, lineWidth: 2, reach: 15 });
  };
  const joins = (links: ReturnType<typeof close>, a: XY, b: XY) =>
    links.some(([p, q]) =>
      [
        [p, q],
        [q, p],
      ].some(([u, v]) => Math.hypot(u[0] - a[0], u[1] - a[1]) < 2 && Math.hypot(v[0] - b[0], v[1] - b[1]) < 2),
    );

  test('a line that was left and taken up again is one', () => {
    expect(
      joins(
        close([
          [
            [10, 50],
            [50, 50],
          ],
          [
            [62, 51],
            [110, 51],
          ],
        ]),
        [50, 50],
        [62, 51],
      ),
    ).toBe(true);
  });

  test('two lines that would cross ahead meet in a corner', () => {
    expect(
      joins(
        close([
          [
            [20, 20],
            [70, 20],
          ],
          [
            [76, 27],
            [76, 80],
          ],
        ]),
        [70, 20],
        [76, 27],
      ),
    ).toBe(true);
  });

  test('neighbours side by side are not joined, and each end is joined once', () => {
    const links = close([
      [
        [20, 40],
        [60, 40],
      ],
      [
        [20, 52],
        [60, 52],
      ],
    ]);
    expect(joins(links, [60, 40], [60, 52])).toBe(false);
    const three = close([
      [
        [10, 50],
        [50, 50],
      ],
      [
        [58, 50],
        [100, 50],
      ],
      [
        [58, 53],
        [100, 53],
      ],
    ]);
    expect(three.filter(([p, q]) => [p, q].some(([x, y]) => x === 50 && y === 50))).toHaveLength(1);
  });

  test('an end that finds no other runs on to the next line', () => {
    expect(
      joins(
        close([
          [
            [20, 50],
            [80, 50],
          ],
          [
            [90, 10],
            [90, 90],
          ],
        ]),
        [80, 50],
        [89, 50],
      ),
    ).toBe(true);
  });
});

describe('figures of lines', () => {
  const [SW, SH] = [220, 240];
  /** Somebody with the right arm of the picture up, the left one down. */
  const somebody = (x: number, y: number): XY[][] => [
    circle(x, y, 14),
    [
      [x, y + 14],
      [x, y + 60],
    ],
    [
      [x, y + 24],
      [x - 18, y + 40],
      [x - 22, y + 58],
    ],
    [
      [x, y + 24],
      [x + 20, y + 18],
      [x + 26, y - 6],
    ],
    [
      [x, y + 60],
      [x - 18, y + 104],
    ],
    [
      [x, y + 60],
      [x + 18, y + 104],
    ],
  ];
  const skeletonOf = (lines: readonly (readonly XY[])[]) => thinned(drawn(lines, SW, SH), SW, SH);

  test('one is found with the ends of its limbs, wherever it stands', () => {
    for (const [x, y] of [
      [80, 60],
      [140, 90],
    ]) {
      const [figure, ...others] = stickFigures(skeletonOf(somebody(x, y)), SW, SH);
      expect(others).toHaveLength(0);
      expect(Math.hypot(figure.head[0] - x, figure.head[1] - y)).toBeLessThan(4);
      expect(figure.joints.leftHand![1]).toBeGreaterThan(y + 45);
      expect(figure.joints.rightHand![1]).toBeLessThan(y + 10);
      expect(Math.hypot(figure.joints.leftFoot![0] - x + 18, figure.joints.leftFoot![1] - y - 104)).toBeLessThan(8);
    }
  });

  test('a house, a sun with rays and a tree are nobody', () => {
    const house: XY[][] = [
      [
        [40, 160],
        [40, 90],
        [120, 90],
        [120, 160],
        [40, 160],
      ],
      [
        [32, 90],
        [80, 50],
        [128, 90],
      ],
    ];
    const sun: XY[][] = [
      circle(180, 40, 14),
      ...[0, 1, 2, 3, 4, 5].map((k): XY[] => [
        [180 + 18 * Math.cos(k), 40 + 18 * Math.sin(k)],
        [180 + 30 * Math.cos(k), 40 + 30 * Math.sin(k)],
      ]),
    ];
    const tree: XY[][] = [
      circle(180, 140, 22),
      [
        [180, 162],
        [180, 210],
      ],
    ];
    expect(stickFigures(skeletonOf([...house, ...sun, ...tree]), SW, SH)).toEqual([]);
  });

  test('its joints are those of somebody who looks at the viewer: what is left in the picture is the right one', () => {
    const [figure] = stickFigures(skeletonOf(somebody(100, 60)), SW, SH);
    const joints = jointsOfFigure(figure, SW, SH);
    expect(joints.leftWrist![1]).toBeLessThan(joints.rightWrist![1]);
    expect(joints.leftWrist![0]).toBeGreaterThan(joints.rightWrist![0]);
    expect(joints.leftShoulder![0]).toBeGreaterThan(joints.rightShoulder![0]);
    expect(joints.nose![1]).toBeCloseTo(60 / SH, 1);
    expect(jointsOfFigure({ ...figure, joints: {} } as StickFigure, SW, SH)).toEqual({});
  });

  test('taken out, nothing of it is left, and what stands beside it stays', () => {
    const skeleton = skeletonOf([
      ...somebody(100, 60),
      [
        [20, 200],
        [200, 200],
      ],
    ]);
    const [figure] = stickFigures(skeleton, SW, SH);
    expect(outlineOfFigure(figure)).toHaveLength(6);
    eraseFigure(skeleton, SW, SH, figure);
    let [left, ground] = [0, 0];
    skeleton.forEach((v, i) => {
      const y = Math.floor(i / SW);
      if (v && y < 190) left++;
      if (v && y > 195) ground++;
    });
    expect(left).toBeLessThan(30);
    expect(ground).toBeGreaterThan(170);
  });
});
