import type { EntityDraft } from './draft';
import { lookUp, on, type Found } from './lexicon';
import { NounReader } from './nouns';
import { putOn, type Outfits, type ReadOutfit } from './outfits';
import { tokenise, type Token } from './tokens';

/** What names do: whom a studio knows enters as it is described, and wears the outfits that words call. */
export abstract class NamesReader extends NounReader {
  /** Outfits that were called before whoever wears them was named, by the name of the owner. */
  private readonly laidOut = new Map<string, ReadOutfit>();
  /** Whoever is named first in the text, looked for once. */
  private firstNamed?: readonly string[];

  /** `names` are people and creatures whom the studio knows, with what their descriptions were read as, and `outfits` their clothes. */
  constructor(
    private readonly names: ReadonlyMap<string, Partial<EntityDraft>> = new Map(),
    private readonly outfits?: Outfits,
  ) {
    super();
  }

  protected override known(name: string): Partial<EntityDraft> {
    const known = this.names.get(name) ?? {};
    return Object.keys(known).length ? known : { nameOnly: true };
  }

  /** A name of the studio's at token `at`, written as it is or in another case. */
  protected nameAt(tokens: readonly Token[], at: number): Found | undefined {
    for (const name of this.names.keys()) {
      const words = tokenise(name).map((t) => t.word);
      if (words.length && words.every((w, k) => tokens[at + k]?.word === w))
        return { count: words.length, meanings: [{ axis: 'cast', value: name }], plural: false, doing: false };
    }
    return undefined;
  }

  /** Ends colours that wait for a noun. */
  protected abstract flushColours(): void;

  /** An outfit that is called at token `at`, and whose it is. */
  protected outfitAt(tokens: readonly Token[], at: number): ReturnType<Outfits['at']> {
    return this.outfits?.at(tokens, at, this.owners(tokens));
  }

  /** Who may wear an outfit that is called now: whoever was named last, or before anybody is named, whoever comes first. */
  private owners(tokens: readonly Token[]): readonly string[] {
    if (this.group.length) return this.group.flatMap((e) => e.cast ?? e.name ?? []);
    return (this.firstNamed ??= this.firstNameIn(tokens));
  }

  private firstNameIn(tokens: readonly Token[]): readonly string[] {
    for (let k = 0; k < tokens.length; k++) {
      const found = this.nameAt(tokens, k) ?? lookUp(tokens, k);
      const name = found && on(found, 'cast');
      if (name) return [name];
    }
    return [];
  }

  /** Whoever has the outfit puts it on, now or as soon as they are named. */
  protected callOutfit(of: ReadonlyMap<string, ReadOutfit>): void {
    this.flushColours();
    for (const [owner, outfit] of of) {
      const wearer = this.group.find((e) => (e.cast ?? e.name) === owner);
      if (this.negated) this.refused.add(`outfit: ${outfit.known.name}`);
      else if (wearer) putOn(wearer, outfit, usualOf(this.names.get(owner)));
      else this.laidOut.set(owner, outfit);
    }
    this.relation = undefined;
    if (this.group.length) this.closeNoun();
  }

  protected override dress(e: EntityDraft): void {
    const owner = e.cast ?? e.name;
    const outfit = owner === undefined ? undefined : this.laidOut.get(owner);
    if (outfit) putOn(e, outfit, usualOf(this.names.get(owner!)));
  }
}

const usualOf = ({ garments = [], clothes }: Partial<EntityDraft> = {}) => ({ garments, clothes });
