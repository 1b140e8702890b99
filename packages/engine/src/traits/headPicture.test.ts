import { createPicture, pictureFromRgba } from '@urbild/core';
import { headField, headSize } from './headField';
import { headPicture } from './headPicture';
import { placeFrame } from './frame';

const FRAME = { eyes: [0.5, 0.4], chin: [0.5, 0.55], yaw: 0 } as const;
const none = () => new Float32Array(headSize.columns * headSize.rows);
const plain = () => {
  const picture = createPicture(200, 200);
  picture.planes[0].fill(0.5);
  return picture;
};
/** Lightness, a and b at a cell. */
function labAt({ width, rgba }: ReturnType<typeof headPicture>, cell: number) {
  const zoom = width / headSize.columns;
  const picture = pictureFromRgba(rgba, width, rgba.length / 4 / width);
  const [x, y] = [cell % headSize.columns, Math.floor(cell / headSize.columns)].map((v) => v * zoom + 1);
  return picture.planes.map((plane) => plane[y * width + x]);
}
const MIDDLE = 40 * headSize.columns + 40;

test('each part has a tint of its own, and keeps the lightness of the picture', () => {
  const seen = (['skin', 'hair', 'cloth'] as const).map((part) => {
    const parts = { skin: none(), hair: none(), cloth: none() };
    parts[part].fill(1);
    return labAt(headPicture(plain(), { frame: FRAME, parts }), MIDDLE);
  });
  for (const [L] of seen) expect(L).toBeCloseTo(0.5, 1);
  const apart = (p: number, q: number) => Math.hypot(seen[p][1] - seen[q][1], seen[p][2] - seen[q][2]);
  for (const [p, q] of [
    [0, 1],
    [1, 2],
    [0, 2],
  ])
    expect(apart(p, q)).toBeGreaterThan(0.05);
});

test('the ground is pale', () => {
  const parts = { skin: none(), hair: none(), cloth: none() };
  expect(labAt(headPicture(plain(), { frame: FRAME, parts }), MIDDLE)[0]).toBeGreaterThan(0.75);
});

test('what lies beyond the picture is not there', () => {
  const parts = { skin: none(), hair: none(), cloth: none() };
  const { rgba, width, height } = headPicture(plain(), {
    frame: { ...FRAME, eyes: [0.02, 0.4], chin: [0.02, 0.55] },
    parts,
  });
  expect(rgba[3]).toBe(0);
  expect(rgba[4 * (width * (height >> 1) + width - 1) + 3]).toBe(255);
});

test('it shows the places that the field looks at', () => {
  const picture = plain();
  const { at } = placeFrame(FRAME, 200, 200);
  const [x, y] = at(0.9, 0.3).map(Math.round);
  for (let dy = -4; dy <= 4; dy++) for (let dx = -4; dx <= 4; dx++) picture.planes[0][(y + dy) * 200 + x + dx] = 0.1;
  const alpha = { width: 2, height: 2, alpha: new Float32Array(4).fill(1) };
  const field = headField(picture, FRAME, alpha as never);
  const dark = field.lab.findIndex(([L]) => L < 0.2);
  const skin = none().fill(1);
  expect(
    labAt(
      headPicture(picture, { frame: FRAME, parts: { skin, hair: none(), cloth: none() } }),
      dark + headSize.columns + 1,
    )[0],
  ).toBeLessThan(0.25);
});
