import { useDroppable } from '@dnd-kit/core';
import { BookmarkPlus, BookOpen, Ellipsis, Layers, Plus, Search } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { useCollectionActs, useCollections, type Collection } from '../../api/collections';
import { useProject, type Project } from '../../api/projects';
import type { Found } from '../../api/references';
import { OneStop } from '../../shared/keys/OneStop';
import { MENU_ITEM } from './IntoSheets';
import { NARROWING, type LibraryState } from './useLibraryState';

interface Props {
  readonly state: LibraryState;
  readonly counts: Found['facets']['collection'] | undefined;
}

/** Piles of pictures: put together by hand, or by a search. One is looked at with a click, filled by dropping pictures on it. */
export function Collections({ state, counts }: Props) {
  const { data: collections = [] } = useCollections();
  const project = useProject();
  const { make } = useCollectionActs();
  const { search, query, selected, set, narrowed, clear } = state;
  const [naming, setNaming] = useState<'pictures' | 'search' | undefined>(undefined);
  const named = async (name: string) => {
    const search = naming === 'search' ? query : undefined;
    const made = await make(search ? { name, search } : { name, items: [...selected] }, `“${name}” was made.`);
    if (made && !search) set({ ...only(), collection: made.id });
  };
  return (
    <section className="mb-5" aria-label="Collections">
      <div className="mb-1 flex items-center px-1">
        <h2 className="flex-1 text-sm font-semibold text-muted">Collections</h2>
        <button
          type="button"
          aria-label={selected.length ? `New collection of the chosen ${selected.length}` : 'New collection'}
          title={selected.length ? `New collection of the chosen ${selected.length}` : 'New collection'}
          className="grid size-6 place-items-center rounded text-muted hover:bg-shade hover:text-ink"
          onClick={() => setNaming('pictures')}
        >
          <Plus size={15} aria-hidden />
        </button>
      </div>
      {naming && <Naming what={naming} onName={(name) => void named(name)} onEnd={() => setNaming(undefined)} />}
      <OneStop role="list">
        {project && <PicksLine project={project} count={counts?.[project.id]} state={state} />}
        {collections.map((c) => (
          <CollectionLine key={c.id} collection={c} count={counts?.[c.id]} state={state} />
        ))}
      </OneStop>
      {!collections.length && !naming && !narrowed && (
        <p className="px-1 text-sm text-muted">Choose pictures and press +, to find them together again.</p>
      )}
      {narrowed && (
        <div className="mt-1 flex justify-between gap-2 px-1 text-sm whitespace-nowrap">
          {NARROWING.some((k) => k !== 'collection' && search.has(k)) && (
            <button
              type="button"
              className="flex items-center gap-1 text-muted underline underline-offset-2 hover:text-ink"
              onClick={() => setNaming('search')}
            >
              <BookmarkPlus size={14} aria-hidden /> Keep this search
            </button>
          )}
          <button type="button" className="text-muted underline underline-offset-2 hover:text-ink" onClick={clear}>
            Clear
          </button>
        </div>
      )}
    </section>
  );
}

/** Nothing narrows any more. */
const only = () => Object.fromEntries([...NARROWING, 'sort'].map((k) => [k, null]));

/** Asks for a name: Enter gives it, Escape and leaving forget it. */
function Naming({
  what,
  name = '',
  onName,
  onEnd,
}: {
  what: 'pictures' | 'search' | 'again';
  name?: string;
  onName: (name: string) => void;
  onEnd: () => void;
}) {
  return (
    <input
      autoFocus
      aria-label={what === 'search' ? 'Name of the search' : 'Name of the collection'}
      placeholder={what === 'search' ? 'name of the search' : 'name of the collection'}
      defaultValue={name}
      maxLength={120}
      className="mt-1 mb-1 w-full rounded-md border border-edge bg-card px-2 py-1"
      onFocus={(e) => e.currentTarget.select()}
      onBlur={onEnd}
      onKeyDown={(e) => {
        if (e.key === 'Escape') onEnd();
        if (e.key !== 'Enter' || !e.currentTarget.value.trim()) return;
        onName(e.currentTarget.value.trim());
        onEnd();
      }}
    />
  );
}

interface LineProps {
  readonly collection: Collection;
  readonly count: number | undefined;
  readonly state: LibraryState;
}

function CollectionLine({ collection: c, count, state: { search, query, set, clear } }: LineProps) {
  const { rename, remove } = useCollectionActs();
  const [naming, setNaming] = useState(false);
  const bySearch = c.search !== undefined;
  const { setNodeRef, isOver } = useDroppable({ id: `collection ${c.id}`, disabled: bySearch });
  const chosen = bySearch ? sameSearch(c.search!, query) : search.get('collection') === c.id;
  const show = () => {
    if (chosen) return clear();
    set({
      ...only(),
      sel: null,
      ...(bySearch ? Object.fromEntries(new URLSearchParams(c.search)) : { collection: c.id }),
    });
  };
  if (naming)
    return <Naming what="again" name={c.name} onName={(name) => void rename(c, name)} onEnd={() => setNaming(false)} />;
  const Sign = bySearch ? Search : Layers;
  return (
    <div
      role="listitem"
      ref={setNodeRef}
      className={`flex items-center rounded-md ${isOver ? 'outline-2 outline-cinnabar' : ''}`}
    >
      <button
        type="button"
        aria-pressed={chosen}
        onClick={show}
        onKeyDown={(e) => {
          if (e.key === 'F2') setNaming(true);
          if (e.key === 'Delete') void remove(c);
        }}
        className={`flex min-w-0 flex-1 items-center gap-2 rounded-md px-1 py-1 text-left ${chosen ? 'bg-shade font-semibold' : 'hover:bg-shade'}`}
      >
        <Sign size={14} className="shrink-0 text-muted" aria-label={bySearch ? 'a search' : undefined} />
        <span className="flex-1 truncate">{c.name}</span>
        {!bySearch && <span className="figures text-sm text-muted">{count ?? c.count}</span>}
      </button>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger
          aria-label={`More for ${c.name}`}
          className="grid size-6 shrink-0 place-items-center rounded text-muted hover:text-ink"
        >
          <Ellipsis size={14} aria-hidden />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content className="z-50 min-w-40 rounded-xl border border-line bg-card p-1.5 shadow-xl">
            <DropdownMenu.Item className={MENU_ITEM} onSelect={() => setTimeout(() => setNaming(true))}>
              Rename
            </DropdownMenu.Item>
            <DropdownMenu.Item className={MENU_ITEM} onSelect={() => void remove(c)}>
              Delete the collection
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </div>
  );
}

/** The pictures that the project picked: the pile that its tray begins with. */
function PicksLine({
  project,
  count,
  state: { search, set, clear },
}: { project: Project } & Omit<LineProps, 'collection'>) {
  const { setNodeRef, isOver } = useDroppable({ id: `collection ${project.id}` });
  const chosen = search.get('collection') === project.id;
  return (
    <div role="listitem" ref={setNodeRef} className={`flex rounded-md ${isOver ? 'outline-2 outline-cinnabar' : ''}`}>
      <button
        type="button"
        aria-pressed={chosen}
        title={`What ${project.name} picked of the library`}
        onClick={() => (chosen ? clear() : set({ ...only(), sel: null, collection: project.id }))}
        className={`flex min-w-0 flex-1 items-center gap-2 rounded-md px-1 py-1 text-left ${chosen ? 'bg-shade font-semibold' : 'hover:bg-shade'}`}
      >
        <BookOpen size={14} className="shrink-0 text-muted" aria-label="of the project" />
        <span className="flex-1 truncate">{project.name}</span>
        <span className="figures text-sm text-muted">{count ?? project.pictures}</span>
      </button>
    </div>
  );
}

/** True for two query strings that ask for the same. */
function sameSearch(a: string, b: string): boolean {
  const sorted = (text: string) =>
    [...new URLSearchParams(text)]
      .map((e) => e.join('='))
      .sort()
      .join('&');
  return sorted(a) === sorted(b);
}
