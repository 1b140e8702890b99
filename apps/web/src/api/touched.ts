import type { Query, QueryClient, QueryKey } from '@tanstack/react-query';
import { keys } from './keys';

/** What the studio tells of, as far as the page has to read something again for it. */
export interface StudioEvent {
  readonly type: string;
  readonly id?: string;
  readonly status?: string;
  readonly mixId?: string;
  readonly shotId?: string;
}

/** Queries that are out of date: all below a key, or one, or those below it that hold an id. */
export interface Touched {
  readonly key: QueryKey;
  readonly exact?: boolean;
  /** Only what mentions one of these is read again; what nobody looks at is read when somebody does. */
  readonly holding?: readonly string[];
  /** Whether what is measured of such a thing, and lies below it, is read again as well. */
  readonly below?: boolean;
  /** How long it may wait, ms: events that come in the meantime are answered together. */
  readonly wait: number;
}

/** Parts of a key that name one thing; what follows is measured of it. */
const THING = 2;
const SOON = 20;
const LATER = 250;
/** Whoever asked for something shows it already; others can wait. */
const AT_LEISURE = 400;
const MUCH_LATER = 1500;

/** The queries that an event makes out of date. */
export function touchedBy({ type, id = '', status, mixId, shotId }: StudioEvent): Touched[] {
  switch (type) {
    case 'reference':
      return [
        { key: keys.reference(id), wait: 0 },
        { key: ['search'], wait: LATER },
        { key: keys.looks, holding: [id], below: true, wait: LATER },
        { key: keys.cast, holding: [id], below: true, wait: LATER },
        // how many pictures are still unread
        { key: keys.studio, wait: MUCH_LATER },
      ];
    case 'import':
      return [
        { key: keys.imports, wait: LATER },
        { key: keys.troubled, wait: AT_LEISURE },
      ];
    case 'look':
      return [
        { key: keys.looks, exact: true, wait: 0 },
        { key: ['looks', id], wait: 0 },
        { key: ['search'], wait: LATER },
      ];
    case 'character':
      return [
        { key: keys.cast, exact: true, wait: 0 },
        { key: ['cast', id], wait: 0 },
        { key: ['search'], wait: LATER },
      ];
    case 'collection':
      return [
        { key: keys.collections, wait: 0 },
        { key: ['search'], wait: LATER },
      ];
    case 'project':
      return [
        { key: keys.projects, wait: 0 },
        { key: ['search'], wait: LATER },
      ];
    case 'person':
      return [keys.people, keys.invitations, keys.me].map((key) => ({ key, wait: 0 }));
    case 'access':
      // one may see more or less than before
      return [keys.projects, keys.mixes, ['series'], ['takes'], ['search'], ['comments'], ['inbox']].map((key) => ({
        key,
        wait: 0,
      }));
    case 'comment':
      return [
        { key: ['comments'], wait: 0 },
        { key: ['inbox'], wait: SOON },
      ];
    case 'presence':
      return [{ key: keys.presence, wait: 0 }];
    case 'shelf':
      return [{ key: keys.shelf, wait: 0 }];
    case 'mix':
      return [
        { key: keys.mixes, exact: true, wait: AT_LEISURE },
        { key: keys.mix(id), wait: AT_LEISURE },
        { key: ['takes', 'in-force', id], wait: AT_LEISURE },
        // what a series of this mix would render may differ now
        { key: ['series'], holding: [id], below: true, wait: AT_LEISURE },
      ];
    case 'series':
      return [
        { key: keys.series, exact: true, wait: 0 },
        { key: keys.oneSeries(id), wait: 0 },
      ];
    case 'strip':
      return [{ key: ['strips'], holding: [id], wait: 0 }, ...(mixId ? [{ key: keys.strips(mixId), wait: 0 }] : [])];
    case 'solve':
      return [{ key: ['solves'], wait: 0 }];
    case 'sequence':
      return [
        { key: keys.sequence(id), wait: 0 },
        { key: ['sequences', 'of'], wait: 0 },
      ];
    case 'take':
      return touchedByTake(id, status, mixId, shotId);
    default:
      return [];
  }
}

function touchedByTake(id: string, status = '', mixId: string | undefined, shotId: string | undefined): Touched[] {
  // the picture alone is laid into what is there
  if (status === 'pictured') return [];
  const ended = status === 'failed' || status === 'cancelled';
  const holding = shotId ? [id, shotId] : [id];
  return [
    { key: keys.studio, wait: LATER },
    { key: keys.take(id), wait: SOON },
    ...(mixId
      ? [
          { key: keys.takes(mixId), exact: true, wait: ended ? SOON : AT_LEISURE },
          { key: ['takes', 'in-force', mixId], wait: AT_LEISURE },
        ]
      : []),
    { key: ['series'], holding, below: status === 'done' || ended, wait: LATER },
    ...(status === 'done' || ended
      ? [
          { key: keys.keepers, wait: AT_LEISURE },
          { key: ['takes', 'made-with'], wait: AT_LEISURE },
          { key: ['worked'], wait: MUCH_LATER },
          { key: ['strips'], holding: [id], wait: LATER },
          { key: ['sequences'], holding: [id], wait: LATER },
        ]
      : []),
    ...(status === 'failed' || status === 'queued' ? [{ key: keys.troubled, wait: AT_LEISURE }] : []),
  ];
}

/** True where something that was answered holds one of these ids as a value. */
export function mentions(data: unknown, ids: readonly string[]): boolean {
  if (typeof data === 'string') return ids.includes(data);
  if (typeof data !== 'object' || data === null) return false;
  return Object.values(data).some((value) => mentions(value, ids));
}

/** What a measurement was made of: it has a query of its own, or stands in the list of its kind. */
function thingOf(key: QueryKey, client: Pick<QueryClient, 'getQueryData'>): unknown {
  const [kind, id] = key;
  const list = client.getQueryData<readonly { readonly id?: string }[]>([kind]);
  return (
    client.getQueryData(key.slice(0, THING)) ?? (Array.isArray(list) ? list.find((one) => one.id === id) : undefined)
  );
}

/** Whether a query is out of date: what nobody looks at counts as such, for it costs nothing until somebody does. */
export const concerns =
  ({ holding, below }: Pick<Touched, 'holding' | 'below'>, client: Pick<QueryClient, 'getQueryData'>) =>
  (query: Pick<Query, 'isActive' | 'state' | 'queryKey'>): boolean => {
    if (!holding || !query.isActive() || mentions(query.state.data, holding)) return true;
    const { queryKey: key } = query;
    return !!below && key.length > THING && mentions(thingOf(key, client), holding);
  };
