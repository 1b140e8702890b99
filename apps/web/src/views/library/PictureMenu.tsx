import { ContextMenu } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, type Reference } from '../../api/client';
import { keys } from '../../api/keys';
import { useChangeMany } from '../../api/references';
import { useAct, useCast, useChangeCharacter, useChangeLook, useLooks } from '../../api/sheets';
import { useLibraryState } from './useLibraryState';
import { useWeigh } from '../../shared/mix/useWeigh';

const item = 'cursor-default rounded-md px-3 py-1.5 outline-none data-highlighted:bg-shade';

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
  const { data: looks } = useLooks();
  const { data: cast } = useCast();
  const changeMany = useChangeMany();
  const changeLook = useChangeLook();
  const changeCharacter = useChangeCharacter();
  const weigh = useWeigh();
  const go = useNavigate();
  const makeLook = useAct(keys.looks, (items: { referenceId: string; weight: number }[]) =>
    ask(api.POST('/api/v1/looks', { body: { name: 'New look', items } })),
  );
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
          <ContextMenu.Item className={item} onSelect={() => void weigh(ids)}>
            Weigh on the bench
          </ContextMenu.Item>
          {under && (
            <>
              <ContextMenu.Item className={item} onSelect={() => onLarge(under)}>
                Look at it large
              </ContextMenu.Item>
              <ContextMenu.Item className={item} onSelect={() => set({ like: under, by: 'content', sel: under })}>
                What is like it
              </ContextMenu.Item>
              <ContextMenu.Item className={item} onSelect={() => set({ like: under, by: 'style', sel: under })}>
                What is made like it
              </ContextMenu.Item>
            </>
          )}
          <ContextMenu.Separator className="my-1 h-px bg-line" />
          {looks?.slice(0, 8).map((l) => (
            <ContextMenu.Item
              key={l.id}
              className={item}
              onSelect={() => {
                const have = new Set(l.items.map((i) => i.referenceId));
                const more = ids.filter((id) => !have.has(id)).map((referenceId) => ({ referenceId, weight: 1 }));
                changeLook.mutate({ item: l, change: { items: [...l.items, ...more].slice(0, 40) } });
              }}
            >
              Into the look {l.name}
            </ContextMenu.Item>
          ))}
          <ContextMenu.Item
            className={item}
            onSelect={() =>
              void makeLook(ids.slice(0, 40).map((referenceId) => ({ referenceId, weight: 1 }))).then(
                (look) => look && void go(`/looks/${look.id}`),
              )
            }
          >
            Make a look of {ids.length === 1 ? 'it' : `these ${ids.length}`}
          </ContextMenu.Item>
          {cast?.slice(0, 8).map((c) => (
            <ContextMenu.Item
              key={c.id}
              className={item}
              onSelect={() => {
                const have = new Set(c.items.map((i) => i.referenceId));
                const more = ids
                  .filter((id) => !have.has(id))
                  .map((referenceId) => ({ referenceId, slot: 'front' as const }));
                changeCharacter.mutate({ item: c, change: { items: [...c.items, ...more].slice(0, 40) } });
              }}
            >
              Onto the sheet of {c.name}
            </ContextMenu.Item>
          ))}
          <ContextMenu.Separator className="my-1 h-px bg-line" />
          <ContextMenu.Item
            className={item}
            onSelect={() =>
              changeMany.mutate({
                ids,
                change: { away: !away },
                says: `${ids.length === 1 ? 'A picture was' : `${ids.length} pictures were`} ${away ? 'brought back' : 'put away'}.`,
              })
            }
          >
            {away ? 'Bring back' : 'Put away'}
          </ContextMenu.Item>
        </ContextMenu.Content>
      </ContextMenu.Portal>
    </ContextMenu.Root>
  );
}
