import type { CastName } from './brief';
import type { EntityDraft } from './draft';
import { GRAMMAR } from './english/grammar';
import { lookUp, type Axis } from './lexicon';
import type { Token } from './tokens';

/** Words that stand for somebody or something named before. */
const PRONOUNS = ['her', 'him', 'it', 'them'] as const;
type Pronoun = (typeof PRONOUNS)[number];

/** Of the cast's own names, who is a woman and who a man. */
const SEXES: Readonly<Partial<Record<CastName, EntityDraft['sex']>>> = { Ilse: 'woman', Tove: 'woman', Marek: 'man' };
const sexOf = ({ sex, cast }: EntityDraft) => sex ?? (cast && SEXES[cast]);

const FITS: Readonly<Record<Pronoun, (e: EntityDraft) => boolean>> = {
  her: (e) => e.kind === 'person' && e.count === 1 && sexOf(e) !== 'man',
  him: (e) => e.kind === 'person' && e.count === 1 && sexOf(e) !== 'woman',
  it: (e) => e.kind !== 'person' && e.count === 1,
  them: () => true,
};

/** Axes of what may belong to somebody: "her" before one of them says whose it is. */
const OWNED: readonly Axis[] = [
  ...(['garment', 'outfit', 'feature', 'thing', 'creature', 'hand', 'place'] as const),
  ...(['colour', 'shade', 'pattern', 'hair colour', 'size', 'age', 'build'] as const),
];

/** "her coat" says whose it is, "beside her" points to somebody. */
function isPossessive(tokens: readonly Token[], at: number): boolean {
  const next = tokens[at + 1];
  if (tokens[at].word !== 'her' || !next || next.mark) return false;
  const found = lookUp(tokens, at + 1);
  return found ? found.meanings.some((m) => OWNED.includes(m.axis)) : !GRAMMAR.has(next.word);
}

/**
 * Whom a pronoun at token `at` stands for: the last of those named before who can be meant; nobody where the word is no pronoun, or says whose
 * something is.
 */
export function pointedAt(
  tokens: readonly Token[],
  at: number,
  entities: readonly EntityDraft[],
  self: EntityDraft | undefined,
): EntityDraft | undefined {
  const pronoun = PRONOUNS.find((p) => p === tokens[at].word);
  if (!pronoun || isPossessive(tokens, at)) return undefined;
  return [...entities].reverse().find((e) => e !== self && FITS[pronoun](e));
}
