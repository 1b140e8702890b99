/** Somebody or something of the words that was painted: which nodes of the display list are its own. */
export interface SceneItem {
  /** Index of the brief's entity; -1 for what belongs to none. */
  readonly entity: number;
  /** A landmark is what a place is known by: the mill of a mill, the bridge of a river bridge. */
  readonly kind: 'person' | 'creature' | 'thing' | 'landmark';
  /** A species, a thing or, of a landmark, its place; empty for people. */
  readonly what: string;
  /** Somebody has it in the hands. */
  readonly held?: boolean;
  /** The running numbers of its nodes: from the first to before the last. */
  readonly first: number;
  last: number;
}

/** What an item is, before it is painted. */
export type ItemOf = Pick<SceneItem, 'entity' | 'kind' | 'what' | 'held'>;

/** True for people and creatures: who must be seen, whatever lies over the picture. */
export const isFigure = ({ kind }: Pick<SceneItem, 'kind'>): boolean => kind === 'person' || kind === 'creature';
