/**
 * How far every pixel of a mask (not 0 inside) is from its edge: 1 is next to it, positive inside, negative outside; city-block, in px, at
 * most `most + 1`, which is below 127.
 */
export function signedDistance(mask: Uint8Array, width: number, height: number, most: number): Int8Array {
  const out = new Int8Array(mask.length).fill(most + 1);
  const near = (i: number, j: number) => {
    const d = !mask[i] === !mask[j] ? out[j] + 1 : 1;
    if (d < out[i]) out[i] = d;
  };
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      if (x) near(i, i - 1);
      if (y) near(i, i - width);
    }
  for (let y = height - 1, i = mask.length - 1; y >= 0; y--)
    for (let x = width - 1; x >= 0; x--, i--) {
      if (x < width - 1) near(i, i + 1);
      if (y < height - 1) near(i, i + width);
    }
  for (let i = 0; i < out.length; i++) if (!mask[i]) out[i] = -out[i];
  return out;
}
