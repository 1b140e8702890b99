import { useState } from 'react';
import { round } from './figures';

interface NumberFieldProps {
  readonly label: string;
  readonly value: number;
  readonly min?: number;
  readonly max: number;
  readonly step: number;
  readonly digits: number;
  readonly className?: string;
  readonly onSave: (value: number) => void;
}

/** A typed number: taken over on Enter or when the field is left, if it makes sense. */
export function NumberField({ label, value, min = 0, max, step, digits, className = '', onSave }: NumberFieldProps) {
  const [text, setText] = useState<string | undefined>(undefined);
  const save = () => {
    const number = Number(text?.replace(',', '.'));
    if (text !== undefined && text.trim() !== '' && number >= min && number <= max)
      onSave(round(number, Math.max(digits, 2)));
    setText(undefined);
  };
  return (
    <input
      aria-label={label}
      inputMode="decimal"
      value={text ?? value.toFixed(digits)}
      onFocus={(e) => e.currentTarget.select()}
      onChange={(e) => setText(e.target.value)}
      onBlur={save}
      onKeyDown={(e) => {
        if (e.key === 'Enter') save();
        if (e.key === 'Escape') setText(undefined);
        if (e.key === 'ArrowUp' || e.key === 'ArrowDown') {
          e.preventDefault();
          const next = value + (e.key === 'ArrowUp' ? 1 : -1) * (e.shiftKey ? step / 5 : step);
          setText(undefined);
          onSave(round(Math.min(max, Math.max(min, next)), Math.max(digits, 2)));
        }
        e.stopPropagation();
      }}
      className={`figures rounded bg-transparent py-0.5 hover:bg-shade focus:bg-card ${className}`}
    />
  );
}
