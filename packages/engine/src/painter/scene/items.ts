/** Somebody or something of the words that was painted: which nodes of the display list are its own. */
export interface SceneItem {
  /** Index of the brief's entity. */
  readonly entity: number;
  readonly kind: 'person' | 'creature' | 'thing';
  /** A species or a thing; empty for people. */
  readonly what: string;
  /** Somebody has it in the hands. */
  readonly held?: boolean;
  /** The running numbers of its nodes: from the first to before the last. */
  readonly first: number;
  last: number;
}

/** What an item is, before it is painted. */
export type ItemOf = Pick<SceneItem, 'entity' | 'kind' | 'what' | 'held'>;
