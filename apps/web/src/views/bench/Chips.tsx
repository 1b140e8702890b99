import type { ComponentProps, ReactNode } from 'react';
import { Tip } from '../../parts/Tip';
import { ShownStrip } from '../../shared/shown/ShownStrip';

interface GroupProps {
  readonly title: string;
  /** A sentence on what they do, and the name under which it is shown in pictures. */
  readonly tip?: { readonly says: string; readonly shown: string };
  readonly children: ReactNode;
}

/** Settings that belong together, under what they say. */
export function Group({ title, tip, children }: GroupProps) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm text-muted">
        {tip ? (
          <Tip text={tip.says} picture={<ShownStrip name={tip.shown} />} side="left">
            <span>{title}</span>
          </Tip>
        ) : (
          title
        )}
      </legend>
      <div className="flex flex-wrap items-center gap-1.5">{children}</div>
    </fieldset>
  );
}

/** One of several settings, as a button that stays pressed. */
export function Chip({ chosen, ...button }: { readonly chosen: boolean } & ComponentProps<'button'>) {
  return (
    <button
      type="button"
      aria-pressed={chosen}
      className={`rounded-full border px-2.5 py-0.5 text-sm ${chosen ? 'border-ink bg-ink text-paper' : 'border-line hover:border-edge'}`}
      {...button}
    />
  );
}
