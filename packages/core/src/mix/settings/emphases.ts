import { MAX_EMPHASES, type Emphasis } from '../../prompt/emphasis';
import { optional, shortNumber } from '../setting';

const weightOf = (of: readonly Emphasis[], words: string) => of.find((e) => e.words === words)?.weight ?? 1;

export const emphases = optional<readonly Emphasis[]>({
  label: 'Weights on words',
  title: 'Weights on words',
  says: 'Words that count more or less than the others: 0 left out, 1 as said, 2 twice as much',
  form: { kind: 'parts', most: MAX_EMPHASES },
  usual: [],
  request: 'unless usual',
  stage: true,
  plain: (all) => all.filter((e) => e.weight !== 1),
  differences: (before = [], after = []) =>
    [...new Set([...before, ...after].map((e) => e.words))].flatMap((words) => {
      const [was, is] = [weightOf(before, words), weightOf(after, words)];
      return was === is ? [] : [`“${words}” counts ${shortNumber(was)} → ${shortNumber(is)}`];
    }),
});
