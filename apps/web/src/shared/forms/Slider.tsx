import { useRef, useState, type ChangeEvent, type KeyboardEvent } from 'react';

interface Props {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly className?: string;
  /** A new value: at every key, and at the end of a drag. */
  readonly onSave: (value: number) => void;
  readonly onKeyDown?: (e: KeyboardEvent<HTMLInputElement>) => void;
}

/**
 * A slider that shows what the hand does at once and loses no key: it stays the same element while its value is saved, and a value that
 * comes from elsewhere is shown as soon as it comes.
 */
export function Slider({ label, value, min, max, step, className = '', onSave, onKeyDown }: Props) {
  const [own, setOwn] = useState<{ readonly value: number; readonly against: number } | undefined>(undefined);
  const dragging = useRef(false);
  const onChange = (e: ChangeEvent<HTMLInputElement>) => {
    const next = Number(e.target.value);
    setOwn({ value: next, against: value });
    if (!dragging.current) onSave(next);
  };
  const letGo = () => {
    if (dragging.current && own) onSave(own.value);
    dragging.current = false;
  };
  return (
    <input
      type="range"
      aria-label={label}
      min={min}
      max={max}
      step={step}
      value={own?.against === value ? own.value : value}
      onPointerDown={() => (dragging.current = true)}
      onPointerUp={letGo}
      onPointerCancel={letGo}
      onBlur={letGo}
      onChange={onChange}
      onKeyDown={onKeyDown}
      className={className}
    />
  );
}
