/**
 * Connected areas of equal value: the area of every pixel, and their sizes, in the order of their first pixels. Pixels of the value
 * `but` belong to none and are told as -1.
 */
export function connected(
  values: Uint8Array,
  w: number,
  h: number,
  but?: number,
): { part: Int32Array; areas: number[] } {
  const part = new Int32Array(values.length).fill(-1);
  const areas: number[] = [];
  // a pixel is put here once at most: when it gets its area
  const open = new Int32Array(values.length);
  let top = 0;
  let value = 0;
  const reach = (j: number) => {
    if (part[j] >= 0 || values[j] !== value) return;
    part[j] = areas.length;
    open[top++] = j;
  };
  for (let first = 0; first < values.length; first++) {
    value = values[first];
    if (part[first] >= 0 || value === but) continue;
    let area = 0;
    reach(first);
    while (top) {
      const i = open[--top];
      area++;
      const x = i % w;
      if (x > 0) reach(i - 1);
      if (x < w - 1) reach(i + 1);
      if (i >= w) reach(i - w);
      if (i < w * (h - 1)) reach(i + w);
    }
    areas.push(area);
  }
  return { part, areas };
}
