/** Fields as a person would call them. */
const FIELDS: Readonly<Record<string, string>> = {
  influences: '',
  items: '',
  own: 'own settings',
  from: 'start of the span',
  to: 'end of the span',
  on: 'switch',
  referenceId: 'reference',
  isDefault: 'default',
  usualWeight: 'usual weight',
  mixVersion: 'version of the mix',
};

/** What a conflict is about, in words: “weight of Ilse”. */
export function wordsFor(path: readonly string[], nameOf: (id: string) => string | undefined): string {
  const [last, ...rest] = [...path].reverse();
  const field = FIELDS[last] ?? nameOf(last) ?? last;
  const owner = rest.map((part) => nameOf(part)).find((name) => name !== undefined);
  return owner ? `${field} of ${owner}` : field;
}

/** A value as a person would read it. */
export function valueText(value: unknown): string {
  if (value === undefined || value === null) return 'removed';
  if (typeof value === 'number') return String(Math.round(value * 100) / 100);
  if (typeof value === 'boolean') return value ? 'on' : 'off';
  if (typeof value === 'string')
    return value === '' ? 'empty' : `“${value.length > 60 ? `${value.slice(0, 59)}…` : value}”`;
  return 'changed';
}
