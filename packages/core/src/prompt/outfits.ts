import type { Garment, KnownOutfit, NamedColour } from './brief';
import type { EntityDraft } from './draft';
import type { Found } from './lexicon';
import { plainForms, tokenise, type Token } from './tokens';

/** An outfit with what its own words were read as. */
export interface ReadOutfit {
  readonly known: KnownOutfit;
  readonly garments: readonly Garment[];
  readonly clothes?: NamedColour;
  readonly bare: readonly string[];
}

/** Whose outfit stands at some place of a text. */
interface FoundOutfit {
  readonly found: Found;
  /** By the name of everybody who has one of that name. */
  readonly of: ReadonlyMap<string, ReadOutfit>;
}

/** The outfits of everybody whom a studio knows, as words call them. */
export class Outfits {
  /** `byName` are the outfits of everybody, by the name of whose they are. */
  constructor(private readonly byName: ReadonlyMap<string, readonly ReadOutfit[]> = new Map()) {}

  /** The longest name of an outfit of one of `owners` that starts at token `at`, in any case, in plural too. */
  at(tokens: readonly Token[], at: number, owners: readonly string[]): FoundOutfit | undefined {
    let best: { count: number; value: string; of: Map<string, ReadOutfit> } | undefined;
    for (const owner of owners)
      for (const outfit of this.byName.get(owner) ?? []) {
        const words = tokenise(outfit.known.name).map((t) => t.word);
        if (!words.length || words.length < (best?.count ?? 1) || !isThere(words, tokens, at)) continue;
        if (words.length > (best?.count ?? 0)) best = { count: words.length, value: outfit.known.name, of: new Map() };
        best!.of.set(owner, outfit);
      }
    if (!best) return undefined;
    const { count, value, of } = best;
    return { found: { count, meanings: [{ axis: 'outfit', value }], plural: false, doing: false }, of };
  }
}

const isThere = (words: readonly string[], tokens: readonly Token[], at: number): boolean =>
  words.every((word, k) => {
    const own = tokens[at + k]?.word;
    return own === word || (k === words.length - 1 && own !== undefined && plainForms(own).includes(word));
  });

/** What stays with somebody whatever they put on. */
const CARRIED: ReadonlySet<string> = new Set(['satchel']);

/** Somebody puts an outfit on instead of what they `usually` wear; what the words add is worn with it. */
export function putOn(
  e: EntityDraft,
  { known, garments, clothes, bare }: ReadOutfit,
  usually: Pick<EntityDraft, 'garments' | 'clothes'>,
): void {
  const added = e.garments.filter((g) => !usually.garments.includes(g) || CARRIED.has(g.kind));
  e.outfit = known;
  e.garments = [...garments.filter((g) => !added.some((own) => own.kind === g.kind)), ...added];
  e.clothes = e.clothes === usually.clothes ? clothes : e.clothes;
  e.bare.push(...bare);
}
