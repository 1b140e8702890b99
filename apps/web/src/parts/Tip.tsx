import { Tooltip } from 'radix-ui';
import type { ReactNode } from 'react';

/** A tooltip for an icon or a short label. */
export function Tip({
  text,
  picture,
  children,
  side = 'bottom',
}: {
  text: string;
  /** What is shown under the text, in its own width. */
  picture?: ReactNode;
  children: ReactNode;
  side?: 'top' | 'bottom' | 'left' | 'right';
}) {
  return (
    <Tooltip.Root delayDuration={350}>
      <Tooltip.Trigger asChild>{children}</Tooltip.Trigger>
      <Tooltip.Portal>
        <Tooltip.Content
          side={side}
          sideOffset={6}
          collisionPadding={12}
          className={`z-50 rounded-md bg-ink text-sm text-paper shadow-lg ${picture ? 'max-w-[40rem] px-3 py-2' : 'max-w-64 px-2 py-1'}`}
        >
          {text}
          {picture && <div className="mt-1.5">{picture}</div>}
        </Tooltip.Content>
      </Tooltip.Portal>
    </Tooltip.Root>
  );
}
