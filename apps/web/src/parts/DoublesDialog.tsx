import { Dialog } from 'radix-ui';
import { Button } from './Button';
import { useImports, type ImportFile } from './imports';

/** New pictures beside those that they seem to be: keep both, replace, or skip. */
export function DoublesDialog({
  open,
  onClose,
  questions,
}: {
  open: boolean;
  onClose: () => void;
  questions: readonly ImportFile[];
}) {
  const { decide } = useImports();
  const same = questions.filter((q) => q.twinIs === 'the same file');
  return (
    <Dialog.Root open={open} onOpenChange={(o) => !o && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-scrim/50" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 flex max-h-[88vh] w-[min(56rem,92vw)] -translate-x-1/2 -translate-y-1/2 flex-col rounded-2xl border border-line bg-paper shadow-2xl">
          <header className="flex items-center gap-3 border-b border-line px-6 py-4">
            <Dialog.Title className="flex-1 font-title text-xl font-semibold">Possible duplicates</Dialog.Title>
            {same.length > 1 && (
              <Button
                onClick={() =>
                  void decide(
                    same.map((q) => q.id),
                    'skip',
                  )
                }
              >
                Skip the {same.length} equal files
              </Button>
            )}
            <Dialog.Close asChild>
              <Button look="plain">Later</Button>
            </Dialog.Close>
          </header>
          <Dialog.Description className="sr-only">
            Each new picture stands beside the one in the library that it is like.
          </Dialog.Description>
          <ul className="min-h-0 overflow-auto">
            {questions.map((q) => (
              <li key={q.id} className="grid grid-cols-[1fr_1fr_11rem] gap-4 border-b border-line px-6 py-4">
                <Side picture={q.fileUrl} title={q.name} caption="new" />
                <Side picture={q.twin?.sourceUrl} title={q.twin?.title ?? ''} caption="in the library" />
                <div className="flex flex-col justify-center gap-2">
                  <p className="text-sm text-muted">
                    {q.twinIs === 'the same file' ? 'The same file.' : 'Nearly the same.'}
                  </p>
                  <Button onClick={() => void decide([q.id], 'skip')}>Skip the new one</Button>
                  <Button onClick={() => void decide([q.id], 'keep both')}>Keep both</Button>
                  <Button onClick={() => void decide([q.id], 'replace')}>Replace by the new one</Button>
                </div>
              </li>
            ))}
          </ul>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Side({ picture, title, caption }: { picture: string | undefined; title: string; caption: string }) {
  return (
    <figure className="min-w-0">
      <img src={picture} alt={`${title}, ${caption}`} className="h-44 w-full bg-booth object-contain" />
      <figcaption className="mt-1 truncate text-sm">
        <span className="text-muted">{caption}:</span> {title}
      </figcaption>
    </figure>
  );
}
