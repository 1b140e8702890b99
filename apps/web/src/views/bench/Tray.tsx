import { useDraggable } from '@dnd-kit/core';
import type { Gives } from '@urbild/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import type { Kind, MixInfluence } from '../../api/client';
import { useReferencesById, useSearch } from '../../api/references';
import { useCast, useLooks } from '../../api/sheets';
import { KindSign } from '../../parts/KindSign';
import { Tip } from '../../parts/Tip';
import { KINDS, type Hue } from '../../theme/kinds';
import { characterInfluence, lookInfluence, newInfluence } from '../../shared/mix/newInfluences';
import { OneStop } from '../../shared/keys/OneStop';

/** Something that can be dragged into the course. */
export interface TrayItem {
  readonly id: string;
  readonly name: string;
  readonly hue: Hue;
  readonly thumbnailUrl?: string;
  readonly influence: MixInfluence;
}

/** True for a picture of the library: a look or somebody is nothing that a mix could start from. */
export const isPicture = ({ influence: { of } }: TrayItem): boolean => (of ?? 'reference') === 'reference';

type Shelf = 'pictures' | 'looks' | 'cast';
const SHELVES: readonly { readonly shelf: Shelf; readonly name: string }[] = [
  { shelf: 'pictures', name: 'Pictures' },
  { shelf: 'looks', name: 'Looks' },
  { shelf: 'cast', name: 'Cast' },
];
const ROW = 80;

interface Props extends Acts {
  readonly gives: readonly Gives[];
}

interface Acts {
  readonly onAdd: (influence: MixInfluence) => void;
  /** The mix is to start from a picture. */
  readonly onStart: (referenceId: string) => void;
}

/** A narrow drawer of pictures, looks and characters to drag into the course. */
export function Tray({ gives, onAdd, onStart }: Props) {
  const [shelf, setShelf] = useState<Shelf>('pictures');
  return (
    <aside aria-label="Tray" className="flex min-h-0 flex-col border-r border-line bg-paper">
      <OneStop role="tablist" aria-label="What to drag" className="flex border-b border-line px-1">
        {SHELVES.map((s) => (
          <button
            key={s.shelf}
            type="button"
            role="tab"
            aria-selected={shelf === s.shelf}
            onClick={() => setShelf(s.shelf)}
            className={`flex-1 border-b-2 py-1.5 text-sm ${shelf === s.shelf ? 'border-ink font-semibold' : 'border-transparent text-muted hover:text-ink'}`}
          >
            {s.name}
          </button>
        ))}
      </OneStop>
      {shelf === 'pictures' ? (
        <Pictures onAdd={onAdd} onStart={onStart} />
      ) : (
        <Sheets key={shelf} shelf={shelf} gives={gives} onAdd={onAdd} />
      )}
    </aside>
  );
}

function Pictures({ onAdd, onStart }: Acts) {
  const [kind, setKind] = useState<Kind | undefined>(undefined);
  const [words, setWords] = useState('');
  const query = new URLSearchParams({ ...(kind ? { kind } : {}), ...(words.trim() ? { words: words.trim() } : {}) });
  const { data: found } = useSearch(useDeferredValue(query.toString()));
  const ids = found?.ids ?? [];
  const frame = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: Math.ceil(ids.length / 2),
    getScrollElement: () => frame.current,
    estimateSize: () => ROW,
    overscan: 3,
  });
  const rows = virtual.getVirtualItems();
  const shown = rows.flatMap((v) => ids.slice(v.index * 2, v.index * 2 + 2));
  const references = useReferencesById(shown);
  return (
    <>
      <TrayFilter kind={kind} words={words} onKind={setKind} onWords={setWords} />
      <h2 className="px-2.5 pb-1 text-sm font-semibold text-muted">
        {words.trim() && found && !found.ids.length ? 'Nothing has these words' : 'Drag into the course'}
      </h2>
      <div ref={frame} className="min-h-0 flex-1 overflow-auto px-2.5">
        <OneStop role="list" className="relative" style={{ height: virtual.getTotalSize() }}>
          {rows.flatMap((v) =>
            ids.slice(v.index * 2, v.index * 2 + 2).map((id, k) => {
              const r = references.get(id);
              return (
                <div
                  role="listitem"
                  key={id}
                  className="absolute w-[calc(50%-3px)]"
                  style={{ top: v.start, left: k ? 'calc(50% + 3px)' : 0 }}
                >
                  {r ? (
                    <TrayPicture
                      item={{
                        id,
                        name: r.title,
                        hue: r.kind,
                        thumbnailUrl: r.thumbnailUrl,
                        influence: newInfluence(r),
                      }}
                      onAdd={onAdd}
                      onStart={onStart}
                    />
                  ) : (
                    <div className="skeleton h-[72px]" />
                  )}
                </div>
              );
            }),
          )}
        </OneStop>
      </div>
    </>
  );
}

interface FilterProps {
  readonly kind: Kind | undefined;
  readonly words: string;
  readonly onKind: (kind: Kind | undefined) => void;
  readonly onWords: (words: string) => void;
}

/** What the pictures of the tray are narrowed by: a kind, words. */
function TrayFilter({ kind, words, onKind, onWords }: FilterProps) {
  return (
    <>
      <OneStop role="group" aria-label="Kind" className="flex gap-1.5 p-2.5 pb-1.5">
        {KINDS.map((k) => (
          <Tip key={k.kind} text={`Only ${k.name.toLowerCase()} pictures`}>
            <button
              type="button"
              aria-pressed={kind === k.kind}
              aria-label={`Only ${k.name.toLowerCase()} pictures`}
              onClick={() => onKind(kind === k.kind ? undefined : k.kind)}
              className={`rounded-lg border px-2 py-1.5 ${kind === k.kind ? 'border-ink bg-card' : 'border-line hover:border-edge'}`}
            >
              <KindSign kind={k.kind} />
            </button>
          </Tip>
        ))}
      </OneStop>
      <div className="px-2.5 pb-1.5">
        <input
          type="search"
          aria-label="Find in the tray"
          placeholder="find by words"
          value={words}
          onChange={(e) => onWords(e.target.value)}
          className="w-full rounded-lg border border-edge bg-card px-2 py-0.5 text-sm"
        />
      </div>
    </>
  );
}

function Sheets({
  shelf,
  gives,
  onAdd,
}: {
  shelf: 'looks' | 'cast';
  gives: readonly Gives[];
  onAdd: (influence: MixInfluence) => void;
}) {
  const { data: looks } = useLooks();
  const { data: cast } = useCast();
  const sheets = useMemo(
    () =>
      shelf === 'looks'
        ? (looks ?? []).map((l) => ({
            id: l.id,
            name: l.name,
            first: l.items[0]?.referenceId,
            influence: lookInfluence(l.id),
          }))
        : (cast ?? []).map((c) => ({
            id: c.id,
            name: c.name,
            first: c.items[0]?.referenceId,
            influence: characterInfluence(c.id, c.usualWeight, gives),
          })),
    [shelf, looks, cast, gives],
  );
  const references = useReferencesById(sheets.flatMap((s) => s.first ?? []));
  if (!sheets.length)
    return (
      <p className="p-3 text-sm text-muted">
        {shelf === 'looks'
          ? 'No look yet. Make one of style pictures in Looks.'
          : 'No characters yet. Make a character in Cast.'}
      </p>
    );
  return (
    <OneStop role="list" className="grid min-h-0 grid-cols-1 content-start gap-2 overflow-auto p-2.5">
      {sheets.map((s) => (
        <div role="listitem" key={s.id}>
          <TrayPicture
            wide
            item={{
              id: s.id,
              name: s.name,
              hue: shelf === 'looks' ? 'style' : 'character',
              thumbnailUrl: s.first && references.get(s.first)?.thumbnailUrl,
              influence: s.influence,
            }}
            onAdd={onAdd}
          />
          <div className="truncate pt-0.5 text-sm">{s.name}</div>
        </div>
      ))}
    </OneStop>
  );
}

interface PictureProps {
  readonly item: TrayItem;
  readonly wide?: boolean;
  readonly onAdd: (influence: MixInfluence) => void;
  /** Left out for what no picture can start from. */
  readonly onStart?: (referenceId: string) => void;
}

/** Enter or a double click adds it to the course; Shift + Enter starts from it. */
function TrayPicture({ item, wide = false, onAdd, onStart }: PictureProps) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: item.id, data: { item } });
  return (
    <button
      ref={setNodeRef}
      type="button"
      title={item.name}
      aria-label={`${item.name}, ${item.hue}: add to the course`}
      {...listeners}
      onDoubleClick={() => onAdd(item.influence)}
      onKeyDown={(e) => {
        if (e.key !== 'Enter') return;
        if (e.shiftKey && onStart) onStart(item.id);
        else onAdd(item.influence);
      }}
      className={`group relative block w-full touch-none overflow-hidden bg-shade ${wide ? 'h-20' : 'h-[72px]'} ${isDragging ? 'opacity-40' : ''}`}
    >
      {item.thumbnailUrl && (
        <img src={item.thumbnailUrl} alt="" draggable={false} loading="lazy" className="h-full w-full object-cover" />
      )}
      {!wide && (
        <span className="absolute inset-x-0 top-0 line-clamp-2 bg-scrim/80 px-1 text-left text-xs text-white opacity-0 group-hover:opacity-100 group-focus-visible:opacity-100">
          {item.name}
        </span>
      )}
      <span className="absolute bottom-0.5 left-0.5 rounded bg-card p-0.5">
        <KindSign kind={item.hue} size={13} />
      </span>
    </button>
  );
}
