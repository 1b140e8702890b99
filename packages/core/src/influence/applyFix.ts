import type { Influence } from './types';

/** What a fix changes when it is applied with one click. */
export interface Fix {
  /** What the click does, in words. */
  readonly label: string;
  /** Fields to set, per influence id. */
  readonly changes: readonly { readonly influence: string; readonly set: Partial<Omit<Influence, 'id'>> }[];
}

/** The influences as a fix makes them; those that it does not name stay the same objects. */
export const applyFix = <I extends Influence>(influences: readonly I[], { changes }: Fix): I[] =>
  influences.map((i) => {
    const set = changes.filter((c) => c.influence === i.id).map((c) => c.set);
    return set.length ? Object.assign({}, i, ...set) : i;
  });
