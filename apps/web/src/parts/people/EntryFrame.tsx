import type { FormEvent, ReactNode } from 'react';
import { StudioSign } from '../StudioSign';

interface Props {
  readonly title: string;
  /** What went wrong, if anything. */
  readonly fault: string | undefined;
  readonly onSubmit: () => void;
  readonly children: ReactNode;
}

/** A form by which somebody comes in: a card in the middle of the page, under the studio's sign. */
export function EntryFrame({ title, fault, onSubmit, children }: Props) {
  const submit = (e: FormEvent) => {
    e.preventDefault();
    onSubmit();
  };
  return (
    <div className="flex w-[380px] max-w-[94vw] flex-col gap-5">
      <div className="flex items-center gap-3">
        <StudioSign size={34} />
        <h1 className="font-title text-2xl font-semibold">{title}</h1>
      </div>
      <form onSubmit={submit} className="flex flex-col gap-4 rounded-2xl border border-line bg-card p-5">
        {fault && (
          <p role="alert" className="rounded-lg bg-blush px-3 py-2">
            {fault}
          </p>
        )}
        {children}
      </form>
    </div>
  );
}

interface FieldProps {
  readonly label: string;
  readonly hint?: string;
  readonly value: string;
  readonly secret?: boolean;
  /** What a browser may fill in (WHATWG HTML, autocomplete). */
  readonly fills: string;
  readonly autoFocus?: boolean;
  readonly onChange: (text: string) => void;
}

/** One line of such a form. */
export function EntryField({ label, hint, value, secret, fills, autoFocus, onChange }: FieldProps) {
  return (
    <label className="flex flex-col gap-1">
      <span className="text-sm font-semibold text-muted">{label}</span>
      <input
        required
        autoFocus={autoFocus}
        type={secret ? 'password' : 'text'}
        autoComplete={fills}
        autoCapitalize="none"
        spellCheck={false}
        value={value}
        maxLength={secret ? 200 : 60}
        onChange={(e) => onChange(e.target.value)}
        className="rounded-lg border border-edge bg-paper px-2.5 py-2"
      />
      {hint && <span className="text-sm text-muted">{hint}</span>}
    </label>
  );
}
