/** What is kept of stages and said of figures, without anything being rendered twice. */
import { createPicture, understand, type Picture } from '@urbild/core';
import { windowOf, seenStage } from '../frames/seenStage';
import { heldBy, type HeldFrame, type Holding } from '../frames/hold';
import { paletteFor } from '../painter/media';
import { mapsOf, paintStage } from '../painter/paint';
import type { FigureRecord } from '../painter/scene/figureRecord';
import { REGION } from '../painter/scene/region';
import type { RenderedFigure } from '../contract/result';
import { influence, request } from '../testing';
import type { JudgedChannel } from '@urbild/core';
import { figureDistances, figureFor, toldSheet } from './figures';
import { KeptStage, keptStage, stageKey, stageName } from './stageCache';

describe('the name of a stage', () => {
  const base = request({ influences: [influence({ gives: 'look' })] });
  const name = (fields: object) => stageName({ ...base, ...fields });
  const own = stageName(base);

  test.each([
    ['a look', { influences: [influence({ gives: 'look', weight: 0.2 })] }],
    ['a palette', { influences: [influence({ gives: 'palette', weight: 2 })] }],
    ['the balance, where nothing directs the painter', { balance: 0.3 }],
    ['a start picture', { start: { content: 'x', change: 0.5 } }],
    ['a layout that is off', { influences: [influence({ gives: 'layout', on: false })] }],
    ['a pose that weighs nothing', { influences: [influence({ gives: 'pose', weight: 0 })] }],
  ])('is the same for %s: the painter does not hear of it', (_, fields) => expect(name(fields)).toBe(own));

  test.each([
    ['other words', { prompt: 'a boat' }],
    ['another seed', { seed: 99 }],
    ['another size', { width: 256 }],
    ['a layout', { influences: [influence({ gives: 'layout' })] }],
    ['a character', { influences: [influence({ gives: 'character' })] }],
    ['a medium', { medium: 'linocut' }],
    ['less spread', { spread: 0.2 }],
  ])('is another for %s', (_, fields) => expect(name(fields)).not.toBe(own));

  test('a layout makes the balance count; light makes every colour count', () => {
    const layout = { influences: [influence({ gives: 'layout' })] };
    expect(name({ ...layout, balance: 0.5 })).not.toBe(name(layout));
    const light = (weight: number) =>
      name({ influences: [influence({ gives: 'light' }), influence({ id: 'b', gives: 'palette', weight })] });
    expect(light(0.2)).not.toBe(light(0.8));
    const plain = (weight: number) =>
      name({ influences: [influence({ gives: 'layout' }), influence({ id: 'b', gives: 'palette', weight })] });
    expect(plain(0.2)).toBe(plain(0.8));
  });

  test('a camera looks at one stage, wherever it looks; its caches do not share what it sees', () => {
    const camera = { from: { x: 0.5, y: 0.5, size: 1 }, to: { x: 0.4, y: 0.5, size: 0.6 } };
    const [a, b] = [0, 0.7].map((at) => ({ ...base, frame: { at, camera } }));
    expect(stageName(a)).toBe(stageName(b));
    expect(stageKey(a)).not.toBe(stageKey(b));
    const moving = [0, 0.7].map((at) => stageName({ ...base, frame: { at, across: 0.3 } }));
    expect(moving[0]).not.toBe(moving[1]);
  });
});

describe('a kept stage', () => {
  const brief = understand('a boat at noon');
  const SIZE = { width: 72, height: 54, seed: 3 };
  const stage = () => paintStage(brief, SIZE);

  test('hands out copies: whoever changes one changes nobody else’s', () => {
    const kept = new KeptStage(stage());
    const [first, second] = [kept.painted(), kept.painted()];
    first.planes[0].fill(0);
    expect(second.planes[0].some((v) => v > 0.1)).toBe(true);
    kept.labels().fill(0);
    expect(kept.labels().some((l) => l !== 0)).toBe(true);
    const drawn = kept.drawnIn('linocut', paletteFor('linocut'), () => {});
    expect(drawn.width).toBe(72);
  });
  test('is painted once for one request; a large one is painted each time', () => {
    const paint = jest.fn(stage);
    const asked = request({ prompt: 'a stage of its own', influences: [] });
    keptStage(asked, paint);
    keptStage({ ...asked, influences: [influence({ gives: 'look' })] }, paint);
    expect(paint).toHaveBeenCalledTimes(1);
    const large = { ...asked, width: 1200, height: 900 };
    keptStage(large, paint);
    keptStage(large, paint);
    expect(paint).toHaveBeenCalledTimes(3);
  });

  test('a camera sees a part of it, larger: picture, labels and figures alike', () => {
    const whole = { width: 120, height: 80 };
    const kept = new KeptStage(paintStage(understand('Ilse on the pier'), { ...whole, seed: 3 }));
    const view = { x: 0.5, y: 0.6, size: 0.5 };
    const seen = seenStage(kept, whole, view, 120, 80);
    const { x, y } = windowOf(view, 120, 80);
    expect([x, y]).toEqual([30, 28]);
    const [a, b] = [kept.figures[0], seen.figures[0]];
    expect(b.head).toBeCloseTo(2 * a.head, 6);
    expect(b.box[0]).toBeCloseTo(2 * (a.box[0] - 30), 6);
    expect(b.joints.neck[1]).toBeCloseTo(2 * (a.joints.neck[1] - 28), 6);
    expect(seen.labels()[0]).toBe(kept.labels()[28 * 120 + 30]);
    expect(seen.painted()).toMatchObject({ width: 120, height: 80 });
  });
});

describe('figures', () => {
  const figure = (fields: Partial<RenderedFigure> = {}): RenderedFigure => ({
    kind: 'person',
    name: undefined,
    box: [0, 0, 1, 1],
    face: undefined,
    joints: {},
    traits: {},
    ...fields,
  });
  const [heron, tove, ilse] = [
    figure({ kind: 'creature', name: 'Brom' }),
    figure({ name: 'Tove' }),
    figure({ name: 'Ilse' }),
  ];

  test('an influence is about whoever has its subject’s name, else the first person, else whoever is there', () => {
    const all = [heron, tove, ilse];
    expect(figureFor(all, { subject: 'Ilse' })).toBe(ilse);
    expect(figureFor(all, { subject: 'Nobody' })).toBe(tove);
    expect(figureFor(all, {})).toBe(tove);
    expect(figureFor([heron], {})).toBe(heron);
    expect(figureFor([], {})).toBeUndefined();
  });

  const SHEET = {
    hair: { colour: [0.3, 0.02, 0.02] as never, confidence: 1 },
    skin: { colour: [0.7, 0.03, 0.05] as never, confidence: 1 },
  };
  const aspect = { picture: 1.5, reference: 1 };
  const far = (take: RenderedFigure[], control: RenderedFigure[], fields = {}) =>
    figureDistances({ influence: influence({ gives: 'character', ...fields }), take, control, sheet: SHEET, aspect });

  test('whoever looks as the sheet says is nearer than whoever does not', () => {
    const other = { ...SHEET, hair: { colour: [0.85, 0.01, 0.09] as never, confidence: 1 } };
    const { identity } = far([figure({ traits: SHEET })], [figure({ traits: other })]);
    const { identity: none } = far([figure({ traits: other })], [figure({ traits: other })]);
    if (typeof identity !== 'object' || typeof none !== 'object') throw new Error('it can be told');
    expect(identity).toMatchObject({ value: expect.any(Number) as number });
    expect((identity as JudgedChannel).value).toBeGreaterThan((none as JudgedChannel).value + 0.3);
    expect(identity.part).toBeGreaterThan(0);
  });
  test('nothing can be told of nobody, or where nothing is seen', () => {
    expect(far([], [ilse]).identity).toMatch(/Nobody is in the picture/);
    expect(far([figure()], [figure()]).identity).toMatch(/too small/);
    expect(far([figure()], [figure()]).pose).toMatch(/mark its joints/);
    expect(far([figure({ traits: SHEET })], [figure({ traits: SHEET })], { gives: 'look' }).identity).toBeUndefined();
  });
  test('what the request tells of somebody is their sheet; its pictures’ readings are fused', () => {
    expect(toldSheet(influence({ traits: SHEET as never }))).toBe(SHEET);
    expect(toldSheet(influence())).toBeUndefined();
    const read = influence({ pictures: [{ content: 'a', weight: 1, traits: SHEET as never }] });
    expect(Object.keys(toldSheet(read)!).sort()).toEqual(['hair', 'skin']);
  });
});

describe('a frame that is held by another', () => {
  const [W, H] = [96, 64];
  const plain = (L: number, wave = 0): Picture => {
    const p = createPicture(W, H);
    p.planes[0].forEach((_, i) => (p.planes[0][i] = L + wave * Math.sin(i % W)));
    return p;
  };
  const all = { x: 0, y: 0, width: W, height: H };
  const labels = new Uint8Array(W * H).fill(REGION.sky);
  const own = (stage: Picture, figures: readonly FigureRecord[] = []): HeldFrame => ({ stage, figures });
  const other = (stage: Picture, picture: Picture): Holding => ({ ...own(stage), picture, window: all });
  const waveOf = (p: Picture) => {
    const row = p.planes[0].subarray(32 * W, 33 * W);
    return row.reduce((s, v, i) => s + (v - 0.5) * Math.sin(i), 0);
  };

  test('takes over its strokes where both stages show the same', () => {
    const [mine, theirs] = [plain(0.5), plain(0.5, 0.1)];
    const held = heldBy(mine, labels, own(plain(0.5)), other(plain(0.5), theirs));
    expect(waveOf(held)).toBeGreaterThan(0.8 * waveOf(theirs));
  });
  test('keeps its own where the stages show something else', () => {
    const [mine, theirs] = [plain(0.5), plain(0.5, 0.1)];
    const held = heldBy(mine, labels, own(plain(0.5, 0.15)), other(plain(0.5), theirs));
    expect(Math.abs(waveOf(held))).toBeLessThan(0.4 * waveOf(theirs));
  });
  test('takes over strokes in another light, and keeps its own colours there', () => {
    const [mine, theirs] = [plain(0.5), plain(0.8, 0.1)];
    const held = heldBy(mine, labels, own(plain(0.5)), other(plain(0.8), theirs));
    const mean = held.planes[0].reduce((a, b) => a + b, 0) / (W * H);
    expect(mean).toBeCloseTo(0.5, 1);
    expect(waveOf(held)).toBeGreaterThan(0.25 * waveOf(theirs));
  });
  test('outside of what the other shows nothing is held, and no edge of it is seen', () => {
    const [mine, theirs] = [plain(0.5), plain(0.55)];
    const beside = { ...other(plain(0.5), theirs), window: { x: W / 2, y: 0, width: W, height: H } };
    const held = heldBy(mine, labels, own(plain(0.5)), beside).planes[0];
    const row = held.subarray(32 * W, 33 * W);
    expect(row[W - 3]).toBeCloseTo(0.5, 3);
    expect(row[3]).toBeGreaterThan(0.53);
    for (let x = 1; x < W; x++) expect(Math.abs(row[x] - row[x - 1])).toBeLessThan(0.01);
  });
});

test('maps of a stage are those of its painting', () => {
  const options = { width: 60, height: 40, seed: 4 };
  const brief = understand('a fox in the meadow');
  const [maps, stage] = [mapsOf(brief, options), paintStage(brief, options)];
  expect(maps.labels).toEqual(stage.labels);
  expect(maps.depth).toEqual(stage.depth());
  expect(maps.figures.map((f) => f.box)).toEqual(stage.figures.map((f) => f.box));
});
