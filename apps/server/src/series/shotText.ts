import { MAX_PROMPT_LENGTH, titleOf } from '@urbild/core';
import { parse } from 'csv-parse/sync';
import { Problem } from '../platform/problems/problem';
import { MOST_SHOTS, type NewShotDto } from './series.dto';

const PROMPT = ['prompt', 'words', 'description', 'text', 'shot'];
const COLUMNS: Readonly<Record<'title' | 'prompt' | 'notes' | 'seed', readonly string[]>> = {
  title: ['title', 'name', 'shot title', 'page'],
  prompt: PROMPT,
  notes: ['notes', 'note', 'remarks'],
  seed: ['seed'],
};
/** "The bag is full: Ilse walking ..." - a short title before the first colon. */
const TITLED = /^(?:\d+[.)]\s+)?([^:]{1,60}):\s+(\S.*)$/;
const NUMBERED = /^(?:\d+[.)]|[-*•])\s+/;

/**
 * Shots from text: CSV (comma, semicolon or tab) when its first line names a column of words, else a prompt a line. Empty lines are
 * passed over. Throws a {@link Problem} that names the line which cannot be used.
 */
export function shotsOfText(text: string): NewShotDto[] {
  const lines = text.replace(/^\uFEFF/, '').split(/\r?\n/);
  const delimiter = [',', ';', '\t'].find((d) => namesPrompt(lines[0], d));
  const shots = delimiter ? fromTable(text, delimiter) : fromLines(lines);
  if (!shots.length) throw refused('There is no prompt in this text. Write one a line.');
  if (shots.length > MOST_SHOTS) throw refused(`A series has at most ${MOST_SHOTS} shots; these are ${shots.length}.`);
  return shots;
}

const refused = (message: string) => Problem.invalid([{ field: 'text', message }]);

const cells = (line: string, delimiter: string) =>
  line.split(delimiter).map((c) => c.trim().replace(/^"|"$/g, '').toLowerCase());

const namesPrompt = (head: string, delimiter: string): boolean => {
  const names = cells(head, delimiter);
  return names.length > 1 && names.some((n) => PROMPT.includes(n));
};

function fromTable(text: string, delimiter: string): NewShotDto[] {
  let rows: Record<string, string>[];
  try {
    rows = parse(text, {
      bom: true,
      delimiter,
      trim: true,
      skip_empty_lines: true,
      relax_column_count: true,
      columns: (head: string[]) => head.map((h) => h.trim().toLowerCase()),
    });
  } catch (error) {
    throw refused(`This table cannot be read: ${(error as Error).message}`);
  }
  const cell = (row: Record<string, string>, column: keyof typeof COLUMNS) =>
    COLUMNS[column]
      .map((name) => row[name])
      .find((v) => v?.trim())
      ?.trim();
  return rows.flatMap((row, k) => {
    const prompt = cell(row, 'prompt');
    if (!prompt) return [];
    const seed = cell(row, 'seed');
    if (seed !== undefined && !(Number.isInteger(Number(seed)) && Number(seed) >= 0 && Number(seed) <= 0xffffffff))
      throw refused(`Row ${k + 2}: the seed "${seed}" is no whole number from 0 to 4294967295.`);
    return [shot(prompt, cell(row, 'title'), k + 2, cell(row, 'notes'), seed === undefined ? undefined : Number(seed))];
  });
}

const fromLines = (lines: readonly string[]): NewShotDto[] =>
  lines.flatMap((line, k) => {
    const plain = line.trim();
    if (!plain) return [];
    const titled = TITLED.exec(plain);
    return [titled ? shot(titled[2], titled[1], k + 1) : shot(plain.replace(NUMBERED, ''), undefined, k + 1)];
  });

function shot(prompt: string, title: string | undefined, line: number, notes?: string, seed?: number): NewShotDto {
  if (prompt.length > MAX_PROMPT_LENGTH)
    throw refused(`Line ${line} has ${prompt.length} characters; a prompt has at most ${MAX_PROMPT_LENGTH}.`);
  return { title: (title ?? titleOf(prompt, 120)).slice(0, 120), prompt, notes: notes?.slice(0, 4000), seed };
}
