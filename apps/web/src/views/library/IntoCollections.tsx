import { ChevronRight } from 'lucide-react';
import { ContextMenu } from 'radix-ui';
import { pileOf, useCollectionActs, useCollections } from '../../api/collections';
import { picksOf, useProject } from '../../api/projects';
import { MENU_ITEM } from './IntoSheets';
import { usePile } from './useArranged';

/** Puts pictures into collections and among the picks of the project, and takes them out of the pile that is looked at. */
export function IntoCollections({ ids }: { ids: readonly string[] }) {
  const { data: collections = [] } = useCollections();
  const { make, place, takeOut } = useCollectionActs();
  const project = useProject();
  const here = usePile();
  const byHand = collections.filter((c) => c.search === undefined);
  return (
    <>
      {project && here?.id !== project.id && (
        <ContextMenu.Item className={MENU_ITEM} onSelect={() => void place(picksOf(project), ids)}>
          Pick for {project.name}
        </ContextMenu.Item>
      )}
      <ContextMenu.Sub>
        <ContextMenu.SubTrigger className={`${MENU_ITEM} flex items-center data-[state=open]:bg-shade`}>
          <span className="flex-1">Into a collection</span>
          <ChevronRight size={14} aria-hidden />
        </ContextMenu.SubTrigger>
        <ContextMenu.Portal>
          <ContextMenu.SubContent className="z-50 max-h-96 min-w-48 overflow-auto rounded-xl border border-line bg-card p-1.5 shadow-xl">
            {byHand
              .filter((c) => c.id !== here?.id)
              .map((c) => (
                <ContextMenu.Item key={c.id} className={MENU_ITEM} onSelect={() => void place(pileOf(c), ids)}>
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
          Remove from {here.name}
        </ContextMenu.Item>
      )}
    </>
  );
}
