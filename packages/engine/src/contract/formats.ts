/** What docs/formats/ says of render requests, as far as it follows from the declarations. */
import { GIVES, give, INFLUENCE_SETTINGS, SETTINGS, type AnySetting, type Form } from '@urbild/core';
import { REQUEST_SCHEMA } from './schema';

/** Marks in a document between which a table is written. */
const marks = (name: string): [string, string] => [
  `<!-- ${name}: made by npm run formats -->`,
  `<!-- end of ${name} -->`,
];

const values = (form: Form): string => {
  switch (form.kind) {
    case 'number':
      return `${form.low}..${form.high}`;
    case 'whole':
      return `whole, ${form.low}..${form.high}`;
    case 'choice':
    case 'choices':
      return form.values.map((v) => `\`${v}\``).join(', ');
    case 'flag':
      return 'true or false';
    case 'text':
      return `text of at most ${form.longest} characters`;
    default:
      return 'see below';
  }
};

const usually = ({ usual, form }: AnySetting): string => {
  if (usual === undefined || form.kind === 'parts' || form.kind === 'ids') return 'none';
  return form.kind === 'choice' ? `\`${String(usual)}\`` : String(usual);
};

const rows = (settings: Readonly<Record<string, AnySetting>>): string[][] =>
  Object.entries(settings)
    .filter(([, s]) => s.request !== 'otherwise')
    .map(([name, s]) => [`\`${name}\``, s.says, values(s.form), usually(s)]);

const TABLES: Readonly<Record<string, readonly (readonly string[])[]>> = {
  settings: [['field', 'what', 'values', 'when absent'], ...rows(SETTINGS)],
  influences: [['field', 'what', 'values', 'when absent'], ...rows(INFLUENCE_SETTINGS)],
  gives: [
    ['gives', 'what', 'channels', 'facts of a picture'],
    ...GIVES.map((name) => {
      const { says, factors, facts } = give(name);
      const channels = Object.entries(factors).map(([channel, factor]) => `${channel} ${factor}`);
      return [`\`${name}\``, says, channels.join(', '), facts.map((f) => `\`${f}\``).join(', ') || 'none'];
    }),
  ],
};

const tableOf = ([head, ...body]: readonly (readonly string[])[]): string =>
  [head, head.map(() => '---'), ...body].map((cells) => `| ${cells.join(' | ')} |`).join('\n');

/** A document with its tables written anew. Throws where one has no marks. */
export function withTables(document: string): string {
  return Object.entries(TABLES).reduce((text, [name, table]) => {
    const [begin, end] = marks(name);
    const [from, to] = [text.indexOf(begin), text.indexOf(end)];
    if (from < 0 || to < from) throw new Error(`The document has no place for the table of ${name}`);
    return `${text.slice(0, from + begin.length)}\n\n${tableOf(table)}\n\n${text.slice(to)}`;
  }, document);
}

/** The schema as it is written. */
export const schemaText = (): string => `${JSON.stringify(REQUEST_SCHEMA, null, 2)}\n`;
