import { understand } from '@urbild/core';
import { composed, medianColour, painted, partOf, patchesOf } from './testing';
import { REGION } from './scene/region';
import { mapsOf } from './paint';

const labelsOf = (prompt: string, avoid = '') =>
  mapsOf(understand(prompt, avoid), { width: 256, height: 192, seed: 5 }).labels;
const part = (labels: Uint8Array, region: number) => labels.filter((l) => l === region).length / labels.length;

test('what is refused has no label', () => {
  for (const place of ['a lighthouse', 'the harbour', 'the open sea', 'the beach', 'the market quay'])
    expect(`${place} ${part(labelsOf(`${place} at night, no boats`), REGION.boat)}`).toBe(`${place} 0`);
  expect(part(labelsOf('a lighthouse at night'), REGION.boat)).toBeGreaterThan(0);
  expect(part(labelsOf('a lighthouse at night', 'boats'), REGION.boat)).toBe(0);
  expect(part(labelsOf('the pier, no houses'), REGION.roof)).toBeLessThan(part(labelsOf('the pier'), REGION.roof));
  expect(composed('Ilse and Tove in the meadow, no people').figures).toHaveLength(0);
});

test('three herons are three', () => {
  const maps = mapsOf(understand('three herons in the salt marsh'), { width: 512, height: 384, seed: 5 });
  expect(maps.figures.filter((f) => f.kind === 'creature')).toHaveLength(3);
  const bodies = maps.figures.map((f) => f.box).sort((a, b) => a[0] - b[0]);
  for (let i = 1; i < bodies.length; i++) expect(bodies[i][0]).toBeGreaterThan(bodies[i - 1][0] + 20);
  for (const [x0, y0, x1, y1] of bodies) {
    let animal = 0;
    for (let y = Math.ceil(y0); y < y1; y++)
      for (let x = Math.ceil(x0); x < x1; x++) if (maps.labels[y * 512 + x] === REGION.animal) animal++;
    expect(animal).toBeGreaterThan(0.1 * (x1 - x0) * (y1 - y0));
  }
});

test('every trait sits on the right figure', () => {
  const prompt = 'a girl with short black hair in a red coat beside an old man with a white beard, meadow';
  const stage = painted(prompt, { width: 512, height: 384 });
  const [girl, man] = stage.figures;
  const [coat, jumper] = [girl, man].map((f) => medianColour(stage, REGION.garment, f.box)!);
  expect(coat[1]).toBeGreaterThan(0.1);
  expect(Math.abs(coat[2] - 27)).toBeLessThan(22);
  expect(Math.abs(jumper[2] - coat[2]) > 25 || Math.abs(jumper[1] - coat[1]) > 0.04).toBe(true);
  expect(medianColour(stage, REGION.hair, girl.box)![0]).toBeLessThan(0.45);
  expect(medianColour(stage, REGION.hair, man.box)![0]).toBeGreaterThan(0.68);
  // the beard is hair below the mouth: only the man has it
  const below = (f: (typeof stage.figures)[number]) => {
    const { mouth, chin } = f.landmarks;
    let hair = 0;
    for (let y = Math.round(mouth[1]); y < chin[1] + f.head * 0.1; y++)
      for (let x = Math.round(chin[0] - f.head * 0.1); x < chin[0] + f.head * 0.1; x++)
        if (stage.labels[y * 512 + x] === REGION.hair) hair++;
    return hair;
  };
  expect(below(man)).toBeGreaterThan(20);
  expect(below(girl)).toBe(0);
  expect(girl.head).toBeLessThan(man.head);
});

test('a held thing is there, and only where it was asked for', () => {
  const props = (prompt: string) => partOf(painted(prompt, { width: 320, height: 240 }), REGION.prop, REGION.window);
  expect(props('a boy in the meadow with an umbrella')).toBeGreaterThan(props('a boy in the meadow') + 0.002);
});

test('where somebody stands follows the words', () => {
  const x = (prompt: string) => (composed(prompt).figures[0].box[0] + composed(prompt).figures[0].box[2]) / 2;
  expect(x('a dog on the left, meadow')).toBeLessThan(x('a dog, meadow'));
  expect(x('a dog on the right, meadow')).toBeGreaterThan(x('a dog, meadow'));
  const size = (prompt: string) => composed(prompt).figures[0].head;
  expect(size('a woman in the distance, meadow')).toBeLessThan(0.5 * size('a woman, meadow'));
  expect(size('a woman in the foreground, meadow')).toBeGreaterThan(size('a woman, meadow'));
});

test('a colour named is the colour painted', () => {
  for (const [colour, hue] of [
    ['red', 27],
    ['green', 145],
    ['blue', 250],
  ] as const) {
    const stage = painted(`half figure of a woman in a ${colour} dress, kitchen at noon`, { width: 256, height: 192 });
    expect(Math.abs(medianColour(stage, REGION.garment)![2] - hue)).toBeLessThan(25);
  }
  const fox = (colour: string) => medianColour(painted(`portrait of a ${colour} fox, meadow at noon`), REGION.animal)!;
  expect(fox('white')[0]).toBeGreaterThan(fox('black')[0] + 0.3);
});

test('fog, dark and snow do not lose patches of the picture', () => {
  expect(patchesOf(labelsOf('a lighthouse in fog'), 256, REGION.none)).toBe(0);
});
