import { ContextMenu } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import type { Reference } from '../../api/client';
import { useChangeMany } from '../../api/references';
import { IntoCollections } from './IntoCollections';
import { IntoSheets, MENU_ITEM } from './IntoSheets';
import { useLibraryState } from './useLibraryState';
import { useWeigh } from '../../shared/mix/useWeigh';

interface Props {
  readonly references: ReadonlyMap<string, Reference>;
  readonly selected: readonly string[];
  readonly onSelect: (ids: readonly string[]) => void;
  readonly onLarge: (id: string) => void;
  readonly children: ReactNode;
}

/** What can be done with the pictures under the pointer. */
export function PictureMenu({ references, selected, onSelect, onLarge, children }: Props) {
  const [under, setUnder] = useState<string | undefined>(undefined);
  const { set } = useLibraryState();
  const changeMany = useChangeMany();
  const weigh = useWeigh();
  const ids = under && !selected.includes(under) ? [under] : selected;
  const away = under ? references.get(under)?.away : false;
  return (
    <ContextMenu.Root>
      <ContextMenu.Trigger
        asChild
        onContextMenu={(e) => {
          const id = (e.target as HTMLElement).closest<HTMLElement>('[data-id]')?.dataset.id;
          setUnder(id);
          if (id && !selected.includes(id)) onSelect([id]);
        }}
      >
        <div className="h-full">{children}</div>
      </ContextMenu.Trigger>
      <ContextMenu.Portal>
        <ContextMenu.Content className="z-50 min-w-56 rounded-xl border border-line bg-card p-1.5 shadow-xl">
          <ContextMenu.Item className={MENU_ITEM} onSelect={() => void weigh(ids)}>
            Weigh on the bench
          </ContextMenu.Item>
          {under && (
            <>
              <ContextMenu.Item className={MENU_ITEM} onSelect={() => onLarge(under)}>
                {ids.length > 1 ? 'Compare them large' : 'Look at it large'}
              </ContextMenu.Item>
              <ContextMenu.Item className={MENU_ITEM} onSelect={() => set({ like: under, by: 'content', sel: under })}>
                What is like it
              </ContextMenu.Item>
              <ContextMenu.Item className={MENU_ITEM} onSelect={() => set({ like: under, by: 'style', sel: under })}>
                What is made like it
              </ContextMenu.Item>
            </>
          )}
          <ContextMenu.Separator className="my-1 h-px bg-line" />
          <IntoCollections ids={ids} />
          <ContextMenu.Separator className="my-1 h-px bg-line" />
          <IntoSheets ids={ids} />
          <ContextMenu.Separator className="my-1 h-px bg-line" />
          <ContextMenu.Item
            className={MENU_ITEM}
            onSelect={() =>
              changeMany.mutate({
                ids,
                change: { away: !away },
                says: `${ids.length === 1 ? 'A picture was' : `${ids.length} pictures were`} ${away ? 'brought back' : 'archived'}.`,
              })
            }
          >
            {away ? 'Bring back' : 'Archive'}
          </ContextMenu.Item>
        </ContextMenu.Content>
      </ContextMenu.Portal>
    </ContextMenu.Root>
  );
}
