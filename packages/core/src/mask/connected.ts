/** Connected areas of equal value: the area of every pixel, and their sizes. */
export function connected(values: Uint8Array, w: number, h: number): { part: Int32Array; areas: number[] } {
  const part = new Int32Array(values.length).fill(-1);
  const areas: number[] = [];
  for (let first = 0; first < values.length; first++) {
    if (part[first] >= 0) continue;
    const open = [first];
    part[first] = areas.length;
    let area = 0;
    while (open.length) {
      const i = open.pop()!;
      area++;
      const x = i % w;
      for (const j of [x > 0 ? i - 1 : -1, x < w - 1 ? i + 1 : -1, i - w, i + w])
        if (j >= 0 && j < w * h && part[j] < 0 && values[j] === values[i]) {
          part[j] = areas.length;
          open.push(j);
        }
    }
    areas.push(area);
  }
  return { part, areas };
}
