import { ChevronRight } from 'lucide-react';
import { ContextMenu } from 'radix-ui';
import { useCollectionActs, useCollections } from '../../api/collections';
import { MENU_ITEM } from './IntoSheets';
import { useLibraryState } from './useLibraryState';

/** Puts pictures into collections, and takes them out of the one that is looked at. */
export function IntoCollections({ ids }: { ids: readonly string[] }) {
  const { data: collections = [] } = useCollections();
  const { make, place, takeOut } = useCollectionActs();
  const { search } = useLibraryState();
  const byHand = collections.filter((c) => c.search === undefined);
  const here = byHand.find((c) => c.id === search.get('collection'));
  return (
    <>
      <ContextMenu.Sub>
        <ContextMenu.SubTrigger className={`${MENU_ITEM} flex items-center data-[state=open]:bg-shade`}>
          <span className="flex-1">Into a collection</span>
          <ChevronRight size={14} aria-hidden />
        </ContextMenu.SubTrigger>
        <ContextMenu.Portal>
          <ContextMenu.SubContent className="z-50 max-h-96 min-w-48 overflow-auto rounded-xl border border-line bg-card p-1.5 shadow-xl">
            {byHand
              .filter((c) => c !== here)
              .map((c) => (
                <ContextMenu.Item key={c.id} className={MENU_ITEM} onSelect={() => void place(c, ids)}>
                  {c.name}
                </ContextMenu.Item>
              ))}
            <ContextMenu.Item
              className={MENU_ITEM}
              onSelect={() => void make({ name: 'New collection', items: [...ids] }, '“New collection” was made.')}
            >
              A new one of {ids.length === 1 ? 'it' : `these ${ids.length}`}
            </ContextMenu.Item>
          </ContextMenu.SubContent>
        </ContextMenu.Portal>
      </ContextMenu.Sub>
      {here && (
        <ContextMenu.Item className={MENU_ITEM} onSelect={() => void takeOut(here, ids)}>
          Take out of {here.name}
        </ContextMenu.Item>
      )}
    </>
  );
}
