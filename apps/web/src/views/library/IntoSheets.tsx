import { ContextMenu } from 'radix-ui';
import { useNavigate } from 'react-router';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';
import { useAct, useCast, useChangeCharacter, useChangeLook, useLooks } from '../../api/sheets';

/** How a line of a menu looks. */
export const MENU_ITEM = 'cursor-default rounded-md px-3 py-1.5 outline-none data-highlighted:bg-shade';
/** Sheets that a menu lists. */
const LISTED = 8;
/** Pictures of a sheet at most. */
const MOST = 40;

/** Puts pictures into looks and onto the sheets of the cast. */
export function IntoSheets({ ids }: { ids: readonly string[] }) {
  const { data: looks } = useLooks();
  const { data: cast } = useCast();
  const changeLook = useChangeLook();
  const changeCharacter = useChangeCharacter();
  const go = useNavigate();
  const makeLook = useAct(keys.looks, (items: { referenceId: string; weight: number }[]) =>
    ask(api.POST('/api/v1/looks', { body: { name: 'New look', items } })),
  );
  const makeCharacter = useAct(keys.cast, (items: { referenceId: string }[]) =>
    ask(api.POST('/api/v1/cast', { body: { name: unused('Somebody', cast ?? []), items } })),
  );
  const weighed = (some: readonly string[]) => some.map((referenceId) => ({ referenceId, weight: 1 }));
  const begin = () => makeLook(weighed(ids.slice(0, MOST))).then((look) => look && void go(`/looks/${look.id}`));
  const beginSheet = () =>
    makeCharacter(ids.slice(0, MOST).map((referenceId) => ({ referenceId }))).then(
      (c) => c && void go(`/cast/${c.id}`),
    );
  return (
    <>
      {looks?.slice(0, LISTED).map((l) => (
        <ContextMenu.Item
          key={l.id}
          className={MENU_ITEM}
          onSelect={() =>
            changeLook.mutate({ item: l, change: { items: [...l.items, ...weighed(missing(ids, l))].slice(0, MOST) } })
          }
        >
          Into the look {l.name}
        </ContextMenu.Item>
      ))}
      <ContextMenu.Item className={MENU_ITEM} onSelect={() => void begin()}>
        Make a look of {ids.length === 1 ? 'it' : `these ${ids.length}`}
      </ContextMenu.Item>
      {cast?.slice(0, LISTED).map((c) => (
        <ContextMenu.Item
          key={c.id}
          className={MENU_ITEM}
          onSelect={() => {
            const more = missing(ids, c).map((referenceId) => ({ referenceId }));
            changeCharacter.mutate({ item: c, change: { items: [...c.items, ...more].slice(0, MOST) } });
          }}
        >
          Onto the sheet of {c.name}
        </ContextMenu.Item>
      ))}
      <ContextMenu.Item className={MENU_ITEM} onSelect={() => void beginSheet()}>
        Make a character of {ids.length === 1 ? 'it' : `these ${ids.length}`}
      </ContextMenu.Item>
    </>
  );
}

/** A name that nobody of the cast has: two of one name could not be told apart in words. */
function unused(name: string, cast: readonly { readonly name: string }[]): string {
  const taken = (one: string) => cast.some((c) => c.name.toLowerCase() === one.toLowerCase());
  for (let n = 1; ; n++) {
    const one = n === 1 ? name : `${name} ${n}`;
    if (!taken(one)) return one;
  }
}

/** Pictures that a sheet has not yet. */
function missing(ids: readonly string[], sheet: { readonly items: readonly { referenceId: string }[] }): string[] {
  const have = new Set(sheet.items.map((i) => i.referenceId));
  return ids.filter((id) => !have.has(id));
}
