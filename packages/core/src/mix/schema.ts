import type { AnySetting } from './setting';

/** Plain JSON Schema, draft 2020-12. */
export type JsonSchema = Readonly<Record<string, unknown>>;

/** The JSON Schema of the values of a declared setting. Throws for one that is made of parts: its own file describes it. */
export function schemaOf({ form, usual, says }: AnySetting): JsonSchema {
  const more = { $comment: says, ...(usual === undefined ? {} : { default: usual as unknown }) };
  switch (form.kind) {
    case 'number':
      return { type: 'number', minimum: form.low, maximum: form.high, ...more };
    case 'whole':
      return { type: 'integer', minimum: form.low, maximum: form.high, ...more };
    case 'choice':
      return { enum: [...form.values], ...more };
    case 'choices':
      return { type: 'array', maxItems: form.values.length, items: { enum: [...form.values] }, ...more };
    case 'flag':
      return { type: 'boolean', ...more };
    case 'text':
      return { type: 'string', maxLength: form.longest, ...more };
    case 'ids':
      return { type: 'array', maxItems: form.most, items: { type: 'string', maxLength: 60 }, ...more };
    case 'parts':
      throw new TypeError('A setting that is made of parts has a schema of its own');
  }
}
