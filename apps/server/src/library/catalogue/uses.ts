/** Where references are used. */
export interface Uses {
  /** Set id -> ids of its references. */
  readonly looks: ReadonlyMap<string, ReadonlySet<string>>;
  readonly cast: ReadonlyMap<string, ReadonlySet<string>>;
  /** Reference id -> in which projects it is in mixes. */
  readonly mixes: ReadonlyMap<string, readonly UseIn[]>;
  /** Collection id -> the places of its references in their order. */
  readonly collections: ReadonlyMap<string, ReadonlyMap<string, number>>;
}

/** In how many mixes a reference is, and when the last of them was changed, milliseconds since 1970. */
export interface MixUse {
  readonly count: number;
  readonly last: number;
}

/** The same, of the mixes of one project. */
export interface UseIn extends MixUse {
  readonly project: string;
}

/** In how many mixes references are, in all projects but the hidden ones. */
export function usedIn(mixes: Uses['mixes'], hidden: readonly string[]): Map<string, MixUse> {
  const out = new Map<string, MixUse>();
  for (const [id, uses] of mixes) {
    const seen = uses.filter((u) => !hidden.includes(u.project));
    if (!seen.length) continue;
    const count = seen.reduce((sum, u) => sum + u.count, 0);
    out.set(id, { count, last: Math.max(...seen.map((u) => u.last)) });
  }
  return out;
}
