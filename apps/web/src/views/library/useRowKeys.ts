import type { KeyboardEvent } from 'react';
import type { Kind, Reference } from '../../api/client';
import { useCollectionActs, type Pile } from '../../api/collections';
import { useChangeMany } from '../../api/references';
import { useWeigh } from '../../shared/mix/useWeigh';
import { stepped } from './gaps';
import { nearest, rowOf, type Cell, type Row } from './rows';

/** Letters of the kinds. */
const KIND_KEYS: Readonly<Record<string, Kind>> = { s: 'style', c: 'character', f: 'face', i: 'image' };

interface Wish {
  readonly ids: readonly string[];
  readonly rows: readonly Row<Cell>[];
  readonly references: ReadonlyMap<string, Reference>;
  readonly selected: readonly string[];
  /** The pile whose order they are shown in. */
  readonly arranged: Pile | undefined;
  readonly onGo: (id: string, e: KeyboardEvent) => void;
  /** The picture with the focus goes to another place of the order. */
  readonly onMove: (id: string) => void;
  readonly onLarge: (id: string) => void;
  readonly onSelect: (ids: readonly string[]) => void;
}

/**
 * What a key does on a picture of the library. Arrows, Home and End go on; a figure rates, H makes a favourite, a letter gives the kind,
 * Delete puts away, Enter weighs, Space shows large: on all that are chosen if this picture is among them, else on this one alone. In a
 * collection Alt and an arrow, Home or End moves them within its order.
 */
export function useRowKeys({ ids, rows, references, selected, arranged, onGo, onMove, onLarge, onSelect }: Wish) {
  const { mutate: change } = useChangeMany();
  const weigh = useWeigh();
  const { place } = useCollectionActs();
  const next = (key: string, id: string): string | undefined => {
    const at = ids.indexOf(id);
    const row = rowOf(rows, id);
    const step: Record<string, () => string | undefined> = {
      ArrowRight: () => ids[at + 1],
      ArrowLeft: () => ids[at - 1],
      ArrowDown: () => nearest(rows[row + 1]?.items, rows[row], id),
      ArrowUp: () => nearest(rows[row - 1]?.items, rows[row], id),
      Home: () => ids[0],
      End: () => ids[ids.length - 1],
    };
    return step[key]?.();
  };
  /** Whether the key means something on these pictures. */
  const act = (key: string, id: string): boolean => {
    const these = selected.includes(id) ? selected : [id];
    if (key === ' ') onLarge(id);
    else if (key === 'Enter') void weigh(these);
    else if (key === 'Delete')
      change({
        ids: these,
        change: { away: true },
        says: `${these.length === 1 ? 'A picture was' : `${these.length} pictures were`} archived.`,
      });
    else if (/^[0-5]$/.test(key)) change({ ids: these, change: { rating: Number(key) } });
    else if (key === 'h') change({ ids: these, change: { favourite: !references.get(id)?.favourite } });
    else if (KIND_KEYS[key]) change({ ids: these, change: { kind: KIND_KEYS[key] } });
    else return false;
    return true;
  };
  const move = (key: string, id: string): void => {
    const step = stepped(key, ids, selected.includes(id) ? selected : [id]);
    if (!step) return;
    onMove(id);
    void place(arranged!, step.ids, { before: step.before, quiet: true });
  };
  return (e: KeyboardEvent, id: string) => {
    if (e.altKey && arranged && /^(Arrow(Left|Right)|Home|End)$/.test(e.key)) {
      e.preventDefault();
      return move(e.key, id);
    }
    const target = next(e.key, id);
    const command = e.ctrlKey || e.metaKey;
    const key = e.key.length === 1 ? e.key.toLowerCase() : e.key;
    if (target) onGo(target, e);
    else if (command && key === 'a') onSelect(ids);
    else if (command || !act(key, id)) return;
    e.preventDefault();
  };
}
