import { STRANGERS, type TraitSheet } from '@urbild/core';
import type { RequestInfluence } from '../contract/request';

/** Colours that a drawing of one ink, say, does not tell. */
const COLOURS = ['skin', 'hair', 'eyes', 'upper'] as const;
/** What is read with less confidence is not known. */
const KNOWN = 0.12;

/** A number of a text that is the same everywhere (FNV-1a, 32 bits). */
function hashOf(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}

/** How far made-up colours are those of somebody when a picture is compared with them: words may have changed them. */
const BELIEVED = 0.6;

/**
 * Colours of somebody of whom forms are known and colours are not: made up once for each character, so that they are the same in every
 * picture of them. Empty where nothing of a person is known, or all is.
 */
export function imaginedColours({ subject, pictures }: RequestInfluence, sheet: TraitSheet): TraitSheet {
  if (!sheet['hair style'] && !sheet.beard && !sheet['face shape']) return {};
  const wanted = COLOURS.filter((name) => !((sheet[name]?.confidence ?? 0) > KNOWN));
  if (!wanted.length) return {};
  const stranger = STRANGERS[hashOf(subject ?? pictures[0]?.content ?? '') % STRANGERS.length];
  return Object.fromEntries(wanted.flatMap((name) => (stranger[name] ? [[name, stranger[name]]] : [])));
}

/** What somebody looks like in this studio: what is known of them, and the colours that were made up where nothing is. */
export function asDrawn(influence: RequestInfluence, sheet: TraitSheet): TraitSheet {
  const imagined = Object.entries(imaginedColours(influence, sheet)).map(([name, trait]) => [
    name,
    { ...trait, confidence: BELIEVED * trait.confidence },
  ]);
  return { ...sheet, ...(Object.fromEntries(imagined) as TraitSheet) };
}
