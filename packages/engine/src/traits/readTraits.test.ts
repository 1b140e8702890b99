import { lchToLab, median, pictureFromRgba, srgbToLab, type Lab, type TraitSheet } from '@urbild/core';
import { faceFeatures, mirrorMap } from './features';
import { frameOfBox, frameOfMesh, placeFrame } from './frame';
import { readTraits } from './readTraits';
import { paintPersonFrom } from '@urbild/engine-tools';
import { traitTruth } from './truth';

const PEOPLE = [
  'Tove',
  'Juna',
  'an old woman with white hair in a bun, in a green coat',
  'a bald old man with a grey beard in a mustard jacket',
  'a girl with two blond plaits in a blue dress',
  'a woman with long black hair and glasses in a red dress',
];
const painted = PEOPLE.map((words, k) =>
  paintPersonFrom(`half figure of ${words}, front, meadow at noon`, k % 2 ? 'pastel' : 'gouache', 40 + k, undefined)!,
);
const gap = (a: Lab, b: Lab) => Math.hypot(...a.map((v, k) => v - b[k]));

test('colours, hair, beard and glasses of painted people are read from the picture alone', () => {
  const off: number[] = [];
  let styles = 0;
  let choices = 0;
  for (const { picture, person, frame } of painted) {
    const { traits, covered } = readTraits(picture, frame);
    const truth = traitTruth(person);
    off.push(gap(traits.skin!.colour!, lchToLab(person.skin)));
    if (traits.hair) off.push(gap(traits.hair.colour!, lchToLab(person.hair.colour)));
    off.push(gap(traits.upper!.colour!, lchToLab((person.over ?? person.top).colour)));
    if (traits['hair style']!.choice === truth.style) styles++;
    if (traits.beard!.choice === (person.beard ? 'yes' : 'no')) choices++;
    if (traits.glasses!.choice === (person.glasses ? 'yes' : 'no')) choices++;
    expect(covered).toBeLessThan(0.5);
    for (const t of Object.values(traits)) expect(t.confidence).toBeGreaterThanOrEqual(0);
  }
  expect(median(off)).toBeLessThan(0.07);
  expect(styles).toBeGreaterThanOrEqual(4);
  expect(choices).toBeGreaterThanOrEqual(10);
});

test('a turned face is read with less confidence', () => {
  const [{ picture, frame }] = painted;
  const sure = (yaw: number): TraitSheet => readTraits(picture, { ...frame!, yaw }).traits;
  expect(sure(60).skin!.confidence).toBeLessThan(0.7 * sure(0).skin!.confidence);
  expect(sure(60)['hair style']!.confidence).toBeLessThan(sure(0)['hair style']!.confidence);
});

test('what has the colour of the ground behind is hardly believed to be hair', () => {
  /** A disc of skin before a sky, on a larger disc of hair or on none. */
  const head = (hair: boolean) => {
    const rgba = new Uint8ClampedArray(200 * 200 * 4);
    for (let i = 0; i < 200 * 200; i++) {
      const far = Math.hypot((i % 200) - 100, Math.floor(i / 200) - 110);
      rgba.set(far < 30 ? [226, 170, 140, 255] : hair && far < 62 ? [110, 60, 30, 255] : [150, 195, 220, 255], 4 * i);
    }
    const frame = { eyes: [0.5, 0.5], chin: [0.5, 0.7], yaw: 0 } as const;
    return readTraits(pictureFromRgba(rgba, 200, 200), frame, { exact: true }).traits.hair?.confidence ?? 0;
  };
  expect(head(true)).toBeGreaterThan(0.6);
  expect(head(false)).toBeLessThan(0.2);
});

test('forms of a turned face are believed less than its colours', () => {
  const [{ picture, frame }] = painted;
  const { traits } = readTraits(picture, { ...frame!, yaw: 45 }, { exact: true });
  const front = readTraits(picture, frame, { exact: true }).traits;
  const lost = (name: 'skin' | 'jaw') => traits[name]!.confidence / front[name]!.confidence;
  expect(lost('jaw')).toBeLessThan(0.8 * lost('skin'));
});

test('a face that is hidden is said to be covered', () => {
  const { rgba, frame } = painted[0];
  const hidden = rgba.slice();
  const [width, height] = [360, 450];
  const top = Math.round(frame!.eyes[1] * height);
  const bottom = Math.round(frame!.chin[1] * height);
  for (let y = top - 10; y < bottom + 10; y++)
    for (let x = Math.round(frame!.eyes[0] * width) + 2; x < width; x++)
      hidden.set([30, 80, 190, 255], (y * width + x) * 4);
  expect(readTraits(pictureFromRgba(hidden, width, height), frame).covered).toBeGreaterThan(0.3);
});

test('without a face only what stands before a plain ground is read', () => {
  const rgba = new Uint8ClampedArray(200 * 160 * 4).fill(255);
  for (let y = 40; y < 120; y++) for (let x = 60; x < 140; x++) rgba.set([190, 40, 40, 255], (y * 200 + x) * 4);
  const { traits, covered } = readTraits(pictureFromRgba(rgba, 200, 160));
  expect(Object.keys(traits)).toEqual(['body']);
  expect(traits.body!.colour![1]).toBeGreaterThan(0.1);
  expect(covered).toBeUndefined();
  expect(readTraits(painted[0].picture).traits.skin).toBeUndefined();
});

test('frames: from a box by hand and from a mesh, whatever the size of the picture', () => {
  const frame = frameOfBox({ left: 0.4, top: 0.2, right: 0.6, bottom: 0.7 });
  expect(frame).toMatchObject({ eyes: [0.5, 0.38], chin: [0.5, 0.7], yaw: 0 });
  const { at, unit } = placeFrame(frame, 200, 100);
  expect(unit).toBeCloseTo(32);
  expect(at(0, 0)).toEqual([100, 38]);
  expect(at(0, 1)[1]).toBeCloseTo(70);
  expect(at(1, 0)[0]).toBeCloseTo(132);
  const mesh = Array.from({ length: 468 }, () => [0.5, 0.4] as [number, number]);
  for (const [k, part] of [
    [2, 0.448],
    [13, 0.63],
    [14, 0.63],
  ] as const)
    mesh[k] = [0.5, 0.4 + 0.2 * part];
  // a beard draws the chin of the mesh far down; nose and lips keep the measure
  mesh[152] = [0.5, 0.4 + 0.2 * 1.6];
  expect(frameOfMesh(mesh, 5).chin[1]).toBeCloseTo(0.6, 2);
});

test('the mirrored map is its own inverse', () => {
  const { map } = faceFeatures(painted[0].picture, painted[0].frame!);
  const once = mirrorMap(map);
  expect([...once]).not.toEqual([...map]);
  expect([...mirrorMap(once)]).toEqual([...map]);
});

test('of a creature whose ground is busy the colour is read where it was painted as figure', () => {
  const side = 160;
  const rgba = new Uint8ClampedArray(side * side * 4);
  const isIn = (i: number) => Math.hypot((i % side) - 80, Math.floor(i / side) - 80) < 40;
  for (let i = 0; i < side * side; i++)
    rgba.set(isIn(i) ? [150, 70, 30, 255] : [(i * 37) % 255, (i * 101) % 255, (i * 57) % 255, 255], 4 * i);
  const picture = pictureFromRgba(rgba, side, side);
  const alpha = Float32Array.from({ length: side * side }, (_, i) => (isIn(i) ? 1 : 0));
  const { body } = readTraits(picture, undefined, { matte: { width: side, height: side, alpha, from: 'hand' } }).traits;
  expect(gap(body!.colour!, srgbToLab(150, 70, 30))).toBeLessThan(0.02);
  expect(readTraits(picture).traits.body?.colour ?? [0, 0, 0]).not.toEqual(body!.colour);
});

test('who was painted as figure by hand is: hair is what of it lies around the face, and the ground is nothing', () => {
  const side = 240;
  const rgba = new Uint8ClampedArray(side * side * 4);
  const far = (i: number) => Math.hypot((i % side) - 120, Math.floor(i / side) - 118);
  for (let i = 0; i < side * side; i++) {
    const noise = (i * 2654435761) % 23;
    const cloth = Math.floor(i / side) > 196 && Math.abs((i % side) - 120) < 90;
    const colour = far(i) < 36 ? [226, 170, 140] : cloth ? [60, 120, 70] : far(i) < 62 ? [120, 62, 30] : [96, 70, 60];
    rgba.set([...colour.map((v) => v + noise - 11), 255], 4 * i);
  }
  const picture = pictureFromRgba(rgba, side, side);
  const frame = { eyes: [0.5, 0.46], chin: [0.5, 0.64], yaw: 0 } as const;
  const paintedBy = (is: (i: number) => boolean) => {
    const alpha = Float32Array.from({ length: side * side }, (_, i) => (is(i) ? 1 : 0));
    return readTraits(picture, frame, { matte: { width: side, height: side, alpha, from: 'hand' } });
  };
  const body = (i: number) => Math.floor(i / side) > 180 && Math.abs((i % side) - 120) < 90;
  const whole = paintedBy((i) => far(i) < 62 || body(i));
  expect(whole.matte!.from).toBe('hand');
  const [L, a, b] = whole.traits.hair!.colour!;
  expect(Math.hypot(L - 0.43, a - 0.05, b - 0.07)).toBeLessThan(0.08);
  // without what lies around the face there is no hair that could be believed
  const bald = paintedBy((i) => far(i) < 38 || body(i));
  expect(bald.traits.hair?.confidence ?? 0).toBeLessThan(0.6 * whole.traits.hair!.confidence);
});
