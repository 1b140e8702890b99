import type { Gives } from '@urbild/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useDeferredValue, useMemo, useRef, useState, type ReactNode } from 'react';
import type { Kind, MixInfluence } from '../../api/client';
import { useCollections, type Collection } from '../../api/collections';
import { picked, useProject, type Project } from '../../api/projects';
import { useReferencesById, useSearch } from '../../api/references';
import { useCast, useLooks } from '../../api/sheets';
import { KindSign } from '../../parts/KindSign';
import { Tip } from '../../parts/Tip';
import { KINDS } from '../../theme/kinds';
import { characterInfluence, lookInfluence, newInfluence } from '../../shared/mix/newInfluences';
import { OneStop } from '../../shared/keys/OneStop';
import { TrayPicture } from './TrayPicture';

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
  const project = useProject();
  const [chosen, setPile] = useState<string>();
  const pile = chosen ?? (project?.pictures ? project.id : ALL);
  const { data: collections = [] } = useCollections();
  const query = new URLSearchParams(pile === project?.id ? { collection: pile } : pileQuery(pile, collections));
  if (kind) query.set('kind', kind);
  if (words.trim()) query.set('words', words.trim());
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
      <TrayFilter kind={kind} words={words} onKind={setKind} onWords={setWords}>
        <PileChoice pile={pile} project={project} collections={collections} onPile={setPile} />
      </TrayFilter>
      <h2 className="px-2.5 pb-1 text-sm font-semibold text-muted">
        {found && !found.ids.length ? nothing(words, pile) : 'Drag into the course'}
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

interface PileProps {
  readonly pile: string;
  readonly project: Project | undefined;
  readonly collections: readonly Collection[];
  readonly onPile: (pile: string) => void;
}

/** Which pictures lie in the tray: those that the project picked, all, those used last, those of a collection. */
function PileChoice({ pile, project, collections, onPile }: PileProps) {
  return (
    <select
      aria-label="Which pictures"
      value={pile}
      onChange={(e) => onPile(e.target.value)}
      className="w-full rounded-lg border border-edge bg-card px-1.5 py-0.5 text-sm"
    >
      {project && <option value={project.id}>{project.name}</option>}
      <option value={ALL}>All pictures</option>
      <option value={RECENT}>Used last</option>
      {collections.length > 0 && (
        <optgroup label="Collections">
          {collections.map((c) => (
            <option key={c.id} value={c.id}>
              {c.name}
            </option>
          ))}
        </optgroup>
      )}
    </select>
  );
}

/** The piles of pictures that are there without anybody having made them. */
const ALL = 'all';
const RECENT = 'recent';

/** What a pile asks the library for. */
function pileQuery(pile: string, collections: readonly Collection[]): string | Record<string, string> {
  if (pile === RECENT) return { used: 'used', sort: 'recent' };
  const collection = collections.find((c) => c.id === pile);
  return collection ? (collection.search ?? { collection: collection.id }) : {};
}

/** Why no picture lies in the tray. */
const nothing = (words: string, pile: string): string =>
  words.trim() ? 'Nothing has these words' : pile === RECENT ? 'Nothing has been weighed yet' : 'Nothing is in it';

interface FilterProps {
  readonly kind: Kind | undefined;
  readonly words: string;
  readonly onKind: (kind: Kind | undefined) => void;
  readonly onWords: (words: string) => void;
  readonly children: ReactNode;
}

/** What the pictures of the tray are narrowed by: a kind, words, and what stands between them. */
function TrayFilter({ kind, words, onKind, onWords, children }: FilterProps) {
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
      <div className="flex flex-col gap-1.5 px-2.5 pb-1.5">
        {children}
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
  const project = useProject();
  const [all, setAll] = useState(false);
  const ofLooks = picked(looks ?? [], all ? [] : project?.looks);
  const ofCast = picked(cast ?? [], all ? [] : project?.cast);
  const { left } = shelf === 'looks' ? ofLooks : ofCast;
  const sheets = useMemo(
    () =>
      shelf === 'looks'
        ? ofLooks.shown.map((l) => ({
            id: l.id,
            name: l.name,
            first: l.items[0]?.referenceId,
            influence: lookInfluence(l.id),
          }))
        : ofCast.shown.map((c) => ({
            id: c.id,
            name: c.name,
            first: c.items[0]?.referenceId,
            influence: characterInfluence(c.id, c.usualWeight, gives),
          })),
    [shelf, ofLooks.shown, ofCast.shown, gives],
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
      {left > 0 && (
        <button type="button" className="text-left text-sm text-muted underline" onClick={() => setAll(true)}>
          {left} more in the studio
        </button>
      )}
    </OneStop>
  );
}
