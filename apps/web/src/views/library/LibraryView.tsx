import { Plus, Search, X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useStudio } from '../../api/queries';
import { useReferencesById, useSearch } from '../../api/references';
import { useUndoKeys } from '../../shared/keys/useUndoKeys';
import { Button } from '../../parts/Button';
import { EmptyState } from '../../parts/EmptyState';
import { useImports } from '../../parts/imports';
import { usePile } from './useArranged';
import { DropShelf } from './DropShelf';
import { Facets } from './Facets';
import { Inspector } from './Inspector';
import { LargeLook } from './LargeLook';
import { PictureRows } from './PictureRows';
import { ROW_HEIGHTS, useRowHeight } from './useRowHeight';
import { useLibraryState, type LibraryState } from './useLibraryState';
import { useTitle } from '../../parts/useTitle';

const SORTS = [
  ['newest', 'newest first'],
  ['oldest', 'oldest first'],
  ['title', 'by title'],
  ['rating', 'best first'],
  ['used', 'most used first'],
  ['recent', 'last used first'],
] as const;
/** How many of a selection the inspector looks at. */
const LOOKED_AT = 60;

/** All references: facets, pictures, and the inspector of the selection. What is looked at is in the address. */
export function LibraryView() {
  const state = useLibraryState();
  const { query, selected, set } = state;
  const { data: found, isPending } = useSearch(query);
  const { choose } = useImports();
  const chosen = useReferencesById(selected.slice(0, LOOKED_AT));
  const [large, setLarge] = useState<string | undefined>(undefined);
  const rows = useRowHeight();
  useUndoKeys();
  useTitle('Library');
  return (
    <DropShelf order={found?.ids ?? []}>
      <h1 className="sr-only">Library</h1>
      <Facets found={found} state={state} />
      <section aria-label="Pictures" data-main="Pictures" className="flex min-h-0 flex-col bg-booth">
        <div className="flex flex-wrap gap-2 p-3 pb-2">
          <WordSearch state={state} />
          <Order state={state} />
          <PictureSize {...rows} />
          <Link
            to="/library/keepers"
            className="flex items-center rounded-lg bg-card px-3 font-semibold hover:bg-paper"
          >
            Gallery of keepers
          </Link>
          <Button look="main" onClick={choose} className="flex items-center gap-1.5">
            <Plus size={16} aria-hidden /> Add pictures
          </Button>
        </div>
        {state.search.get('like') && <LikeBar state={state} />}
        <div className="min-h-0 flex-1">
          {isPending ? (
            <Skeleton />
          ) : found?.ids.length ? (
            <PictureRows
              ids={found.ids}
              aspects={found.aspects}
              height={rows.height}
              selected={selected}
              onSelect={(ids) => set({ sel: ids })}
              onLarge={setLarge}
            />
          ) : (
            <BareWall state={state} />
          )}
        </div>
        {found && (
          <p role="status" className="figures px-3 py-1 text-sm text-caption">
            {found.total === found.all ? `${found.total} pictures` : `${found.total} of ${found.all} pictures`}
            {selected.length > 1 ? `, ${selected.length} chosen` : ''}
          </p>
        )}
      </section>
      <Inspector
        ids={selected}
        references={[...chosen.values()]}
        onLike={(id, by) => set({ like: id, by, sel: id, colour: null })}
        onColour={(colour) => set({ colour, like: null })}
        onLarge={setLarge}
      />
      <LargeLook
        id={large}
        ids={found?.ids ?? []}
        selected={selected}
        onGo={(id) => (setLarge(id), id && set({ sel: id }))}
      />
    </DropShelf>
  );
}

/** In which order pictures are shown: a collection has one of its own. */
function Order({ state: { search, set } }: { state: LibraryState }) {
  const collected = search.has('collection');
  const usual = collected ? 'arranged' : 'newest';
  return (
    <select
      aria-label="Order"
      value={search.get('sort') ?? usual}
      onChange={(e) => set({ sort: e.target.value === usual ? null : e.target.value })}
      className="rounded-lg bg-card px-2"
    >
      {collected && <option value="arranged">as arranged</option>}
      {SORTS.map(([value, name]) => (
        <option key={value} value={value}>
          {name}
        </option>
      ))}
    </select>
  );
}

/** How large the pictures are. */
const PictureSize = ({ size, setSize }: ReturnType<typeof useRowHeight>) => (
  <label className="flex items-center rounded-lg bg-card px-2">
    <span className="sr-only">Size of the pictures</span>
    <input
      type="range"
      min={0}
      max={ROW_HEIGHTS.length - 1}
      value={size}
      onChange={(e) => setSize(Number(e.target.value))}
      className="w-16 accent-ink"
    />
  </label>
);

/** Why there is no picture, and what to do about it. */
function BareWall({ state: { narrowed, clear } }: { state: LibraryState }) {
  const { data: studio } = useStudio();
  const { choose } = useImports();
  const pile = usePile();
  if (pile && !pile.count)
    return (
      <EmptyState
        dark
        title={`“${pile.name}” has no pictures of its own yet`}
        action={<Button onClick={clear}>Show everything</Button>}
      >
        Drag pictures onto its name at the left, or press the right button on some and put them into it.
      </EmptyState>
    );
  if (narrowed)
    return (
      <EmptyState dark title="No matches" action={<Button onClick={clear}>Show everything</Button>}>
        No picture has all of this together.
      </EmptyState>
    );
  if (studio && studio.demo.done < studio.demo.total)
    return (
      <EmptyState dark title="The painter is at work">
        The demo studio is being drawn, {studio.demo.done} of {studio.demo.total} are done. Pictures appear here one by
        one.
      </EmptyState>
    );
  return (
    <EmptyState
      dark
      title="No pictures yet"
      action={
        <Button look="main" onClick={choose}>
          Add the first pictures
        </Button>
      }
    >
      Drop pictures anywhere on this page, paste one, or choose files: styles, characters, faces, anything that your
      series should keep to.
    </EmptyState>
  );
}

/** Words are looked for as they are typed. */
function WordSearch({ state: { search, set } }: { state: LibraryState }) {
  const asked = search.get('words') ?? '';
  const [text, setText] = useState(asked);
  const [seen, setSeen] = useState(asked);
  // the address may change by a saved search or by going back
  if (seen !== asked) {
    setSeen(asked);
    setText(asked);
  }
  useEffect(() => {
    if (text === asked) return;
    const soon = setTimeout(() => set({ words: text || null, sel: null }), 120);
    return () => clearTimeout(soon);
  }, [text, asked, set]);
  return (
    <label className="flex min-w-56 flex-1 items-center gap-2 rounded-lg bg-card px-3">
      <Search size={16} className="shrink-0 text-muted" aria-hidden />
      <span className="sr-only">Find by words</span>
      <input
        className="w-full bg-transparent py-1.5 outline-offset-4"
        placeholder="Find by words: title, tag, note, what it shows"
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
    </label>
  );
}

function LikeBar({ state: { search, set } }: { state: LibraryState }) {
  const by = search.get('by') ?? 'content';
  return (
    <div className="mx-3 mb-2 flex items-center gap-3 rounded-lg bg-card px-3 py-1.5">
      <span className="flex-1">Pictures like the chosen one, nearest first</span>
      {(['content', 'style'] as const).map((b) => (
        <button
          key={b}
          type="button"
          aria-pressed={by === b}
          onClick={() => set({ by: b })}
          className={`rounded px-2 py-0.5 ${by === b ? 'bg-shade font-semibold' : 'text-muted hover:text-ink'}`}
        >
          {b === 'content' ? 'by what it shows' : 'by how it is made'}
        </button>
      ))}
      <button
        type="button"
        aria-label="All pictures again"
        className="rounded p-1"
        onClick={() => set({ like: null, by: null })}
      >
        <X size={16} aria-hidden />
      </button>
    </div>
  );
}

function Skeleton() {
  return (
    <div className="grid grid-cols-3 gap-2 p-3 pt-0" aria-label="The library is being opened">
      {Array.from({ length: 9 }, (_, i) => (
        <div key={i} className="skeleton h-48" />
      ))}
    </div>
  );
}
