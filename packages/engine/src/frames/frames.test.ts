import { pictureFromRgba, strokeChange, type Picture } from '@urbild/core';
import fc from 'fast-check';
import { BuiltInEngine } from '../engine';
import { readRequest } from '../contract/readRequest';
import type { RenderRequest } from '../contract/request';
import type { FrameMove } from './frame';
import { foreignPhotograph, influence, request } from '../testing';
import { enlargement, strideAt, viewAt } from './frame';
import { cameraWindow, windowBetween } from './seenStage';

const engine = new BuiltInEngine();
const [W, H] = [192, 128];
const pictures: Record<string, Picture> = { foreign: foreignPhotograph(W, H) };
const render = (fields: Partial<RenderRequest>) =>
  engine.render(request({ width: W, height: H, influences: [influence()], ...fields }), (c) =>
    Promise.resolve(pictures[c]),
  );
const picture = async (fields: Partial<RenderRequest>) => pictureFromRgba((await render(fields)).rgba, W, H);

const NEARER: FrameMove = { camera: { from: { x: 0.5, y: 0.5, size: 1 }, to: { x: 0.4, y: 0.6, size: 0.6 } } };

describe('a camera', () => {
  const view = fc.record({
    x: fc.double({ min: 0, max: 1, noNaN: true }),
    y: fc.double({ min: 0, max: 1, noNaN: true }),
    size: fc.double({ min: 0.4, max: 1, noNaN: true }),
  });
  test('never looks beyond the scene, and begins and ends where it was told to', () => {
    fc.assert(
      fc.property(view, view, fc.double({ min: 0, max: 1, noNaN: true }), (from, to, at) => {
        const { x, y, size } = viewAt({ from, to }, at);
        expect(Math.min(x - size / 2, y - size / 2)).toBeGreaterThan(-1e-9);
        expect(Math.max(x + size / 2, y + size / 2)).toBeLessThan(1 + 1e-9);
        expect(viewAt({ from, to }, 0).size).toBeCloseTo(from.size);
        expect(viewAt({ from, to }, 1).size).toBeCloseTo(to.size);
      }),
    );
  });
  test('the window between two moments is undone by the window back', () => {
    const [a, b] = [viewAt(NEARER.camera!, 0.2), viewAt(NEARER.camera!, 0.9)];
    const [there, back] = [windowBetween(a, b, 1, 1), windowBetween(b, a, 1, 1)];
    expect(there.width * back.width).toBeCloseTo(1);
    expect(there.x + back.x * there.width).toBeCloseTo(0);
  });
  test('a scene seen from nearer is painted larger, up to a limit', () => {
    expect(enlargement({ from: { x: 0, y: 0, size: 1 }, to: { x: 0, y: 0, size: 0.8 } })).toBeCloseTo(1.25);
    expect(enlargement({ from: { x: 0, y: 0, size: 0.4 }, to: { x: 0, y: 0, size: 1 } })).toBe(1.6);
  });
});

test('a stride goes on evenly and comes round', () => {
  expect(strideAt(0.5, 0)).toEqual({ dx: -0.25, phase: 0 });
  expect(strideAt(0.5, 1).dx).toBe(0.25);
  const phases = [0, 0.1, 0.2, 0.24].map((at) => strideAt(0.5, at).phase);
  expect([...phases].sort((a, b) => a - b)).toEqual(phases);
});

describe('frames', () => {
  test('the same frame is the same picture, another moment another one', async () => {
    const [a, b, c] = await Promise.all([0.5, 0.5, 1].map((at) => render({ frame: { at, ...NEARER } })));
    expect(Buffer.from(a.rgba).equals(Buffer.from(b.rgba))).toBe(true);
    expect(Buffer.from(a.rgba).equals(Buffer.from(c.rgba))).toBe(false);
  });
  test('figures are told where the camera sees them', async () => {
    const height = async (at: number) => {
      const [f] = (await render({ influences: [], frame: { at, ...NEARER } })).figures;
      return f.box[3] - f.box[1];
    };
    expect((await height(1)) / (await height(0))).toBeCloseTo(1 / 0.6, 1);
  });
  test('a figure goes across and walks on the way', async () => {
    const neck = async (at: number) =>
      (await render({ influences: [], prompt: 'Ilse on the beach', frame: { at, across: 0.4 } })).figures[0];
    const [a, b] = [await neck(0), await neck(1)];
    const middle = (f: typeof a) => (f.box[0] + f.box[2]) / 2;
    expect(middle(b) - middle(a)).toBeGreaterThan(0.3);
    const strides = await Promise.all([0, 0.1, 0.2].map(neck));
    const feet = strides.map((f) => f.joints.leftAnkle![0] - middle(f));
    expect(new Set(feet.map((x) => x.toFixed(3))).size).toBe(3);
  });
  test('between two prompts the light goes steadily from the one to the other', async () => {
    const light: number[] = [];
    for (const at of [0, 0.25, 0.5, 0.75, 1]) {
      const { planes } = await picture({
        influences: [],
        frame: { at, towards: 'Ilse walking in the harbour at night' },
      });
      light.push(planes[0].reduce((s, v) => s + v, 0) / planes[0].length);
    }
    for (let k = 1; k < light.length; k++) expect(light[k]).toBeLessThan(light[k - 1]);
  });
});

describe('held by a frame', () => {
  const moves: readonly (readonly [string, number, FrameMove])[] = [
    ['while the camera comes nearer', 0.5, NEARER],
    ['while the figure goes', 0.5, { across: 0.4 }],
    ['while it gets dark', 0.6, { towards: 'Ilse walking in the harbour at dusk' }],
  ];
  test.each(moves)('strokes change much less %s: at most %s times as much', async (_, most, move) => {
    const [a, b] = [0.4, 0.6];
    const free = [await picture({ frame: { at: a, ...move } }), await picture({ frame: { at: b, ...move } })];
    pictures.held = free[0];
    const held = await picture({ frame: { at: b, ...move }, hold: { content: 'held', at: a } });
    const window = cameraWindow(move, a, b);
    expect(strokeChange(free[0], held, window)).toBeLessThan(most * strokeChange(free[0], free[1], window));
  });
  test('what the frame does not show is not taken from it', async () => {
    const move: FrameMove = { camera: { from: { x: 0.25, y: 0.5, size: 0.5 }, to: { x: 0.75, y: 0.5, size: 0.5 } } };
    pictures.held = await picture({ frame: { at: 0, ...move } });
    const [free, held] = [
      await picture({ frame: { at: 1, ...move } }),
      await picture({ frame: { at: 1, ...move }, hold: { content: 'held', at: 0 } }),
    ];
    expect(strokeChange(free, held, { x: 0, y: 0, width: 1, height: 1 })).toBeLessThan(0.02);
  });
});

test('frames and holds are checked', () => {
  const read = (fields: object) => () => readRequest({ prompt: 'a', ...fields });
  expect(read({ frame: {} })).toThrow('frame.at');
  expect(read({ frame: { at: 2 } })).toThrow('frame.at');
  expect(read({ frame: { at: 0, across: 3 } })).toThrow('across');
  expect(read({ frame: { at: 0, camera: { from: { size: 0.1 } } } })).toThrow('size');
  expect(read({ hold: { at: 0 } })).toThrow('content');
  return expect(render({ hold: { content: 'foreign', at: 0 } })).rejects.toThrow('hold: only with a frame');
});
