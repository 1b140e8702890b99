import type { ComponentProps, ReactNode } from 'react';

/** Settings that belong together, under what they say. */
export function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm text-muted">{title}</legend>
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
