import { createCanvas, ImageData as Pixels, loadImage } from '@napi-rs/canvas';
import { coverageOf } from './maskCover';
import { MaskDrawing } from './maskDrawing';
import { maskAct } from './maskKeys';

const [W, H] = [64, 48];
const HUE = '#c03a2b';

function drawing() {
  const context = createCanvas(W, H).getContext('2d') as unknown as CanvasRenderingContext2D;
  return new MaskDrawing(context, HUE);
}
const covered = (d: MaskDrawing) => coverageOf(d.pixels.data);
const at = (d: MaskDrawing, x: number, y: number) => [...d.pixels.data.slice((y * W + x) * 4, (y * W + x) * 4 + 4)];
const BRUSH = { width: 10, erasing: false };

test('a stroke paints in the hue along its way, a dot where it has none', () => {
  const d = drawing();
  d.stroke([0.25, 0.5], [0.75, 0.5], BRUSH);
  expect(at(d, 32, 24)).toEqual([0xc0, 0x3a, 0x2b, 255]);
  expect(at(d, 32, 10)[3]).toBe(0);
  const dot = drawing();
  dot.stroke([0.5, 0.5], [0.5, 0.5], BRUSH);
  expect(covered(dot)).toBeCloseTo((Math.PI * 25) / (W * H), 2);
});

test('the eraser takes away, and what comes after it paints again', () => {
  const d = drawing();
  d.all(true);
  d.stroke([0.5, 0.5], [0.5, 0.5], { width: 20, erasing: true });
  expect(at(d, 32, 24)[3]).toBe(0);
  expect(at(d, 2, 2)[3]).toBe(255);
  d.stroke([0.5, 0.5], [0.5, 0.5], BRUSH);
  expect(at(d, 32, 24)[3]).toBe(255);
});

test('what a grey mask shows in white is painted beside what is there, and is taken back as one', () => {
  Object.assign(globalThis, { document: { createElement: () => createCanvas(W, H) } });
  const d = drawing();
  d.stroke([0.1, 0.5], [0.1, 0.5], BRUSH);
  const mask = createCanvas(W, H);
  const c = mask.getContext('2d');
  c.fillStyle = '#000';
  c.fillRect(0, 0, W, H);
  c.fillStyle = '#fff';
  c.fillRect(32, 12, 16, 24);
  d.add(mask as unknown as CanvasImageSource);
  expect(at(d, 40, 24)).toEqual([0xc0, 0x3a, 0x2b, 255]);
  expect(at(d, 6, 24)[3]).toBe(255);
  expect([at(d, 25, 24)[3], at(d, 40, 40)[3]]).toEqual([0, 0]);
  d.undo();
  expect(at(d, 40, 24)[3]).toBe(0);
  expect(at(d, 6, 24)[3]).toBe(255);
});

test('everything and nothing', () => {
  const d = drawing();
  d.all(true);
  expect(covered(d)).toBe(1);
  d.all(false);
  expect(covered(d)).toBe(0);
});

test('each thing is taken back as one, thirty of them', () => {
  const d = drawing();
  expect(d.canUndo).toBe(false);
  d.all(true);
  d.begin();
  for (let k = 0; k < 5; k++) d.stroke([0.1 * k, 0.5], [0.1 * k + 0.1, 0.5], { width: 8, erasing: true });
  d.undo();
  expect(covered(d)).toBe(1);
  d.undo();
  expect(covered(d)).toBe(0);
  expect(d.canUndo).toBe(false);
  d.undo();
  for (let k = 0; k < 40; k++) d.all(k % 2 === 0);
  let back = 0;
  for (; d.canUndo; back++) d.undo();
  expect(back).toBe(30);
});

test('a grey mask is laid in as opaque as it is light', async () => {
  const d = drawing();
  const grey = createCanvas(W, H);
  const pixels = new Pixels(W, H);
  for (let i = 0; i < W * H; i++)
    pixels.data.set([i % W < 32 ? 255 : 0, i % W < 32 ? 255 : 0, i % W < 32 ? 255 : 0, 255], 4 * i);
  grey.getContext('2d').putImageData(pixels, 0, 0);
  d.lay((await loadImage(grey.toBuffer('image/png'))) as unknown as CanvasImageSource);
  expect(covered(d)).toBe(0.5);
  expect(at(d, 5, 5)).toEqual([0xc0, 0x3a, 0x2b, 255]);
  expect(at(d, 60, 5)[3]).toBe(0);
});

describe('keys', () => {
  const key = (name: string, more = {}) => ({ key: name, ctrlKey: false, metaKey: false, shiftKey: false, ...more });
  test('arrows move the brush, finely with Shift, less where the picture is shown larger', () => {
    expect(maskAct(key('ArrowLeft'), 1)).toEqual({ does: 'move', by: [-0.03, 0] });
    expect(maskAct(key('ArrowDown', { shiftKey: true }), 1)).toEqual({ does: 'move', by: [0, 0.005] });
    expect(maskAct(key('ArrowUp'), 2)).toEqual({ does: 'move', by: [0, -0.015] });
    expect(maskAct(key('ArrowRight'), 3)).toEqual({ does: 'move', by: [0.01, 0] });
  });
  test('space paints, E erases, brackets change the brush, Ctrl + Z takes back', () => {
    expect(maskAct(key(' '), 1)).toEqual({ does: 'paint' });
    expect(['e', 'E'].map((k) => maskAct(key(k), 1))).toEqual([{ does: 'eraser' }, { does: 'eraser' }]);
    expect(maskAct(key('['), 1)).toEqual({ does: 'brush', by: -8 });
    expect(maskAct(key(']'), 1)).toEqual({ does: 'brush', by: 8 });
    expect(maskAct(key('z', { ctrlKey: true }), 1)).toEqual({ does: 'undo' });
    expect(maskAct(key('Z', { metaKey: true }), 1)).toEqual({ does: 'undo' });
  });
  test('others are left to the browser', () => {
    expect(['q', 'Enter', 'z', 'Escape'].map((k) => maskAct(key(k), 1))).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
    expect(maskAct(key('e', { ctrlKey: true }), 1)).toBeUndefined();
  });
});
