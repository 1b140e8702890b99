import { Plus, Search } from 'lucide-react';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import type { Kind, Reference } from '../../api/client';
import { useReferences, useStudio } from '../../api/queries';
import { Button } from '../../parts/Button';
import { EmptyState } from '../../parts/EmptyState';
import { useImports } from '../../parts/imports';
import { Facets } from './Facets';
import { Inspector } from './Inspector';
import { PictureRows } from './PictureRows';

/** All references: facets, pictures, and the inspector of the selection. What is looked at is in the address. */
export function LibraryView() {
  const { data: all, isPending } = useReferences();
  const { data: studio } = useStudio();
  const { choose } = useImports();
  const [search, setSearch] = useSearchParams();
  const kind = search.get('kind') as Kind | null;
  const tag = search.get('tag');
  const words = search.get('words') ?? '';
  const selected = useMemo(() => search.getAll('sel'), [search]);
  const shown = useMemo(() => (all ?? []).filter((r) => matches(r, kind, tag, words)), [all, kind, tag, words]);
  const set = (changes: Record<string, string | readonly string[] | null>) =>
    setSearch(
      (before) => {
        const next = new URLSearchParams(before);
        for (const [key, value] of Object.entries(changes)) {
          next.delete(key);
          for (const v of value === null ? [] : [value].flat()) if (v) next.append(key, v);
        }
        return next;
      },
      { replace: true },
    );
  const drawing = studio && studio.demo.done < studio.demo.total;
  return (
    <div className="grid h-full grid-cols-[188px_minmax(0,1fr)_300px]">
      <Facets
        references={all ?? []}
        kind={kind}
        tag={tag}
        onKind={(k) => set({ kind: k, sel: null })}
        onTag={(t) => set({ tag: t, sel: null })}
      />
      <section aria-label="Pictures" className="flex min-h-0 flex-col bg-booth">
        <div className="flex gap-2 p-3 pb-2">
          <label className="flex flex-1 items-center gap-2 rounded-lg bg-card px-3">
            <Search size={16} className="text-muted" aria-hidden />
            <span className="sr-only">Find by words</span>
            <input
              className="w-full bg-transparent py-1.5 outline-offset-4"
              placeholder="Find by words: a title, a tag, a note"
              value={words}
              onChange={(e) => set({ words: e.target.value, sel: null })}
            />
          </label>
          <Button look="main" onClick={choose} className="flex items-center gap-1.5">
            <Plus size={16} aria-hidden /> Bring in pictures
          </Button>
        </div>
        <div className="min-h-0 flex-1">
          {isPending ? (
            <Skeleton />
          ) : shown.length ? (
            <PictureRows references={shown} selected={selected} onSelect={(ids) => set({ sel: ids })} />
          ) : drawing ? (
            <EmptyState dark title="The painter is at work">
              The demo studio is being drawn, {studio.demo.done} of {studio.demo.total} are done. Pictures appear here
              one by one.
            </EmptyState>
          ) : all?.length ? (
            <EmptyState
              dark
              title="Nothing like that here"
              action={<Button onClick={() => set({ kind: null, tag: null, words: null })}>Show everything</Button>}
            >
              No picture has this kind, tag and these words together.
            </EmptyState>
          ) : (
            <EmptyState
              dark
              title="An empty wall"
              action={
                <Button look="main" onClick={choose}>
                  Bring in the first pictures
                </Button>
              }
            >
              Drop pictures anywhere on this page, paste one, or choose files: styles, characters, faces, anything that
              your series should keep to.
            </EmptyState>
          )}
        </div>
      </section>
      <Inspector references={(all ?? []).filter((r) => selected.includes(r.id))} />
    </div>
  );
}

function matches(r: Reference, kind: Kind | null, tag: string | null, words: string): boolean {
  if ((kind && r.kind !== kind) || (tag && !r.tags.includes(tag))) return false;
  const text = `${r.title} ${r.tags.join(' ')} ${r.notes}`.toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((w) => text.includes(w));
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
