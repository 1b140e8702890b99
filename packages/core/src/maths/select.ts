/**
 * The value that would stand at place `n` (0 the smallest) were `values` sorted; reorders them (Hoare's selection, 1961).
 * Throws RangeError for a place that is not there.
 */
export function nthSmallest(values: Float32Array, n: number): number {
  if (!(n >= 0 && n < values.length)) throw new RangeError(`No place ${n} among ${values.length} values`);
  let low = 0;
  let high = values.length - 1;
  while (low < high) {
    const pivot = values[(low + high) >> 1];
    let i = low;
    let j = high;
    while (i <= j) {
      while (values[i] < pivot) i++;
      while (values[j] > pivot) j--;
      if (i > j) break;
      const v = values[i];
      values[i++] = values[j];
      values[j--] = v;
    }
    if (n <= j) high = j;
    else if (n >= i) low = i;
    else break;
  }
  return values[n];
}
