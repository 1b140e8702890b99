const nameOf = (item: unknown): unknown => {
  if (typeof item !== 'object' || item === null) return item;
  const { id, referenceId, words, name } = item as Record<'id' | 'referenceId' | 'words' | 'name', unknown>;
  return id ?? referenceId ?? words ?? name;
};

/**
 * Plain data with another value at the path of a conflict: names of fields, ids of list items. `undefined` takes the field or the item
 * out; an item that is not in its list is put at the end. Changes none of its arguments.
 */
export function withValue<T>(data: T, path: readonly string[], value: unknown): T {
  if (!path.length) return value as T;
  const [name, ...rest] = path;
  if (Array.isArray(data)) {
    const at = data.findIndex((item) => nameOf(item) === name);
    const next = withValue(at < 0 ? undefined : (data as unknown[])[at], rest, value);
    if (at < 0) return (next === undefined ? data : [...(data as unknown[]), next]) as T;
    return (data as unknown[]).flatMap((item, k) => (k !== at ? [item] : next === undefined ? [] : [next])) as T;
  }
  const fields = { ...(data as Record<string, unknown> | undefined) };
  const next = withValue(fields[name], rest, value);
  if (next === undefined) delete fields[name];
  else fields[name] = next;
  return fields as T;
}
