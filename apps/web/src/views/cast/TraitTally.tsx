import type { Character } from '../../api/sheets';
import { useTraitTally } from '../../api/sheets';

const BY = {
  words: 'the prompt says it',
  reference: 'as its pictures',
  neither: 'came by itself',
} as const;

/** Which traits the takes of a character kept, and who decided them: what comes by itself is worth a correction or a word. */
export function TraitTally({ character }: { character: Character }) {
  const { data: tally } = useTraitTally(character);
  if (!tally?.traits.length) return null;
  return (
    <section aria-label="What its takes keep">
      <h2 className="mb-1 text-sm font-semibold text-muted">What its {tally.takes} takes keep</h2>
      <ul className="flex flex-col">
        {tally.traits.map(({ trait, seen, kept, by }) => (
          <li key={trait} className="flex items-center gap-2 border-t border-line py-1 text-sm">
            <span className="w-28 text-muted">{trait}</span>
            <span className="figures w-16">
              {kept} of {seen}
            </span>
            <span className={by === 'neither' ? 'font-semibold' : ''}>{BY[by]}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
