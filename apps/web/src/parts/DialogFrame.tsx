import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  /** Place, size and layout of the window. */
  readonly className: string;
  readonly onClose: () => void;
  /** Has a `Dialog.Title`. */
  readonly children: ReactNode;
}

/** A window over the page that holds the focus until it is closed. */
export function DialogFrame({ className, onClose, children }: Props) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-scrim/40" />
        <Dialog.Content aria-describedby={undefined} className={className}>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
