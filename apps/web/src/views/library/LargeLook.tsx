import { Dialog } from 'radix-ui';
import { useReferencesById } from '../../api/references';

/** One picture as large as the window; arrows go on to the next, space and Escape close. */
export function LargeLook({
  id,
  ids,
  onGo,
}: {
  id: string | undefined;
  ids: readonly string[];
  onGo: (id: string | undefined) => void;
}) {
  const reference = useReferencesById(id ? [id] : []).get(id ?? '');
  const at = id ? ids.indexOf(id) : -1;
  return (
    <Dialog.Root open={!!id} onOpenChange={(open) => !open && onGo(undefined)}>
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-0 z-50 grid grid-rows-[minmax(0,1fr)_auto] bg-booth p-6"
          onKeyDown={(e) => {
            if (e.key === ' ') onGo(undefined);
            else if (e.key === 'ArrowRight' && ids[at + 1]) onGo(ids[at + 1]);
            else if (e.key === 'ArrowLeft' && ids[at - 1]) onGo(ids[at - 1]);
            else return;
            e.preventDefault();
          }}
          onClick={() => onGo(undefined)}
        >
          {reference && <img src={reference.sourceUrl} alt={reference.alt} className="h-full w-full object-contain" />}
          <Dialog.Title className="pt-3 text-center font-title text-xl text-caption">
            {reference?.title ?? 'Picture'}
          </Dialog.Title>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
