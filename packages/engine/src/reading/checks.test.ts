/** Checks over pictures that should and should not trip them: hits and false alarms, printed as a table. */
import {
  checkReference,
  createPicture,
  pictureFromRgba,
  resample,
  understand,
  type CheckId,
  type CheckedPicture,
  type Medium,
  type Picture,
} from '@urbild/core';
import { createCanvas } from '@napi-rs/canvas';
import { blur } from '@urbild/core';
import { paintStage } from '../painter/paint';

const SCENES: readonly [string, Medium][] = [
  ['Ilse walking in the harbour at noon', 'gouache'],
  ['the mill by the dyke in autumn', 'pastel'],
  ['a storm on the open sea', 'woodblock'],
  ['Marek in the kitchen', 'gouache'],
  ['a forest in snow, a deer', 'charcoal'],
  ['the stilt village at dusk', 'impasto'],
  ['market quay at noon, three people', 'screen print'],
  ['a meadow with a fox, morning', 'ink wash'],
  ['the beach with a red boat', 'pencil'],
  ['the town square in autumn', 'embroidery'],
];
const SIZE = { width: 640, height: 432 };

const painted = SCENES.map(([words, medium], seed) => {
  const { rgba } = paintStage(understand(words), { ...SIZE, seed, medium });
  return { rgba, picture: pictureFromRgba(rgba, SIZE.width, SIZE.height) };
});
const sound = painted.map((p) => p.picture);

const about = (picture: Picture, more: Partial<CheckedPicture> = {}): CheckedPicture => ({
  picture,
  width: 1600,
  height: 1080,
  kind: 'image',
  transparent: 0,
  ...more,
});
const tone = (p: Picture, change: (L: number) => number, chroma = 1): Picture => ({
  ...p,
  planes: [p.planes[0].map(change), p.planes[1].map((v) => v * chroma), p.planes[2].map((v) => v * chroma)],
});

/** Draws over the pixels of a picture. */
function drawn(
  rgba: Uint8ClampedArray,
  draw: (g: ReturnType<ReturnType<typeof createCanvas>['getContext']>) => void,
): Picture {
  const canvas = createCanvas(SIZE.width, SIZE.height);
  const g = canvas.getContext('2d');
  const image = g.createImageData(SIZE.width, SIZE.height);
  image.data.set(rgba);
  g.putImageData(image, 0, 0);
  draw(g);
  return pictureFromRgba(g.getImageData(0, 0, SIZE.width, SIZE.height).data, SIZE.width, SIZE.height);
}

/** A small picture in the middle of an even ground. */
function onGround(p: Picture, L: number): Picture {
  const out = createPicture(SIZE.width, SIZE.height);
  out.planes[0].fill(L);
  const small = resample(p, 240, 162);
  for (let y = 0; y < 162; y++)
    for (let x = 0; x < 240; x++)
      if (Math.hypot((x - 120) / 110, (y - 81) / 75) < 1)
        out.planes.forEach((plane, c) => (plane[(y + 130) * SIZE.width + x + 200] = small.planes[c][y * 240 + x]));
  return out;
}

/** Four pictures with gutters between them. */
function collage(four: readonly Picture[], gutter: number, L: number): Picture {
  const out = createPicture(SIZE.width, SIZE.height);
  out.planes[0].fill(L);
  const [w, h] = [(SIZE.width - gutter) >> 1, (SIZE.height - gutter) >> 1];
  four.forEach((p, k) => {
    const part = resample(p, w, h);
    const [x0, y0] = [(k % 2) * (w + gutter), (k >> 1) * (h + gutter)];
    for (let y = 0; y < h; y++)
      for (let x = 0; x < w; x++)
        out.planes.forEach((plane, c) => (plane[(y + y0) * SIZE.width + x + x0] = part.planes[c][y * w + x]));
  });
  return out;
}

const cycle = (k: number) => [0, 1, 2, 3].map((i) => sound[(k + i * 3) % sound.length]);
const cases: Record<string, { check: CheckId; pictures: () => CheckedPicture[] }> = {
  'blurred by 4 px': { check: 'blurred', pictures: () => sound.map((p) => about(blur(p, 5))) },
  'enlarged six times': {
    check: 'fake resolution',
    pictures: () =>
      sound.map((p) => about(resample(resample(p, 107, 72), SIZE.width, SIZE.height), { width: 640, height: 432 })),
  },
  'tiny file': { check: 'too small', pictures: () => sound.map((p) => about(p, { width: 160, height: 108 })) },
  'printed too dark': { check: 'too dark', pictures: () => sound.map((p) => about(tone(p, (L) => L * 0.3))) },
  'burnt out': { check: 'burnt', pictures: () => sound.map((p) => about(tone(p, (L) => Math.min(1, L * 1.1 + 0.28)))) },
  'hardly any contrast': {
    check: 'flat',
    pictures: () => sound.map((p) => about(tone(p, (L) => 0.6 + 0.12 * (L - 0.6), 0.3))),
  },
  'before white': { check: 'plain background', pictures: () => sound.map((p) => about(onGround(p, 0.98))) },
  'before grey': { check: 'plain background', pictures: () => sound.map((p) => about(onGround(p, 0.55))) },
  'four with white gutters': { check: 'collage', pictures: () => sound.map((_, k) => about(collage(cycle(k), 14, 1))) },
  'four with dark gutters': { check: 'collage', pictures: () => sound.map((_, k) => about(collage(cycle(k), 8, 0.1))) },
  'with a title': {
    check: 'text',
    pictures: () =>
      painted.map(({ rgba }) =>
        about(
          drawn(rgba, (g) => {
            g.fillStyle = '#ffffff';
            g.strokeStyle = '#000000';
            g.lineWidth = 3;
            g.font = 'bold 48px sans-serif';
            g.strokeText('Chapter seven', 60, 380);
            g.fillText('Chapter seven', 60, 380);
          }),
        ),
      ),
  },
  'half transparent': { check: 'transparency', pictures: () => sound.map((p) => about(p, { transparent: 0.4 })) },
};

test('checks hit what is wrong and leave sound pictures alone', () => {
  const alarms = new Map<string, number>();
  for (const p of sound)
    for (const c of checkReference(about(p))) if (c.severity !== 'note') alarms.set(c.id, (alarms.get(c.id) ?? 0) + 1);
  const table = Object.entries(cases).map(([name, { check, pictures }]) => {
    const all = pictures();
    const hits = all.filter((p) => checkReference(p).some((c) => c.id === check)).length;
    return { name, check, hits, of: all.length, falseAlarms: alarms.get(check) ?? 0 };
  });
  process.stdout.write(
    `\n${['what was done to it'.padEnd(26), 'check'.padEnd(18), 'hits', 'false alarms on sound pictures'].join('  ')}\n${table
      .map((r) => `${r.name.padEnd(26)}  ${r.check.padEnd(18)}  ${r.hits}/${r.of}  ${r.falseAlarms}/${sound.length}`)
      .join('\n')}\n`,
  );
  const total = table.reduce((s, r) => s + r.of, 0);
  expect(total).toBeGreaterThanOrEqual(120);
  const hits = table.reduce((s, r) => s + r.hits, 0);
  expect(hits / total).toBeGreaterThanOrEqual(0.9);
  expect([...alarms.values()].reduce((a, b) => a + b, 0)).toBeLessThanOrEqual(4);
  for (const r of table) expect([r.name, r.hits >= 7]).toEqual([r.name, true]);
});

test('every finding says why, and fixes are offered where there is one', () => {
  const [found] = checkReference(about(blur(sound[0], 5)));
  expect(found).toMatchObject({ id: 'blurred', severity: 'serious', fix: 'sharpen' });
  expect(found.reason.length).toBeGreaterThan(30);
  expect(checkReference(about(sound[0], { double: 'Old mill' })).at(-1)).toMatchObject({
    id: 'near double',
    severity: 'note',
  });
});

describe('faces', () => {
  const face = { box: { left: 0.4, top: 0.3, right: 0.6, bottom: 0.6 }, score: 0.9, yaw: 3, outside: 0, covered: 0 };
  const ids = (faces: CheckedPicture['faces'], kind: CheckedPicture['kind'] = 'face') =>
    checkReference(about(sound[0], { faces, kind })).map((c) => c.id);
  test.each([
    ['cut off', { outside: 0.2 }, 'face cut off'],
    ['covered', { covered: 0.5 }, 'face covered'],
    ['turned away', { yaw: 60 }, 'face turned away'],
    ['small', { box: { left: 0.5, top: 0.5, right: 0.54, bottom: 0.56 } }, 'face too small'],
  ] as const)('a face that is %s is said so', (_name, change, id) => {
    expect(ids([face])).not.toContain(id);
    expect(ids([{ ...face, ...change }])).toContain(id);
    expect(ids([{ ...face, ...change }], 'style')).not.toContain(id);
  });
  test('no face in a face reference asks for a box; nobody has looked yet: nothing is said', () => {
    expect(ids([])).toContain('face turned away');
    expect(ids(undefined)).not.toContain('face turned away');
  });
});
