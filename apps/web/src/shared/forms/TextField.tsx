import { useState, type ChangeEvent, type KeyboardEvent } from 'react';

interface Props {
  readonly label: string;
  readonly value: string;
  /** Characters at most. */
  readonly most: number;
  /** Lines of a longer text; one line without. */
  readonly rows?: number;
  readonly numeric?: boolean;
  readonly placeholder?: string;
  readonly className?: string;
  /** The text at every key: whoever saves it waits for the typing to rest. */
  readonly onSave: (text: string) => void;
  readonly onKeyDown?: (e: KeyboardEvent<HTMLElement>) => void;
}

/** A text that is saved while it is typed. What comes from elsewhere is shown when nobody types in it. */
export function TextField({ label, value, most, rows, numeric, placeholder, className, onSave, onKeyDown }: Props) {
  const [text, setText] = useState<string | undefined>(undefined);
  const shared = {
    'aria-label': label,
    value: text ?? value,
    maxLength: most,
    placeholder,
    className,
    onKeyDown,
    onBlur: () => setText(undefined),
    onChange: (e: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => {
      setText(e.target.value);
      onSave(e.target.value);
    },
  };
  return rows ? (
    <textarea {...shared} rows={rows} />
  ) : (
    <input {...shared} inputMode={numeric ? 'numeric' : undefined} />
  );
}
