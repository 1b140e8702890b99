import type { ReactNode } from 'react';

/** Says what a place is for and offers the one next step. */
export function EmptyState({
  title,
  children,
  action,
  dark = false,
  whole = false,
}: {
  title: string;
  children: ReactNode;
  action?: ReactNode;
  dark?: boolean;
  /** Whether nothing but this is shown, so that it has the heading of the view. */
  whole?: boolean;
}) {
  const Heading = whole ? 'h1' : 'h2';
  return (
    <div
      className={`grid h-full place-content-center justify-items-center gap-3 p-8 text-center ${dark ? 'text-caption' : 'text-ink'}`}
    >
      <Heading className="font-title text-2xl">{title}</Heading>
      <p className="max-w-md">{children}</p>
      {action}
    </div>
  );
}
