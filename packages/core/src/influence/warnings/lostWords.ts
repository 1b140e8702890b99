import { isLost, type FoundWord } from '../../measure/wordsKept';
import { meanShares } from '../formula';
import type { Weighing } from '../types';
import type { MixWarning } from './warning';

/** "the dog", "the dog and the lantern", "the dog, the lantern and the boat". */
const listed = (words: readonly string[]): string =>
  words.length < 2 ? words.join() : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/**
 * Who and what of the words cannot be found in a finished picture any more, with the offer to halve what lies over it most; nothing
 * where everything can be found. `names` are those of the influences, by id.
 */
export function lostWords(
  mix: Weighing,
  words: readonly Pick<FoundWord, 'text' | 'found'>[],
  names: Readonly<Record<string, string>> = {},
): MixWarning[] {
  const lost = [...new Set(words.filter(isLost).map(({ text }) => `"${text}"`))];
  if (!lost.length) return [];
  const laid = (['surface', 'colour', 'layout'] as const).map((channel) => meanShares(mix, channel).influences);
  const say = mix.influences.map((_, k) => laid.reduce((sum, shares) => sum + shares[k], 0));
  const strongest = mix.influences[say.indexOf(Math.max(...say))];
  const cause = `${listed(lost)} can hardly be found in this picture.`;
  if (!strongest?.on || !strongest.weight) return [{ kind: 'lost-words', influences: [], cause }];
  return [
    {
      kind: 'lost-words',
      influences: [strongest.id],
      cause: `${cause} ${names[strongest.id] ?? strongest.id} lies over it most.`,
      fix: {
        label: `Halve ${names[strongest.id] ?? strongest.id}’s weight`,
        changes: [{ influence: strongest.id, set: { weight: strongest.weight / 2 } }],
      },
    },
  ];
}
