import { Dialog } from 'radix-ui';
import type { ComponentProps } from 'react';
import { DialogFrame } from '../../parts/DialogFrame';
import { MixCards } from './MixCards';

interface Props extends ComponentProps<typeof MixCards> {
  readonly title: string;
  readonly onClose: () => void;
}

/** A window to choose a mix in by its picture. */
export function MixDialog({ title, onClose, ...cards }: Props) {
  return (
    <DialogFrame
      onClose={onClose}
      className="fixed top-1/2 left-1/2 z-50 flex max-h-[84vh] w-[46rem] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 flex-col gap-3 rounded-2xl bg-paper p-5 shadow-2xl"
    >
      <Dialog.Title className="font-title text-2xl">{title}</Dialog.Title>
      <MixCards {...cards} />
    </DialogFrame>
  );
}
