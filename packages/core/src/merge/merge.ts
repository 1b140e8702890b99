/**
 * Three-way merge of plain data (JSON): what two people made of one thing, joined field by field. Khanna, Kunal, Pierce, "A formal
 * investigation of diff3" (2007) for what such a merge promises; lists are joined by what identifies their items, not by lines.
 */

/** One field that both sides changed, each in another way. */
export interface Conflict {
  /** From the outside in: names of fields, ids of list items. */
  readonly path: readonly string[];
  readonly base: unknown;
  readonly theirs: unknown;
  readonly mine: unknown;
}

/** What came of a merge. Where both sides changed one field, `merged` has mine. */
export interface Merged<T> {
  readonly merged: T;
  readonly conflicts: readonly Conflict[];
}

/** What identifies the items of a list, the first that all of them have. */
const KEYS = ['id', 'referenceId', 'words', 'name'] as const;

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** True for equal JSON: the order of fields does not matter, and a field that is undefined is as good as none. */
export function sameData(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((v, k) => sameData(v, b[k]));
  if (!isFields(a) || !isFields(b)) return false;
  const names = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...names].every((name) => sameData(a[name], b[name]));
}

/** The key by which all items of some lists are told apart; undefined when there is none, or when one occurs twice in a list. */
function keyOf(lists: readonly (readonly unknown[])[]): ((item: unknown) => string) | undefined {
  const unique = (of: (item: unknown) => string) => lists.every((l) => new Set(l.map(of)).size === l.length);
  const all = lists.flat();
  if (all.every((v) => typeof v === 'string')) return unique((v) => v as string) ? (v) => v as string : undefined;
  if (!all.every(isFields)) return undefined;
  for (const key of KEYS) {
    const of = (item: unknown) => (item as Fields)[key] as string;
    if (all.every((item) => typeof of(item) === 'string')) return unique(of) ? of : undefined;
  }
  return undefined;
}

/**
 * Joins what `theirs` and `mine` made of `base`. A field that one side changed has that side's value; objects are joined field by field;
 * lists whose items have an id (or are texts, each once) item by item, in the order of the side that moved something - mine, when both did -
 * with what the other side added beside its neighbour. An item that one side removed and the other changed stays, changed, and is a
 * conflict. Any other field that both changed differently is a conflict too, and has mine. Never throws; changes none of its arguments.
 */
export function merge<T>(base: T, theirs: T, mine: T): Merged<T> {
  const conflicts: Conflict[] = [];
  return { merged: join(base, theirs, mine, [], conflicts) as T, conflicts };
}

function join(base: unknown, theirs: unknown, mine: unknown, path: readonly string[], conflicts: Conflict[]): unknown {
  if (sameData(theirs, mine) || sameData(base, theirs)) return mine;
  if (sameData(base, mine)) return theirs;
  if (isFields(theirs) && isFields(mine) && (isFields(base) || base === undefined))
    return joinFields(base ?? {}, theirs, mine, path, conflicts);
  if (Array.isArray(theirs) && Array.isArray(mine) && (Array.isArray(base) || base === undefined)) {
    const lists = [(base ?? []) as unknown[], theirs as unknown[], mine as unknown[]] as const;
    const key = keyOf(lists);
    if (key) return joinLists(lists, key, path, conflicts);
  }
  conflicts.push({ path, base, theirs, mine });
  return mine;
}

function joinFields(
  base: Fields,
  theirs: Fields,
  mine: Fields,
  path: readonly string[],
  conflicts: Conflict[],
): Fields {
  const out: Record<string, unknown> = {};
  for (const name of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    const value = join(base[name], theirs[name], mine[name], [...path, name], conflicts);
    if (value !== undefined) out[name] = value;
  }
  return out;
}

function joinLists(
  [base, theirs, mine]: readonly [readonly unknown[], readonly unknown[], readonly unknown[]],
  key: (item: unknown) => string,
  path: readonly string[],
  conflicts: Conflict[],
): unknown[] {
  const by = (list: readonly unknown[]) => new Map(list.map((item) => [key(item), item]));
  const [b, t, m] = [by(base), by(theirs), by(mine)];
  const kept = new Map<string, unknown>();
  for (const id of new Set([...m.keys(), ...t.keys()])) {
    const [was, its, own] = [b.get(id), t.get(id), m.get(id)];
    if (its !== undefined && own !== undefined) kept.set(id, join(was, its, own, [...path, id], conflicts));
    else if (was === undefined) kept.set(id, its ?? own);
    else if (!sameData(was, its ?? own)) {
      // one side removed what the other changed: the work stays, and somebody is asked
      conflicts.push({ path: [...path, id], base: was, theirs: its, mine: own });
      kept.set(id, its ?? own);
    }
  }
  const order = orderOf(
    [...b.keys()],
    [...t.keys()].filter((id) => kept.has(id)),
    [...m.keys()].filter((id) => kept.has(id)),
  );
  return order.map((id) => kept.get(id));
}

/** The order of joined lists: that of the side that moved something, with what only the other side has beside its neighbour there. */
function orderOf(base: readonly string[], theirs: readonly string[], mine: readonly string[]): string[] {
  const common = (list: readonly string[], other: readonly string[]) => list.filter((id) => other.includes(id));
  const moved = !sameData(common(mine, base), common(base, mine));
  const [lead, other] = moved || sameData(common(theirs, base), common(base, theirs)) ? [mine, theirs] : [theirs, mine];
  const out = [...lead];
  other.forEach((id, k) => {
    if (out.includes(id)) return;
    const before = other
      .slice(0, k)
      .reverse()
      .find((neighbour) => out.includes(neighbour));
    out.splice(before === undefined ? 0 : out.indexOf(before) + 1, 0, id);
  });
  return out;
}
