import { createHash } from 'crypto';
import { createPicture, pictureFromRgba, pictureToRgba, understand, type Picture } from '@urbild/core';
import { RenderStopped } from '../contract/engine';
import { BuiltInEngine } from '../engine';
import { paintStage } from '../painter/paint';
import { RequestError } from '../contract/readRequest';
import type { RenderRequest } from '../contract/request';
import { foreignPhotograph, influence, request } from '../testing';
import { boxOf, maskOf } from './masks';

const engine = new BuiltInEngine();
const [W, H] = [96, 64];
const photograph = foreignPhotograph(W, H);
/** White in the right half. */
const half: Picture = createPicture(W, H);
for (let i = 0; i < W * H; i++) half.planes[0][i] = i % W >= W / 2 ? 1 : 0;
const pictures: Record<string, Picture> = { foreign: photograph, other: foreignPhotograph(W, H, 9), half };
const render = (r: Partial<RenderRequest>) =>
  engine.render(request({ width: W, height: H, ...r }), (c) => Promise.resolve(pictures[c]));
const digest = (b: Uint8ClampedArray) => createHash('sha256').update(b).digest('hex');
const distance = (a: Uint8ClampedArray, b: Uint8ClampedArray) =>
  a.reduce((s, v, i) => s + Math.abs(v - b[i]), 0) / a.length;
const start = (change: number) => ({ content: 'other', change });
const bytes = pictureToRgba(pictures.other);

describe('a start picture', () => {
  test('comes back byte for byte without change', async () => {
    const { rgba } = await render({ start: start(0), influences: [influence()] });
    expect(digest(rgba)).toBe(digest(bytes));
  });

  test('gives way evenly: every step of change takes it further away', async () => {
    const away: number[] = [];
    for (const change of [0, 0.2, 0.4, 0.6, 0.8, 1])
      away.push(distance((await render({ start: start(change), influences: [influence()] })).rgba, bytes));
    // at its end the regions of the stage are known instead of read: half a hundredth of the way may be lost there
    for (let k = 1; k < away.length; k++)
      expect(away[k]).toBeGreaterThan(away[k - 1] - (k === 5 ? 0.005 * away[5] : 0));
    expect(Math.max(...away.slice(1).map((d, k) => d - away[k]))).toBeLessThan(0.6 * away[5]);
  });

  test('with whole change nothing of it is left', async () => {
    const whole = await render({ start: start(1) });
    expect(digest(whole.rgba)).toBe(digest((await render({})).rgba));
  });
});

describe('a mask', () => {
  const mask = { content: 'half', invert: false, feather: 0.05 };

  test('outside not one byte changes, inside much does', async () => {
    const { rgba } = await render({ start: start(1), mask });
    let inside = 0;
    for (let i = 0; i < W * H; i++)
      for (let c = 0; c < 4; c++) {
        if (i % W < W / 2) expect(rgba[4 * i + c]).toBe(bytes[4 * i + c]);
        else inside += Math.abs(rgba[4 * i + c] - bytes[4 * i + c]);
      }
    expect(inside / (W * H)).toBeGreaterThan(5);
  });

  test('turned around it changes the other side', async () => {
    const { rgba } = await render({ start: start(1), mask: { ...mask, invert: true } });
    for (let i = 0; i < W * H; i++) if (i % W >= W / 2) expect(rgba[4 * i]).toBe(bytes[4 * i]);
    expect(distance(rgba, bytes)).toBeGreaterThan(3);
  });

  test('needs a picture to hold', async () => {
    await expect(render({ mask })).rejects.toThrow(RequestError);
  });

  test('its soft edge lies inside, and its box can be told', () => {
    const m = maskOf(half, mask, W, H);
    expect(m.filter((_, i) => i % W < W / 2).every((v) => v === 0)).toBe(true);
    expect(m[10 * W + W - 10]).toBe(1);
    expect(m[10 * W + W / 2]).toBeLessThan(0.6);
    expect(boxOf(maskOf(half, { ...mask, feather: 0 }, W, H), W, H)).toEqual([0.5, 0, 1, 1]);
    expect(boxOf(new Float32Array(W * H), W, H)).toBeUndefined();
  });
});

test('an influence that is bound to a region leaves the rest alone', async () => {
  const free = await render({});
  const bound = await render({ influences: [influence({ region: { content: 'half', invert: false, feather: 0 } })] });
  for (let i = 0; i < W * H; i++) if (i % W < W / 2 - 1) expect(bound.rgba[4 * i]).toBe(free.rgba[4 * i]);
  expect(distance(bound.rgba, free.rgba)).toBeGreaterThan(3);
});

test('influences that can do nothing are named with the reason', async () => {
  const { remarks } = await render({
    prompt: 'the harbour at noon',
    influences: [
      influence({ gives: 'pose' }),
      influence({ id: 'b', gives: 'character', traits: { skin: { colour: [0.5, 0, 0], confidence: 1 } } }),
    ],
  });
  expect(remarks).toEqual([
    { influence: 'a', kind: 'nothing-to-give' },
    { influence: 'b', kind: 'nobody-to-take' },
  ]);
});

test('a thing from a picture without a subject is said to give nothing, one with a subject is not', async () => {
  const drawn = (tone: (x: number, y: number) => number): Picture => {
    const p = createPicture(48, 48);
    p.planes[0].forEach((_, i) => (p.planes[0][i] = tone(i % 48, Math.floor(i / 48))));
    return p;
  };
  const plain = drawn((x, y) => 0.3 + (x + y) / 200);
  const disc = drawn((x, y) => (Math.hypot(x - 24, y - 24) < 10 ? 0.3 : 0.95));
  const remarked = async (picture: Picture) => {
    const asked = request({ prompt: 'the harbour at noon', influences: [influence({ gives: 'thing' })] });
    return (await engine.render(asked, () => Promise.resolve(picture))).remarks.map((r) => r.kind);
  };
  expect(await remarked(plain)).toEqual(['nothing-to-give']);
  expect(await remarked(disc)).toEqual([]);
});

test('whoever is in the picture is told with place, joints and traits', async () => {
  const { figures } = await engine.render(
    request({ prompt: 'portrait of Ilse, harbour at noon', width: 192, height: 192 }),
    () => Promise.reject(new Error('no picture is needed')),
  );
  expect(figures).toHaveLength(1);
  expect(figures[0]).toMatchObject({ kind: 'person', name: 'Ilse' });
  expect(figures[0].face!.eyes[1]).toBeLessThan(figures[0].face!.chin[1]);
  expect(figures[0].traits.skin!.colour![0]).toBeGreaterThan(0.5);
});

test('a stop is heard within 100 ms at whatever moment it comes', async () => {
  const asked = request({ width: 256, height: 192, influences: [influence()] });
  const waited: number[] = [];
  for (let k = 0; k < 12; k++) {
    const signal = { aborted: false };
    let at = 0;
    const stop = () => {
      signal.aborted = true;
      at = performance.now();
    };
    let steps = 0;
    const run = engine.render(
      asked,
      () => Promise.resolve(photograph),
      () => ++steps === 1 + (k % 5) && stop(),
      signal,
    );
    await expect(run).rejects.toThrow(RenderStopped);
    waited.push(performance.now() - at);
  }
  // the engine looks for a stop before every piece of work: the longest piece counts, on a busy machine too
  expect(waited.sort((a, b) => a - b)[6]).toBeLessThan(100);
});

test('a picture goes through bytes and back unchanged', () => {
  expect(digest(pictureToRgba(pictureFromRgba(bytes, W, H)))).toBe(digest(bytes));
});

test('a stage that a stopped render has left is drawn in another medium for the next one', async () => {
  const { rgba } = paintStage(understand('a mill by the dyke at dusk'), {
    width: 240,
    height: 160,
    seed: 3,
    medium: 'pastel',
  });
  pictures.pastel = pictureFromRgba(rgba, 240, 160);
  const one = request({
    width: W,
    height: H,
    seed: 90210,
    influences: [influence({ pictures: [{ content: 'pastel', weight: 1 }] })],
  });
  const signal = { aborted: false };
  const stopped = engine.render(
    one,
    (c) => Promise.resolve(pictures[c]),
    () => (signal.aborted = true),
    signal,
  );
  await expect(stopped).rejects.toThrow(RenderStopped);
  expect((await engine.render(one, (c) => Promise.resolve(pictures[c]))).rgba).toHaveLength(W * H * 4);
});
