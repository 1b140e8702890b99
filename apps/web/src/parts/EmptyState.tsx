import type { ReactNode } from 'react';

/** Says what a place is for and offers the one next step. */
export function EmptyState({
  title,
  children,
  action,
  dark = false,
}: {
  title: string;
  children: ReactNode;
  action?: ReactNode;
  dark?: boolean;
}) {
  return (
    <div
      className={`grid h-full place-content-center justify-items-center gap-3 p-8 text-center ${dark ? 'text-white' : 'text-ink'}`}
    >
      <h2 className="font-title text-2xl">{title}</h2>
      <p className="max-w-md">{children}</p>
      {action}
    </div>
  );
}
