import { nameOf, peopleOf, type KnownName, type PersonBrief, type SceneBrief, type TextSpan } from './brief';
import { understand } from './understand';

/** What joins a stretch of words to what stands before it, and goes with it. */
const JOINT = /[\s,]*(?:\b(?:with|and|in|wearing|of|a|an|the|her|his|their)\b[\s,]*)*$/i;

/** A prompt without some stretches and without what joined them to the rest. */
export function withoutWords(prompt: string, spans: readonly TextSpan[]): string {
  let out = prompt;
  for (const { start, end } of [...spans].sort((a, b) => b.start - a.start)) {
    const before = out.slice(0, start).replace(JOINT, '');
    const after = out.slice(end);
    out = before + (before && /^[\w]/.test(after.trimStart()) ? ' ' + after.trimStart() : after);
  }
  return out
    .replace(/^[\s,]*(?:of\b\s*)?/i, '')
    .replace(/\s+,/g, ',')
    .replace(/(?:,\s*){2,}/g, ', ')
    .replace(/\s{2,}/g, ' ')
    .replace(/[\s,]+$/, '');
}

const spansOf = (brief: SceneBrief, ...means: readonly string[]): TextSpan[] =>
  brief.understood.filter((u) => means.some((m) => u.means.startsWith(m)));

/** The same words with their people nearer: as a half figure, and not far away. */
export function nearer(prompt: string): string {
  const brief = understand(prompt);
  const left = withoutWords(prompt, spansOf(brief, 'framing:', 'distance: far', 'size: small'));
  return `half figure of ${left}`;
}

/** The same words with their people turned to the viewer. */
export function facing(prompt: string): string {
  const left = withoutWords(prompt, spansOf(understand(prompt), 'view:'));
  return `${left}, three-quarter view`;
}

/** The stretches of a prompt that name a medium. */
export const mediumWords = (prompt: string): TextSpan[] => spansOf(understand(prompt), 'medium:');

/** The person of a brief that a subject's identity goes to: the one of its name, else the first whom the words do not name. */
export function personFor(brief: SceneBrief, subject: string | undefined): PersonBrief | undefined {
  const people = peopleOf(brief);
  return (
    people.find((p) => subject !== undefined && nameOf(p) === subject) ??
    people.find((p) => nameOf(p) === undefined) ??
    (subject === undefined ? people[0] : undefined)
  );
}

/** Reads a prompt as the studio does that knows these names. */
export const briefOf = (prompt: string, names: readonly KnownName[] = []): SceneBrief => understand(prompt, '', names);
