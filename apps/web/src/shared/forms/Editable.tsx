import { TextField } from './TextField';

/** A text that is saved while it is typed. What comes from elsewhere is shown when nobody types in it. */
export function Editable({
  label,
  value,
  long = false,
  className = '',
  onSave,
}: {
  label: string;
  value: string;
  long?: boolean;
  className?: string;
  onSave: (value: string) => void;
}) {
  const plain = `w-full rounded-md border border-transparent bg-transparent px-1 py-0.5 hover:border-line focus:bg-card ${className}`;
  const save = (text: string) => onSave(text.trim());
  return long ? (
    <label className="block">
      <span className="mb-1 block text-sm font-semibold text-muted">{label}</span>
      <TextField
        label={label}
        value={value}
        rows={2}
        most={5000}
        placeholder="What to remember about it"
        className={`${plain} resize-none border-line`}
        onSave={save}
      />
    </label>
  ) : (
    <TextField
      label={label}
      value={value}
      most={200}
      className={plain}
      onSave={save}
      onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
    />
  );
}
