import { optional } from '../setting';

export const strictness = optional<number>({
  label: 'Strict',
  title: 'Strictness of the words',
  says: 'How strictly traits and forms that the words name hold against references',
  form: { kind: 'number', low: 0, high: 1 },
  usual: 0.5,
  request: 'unless usual',
  stage: true,
  steps: { name: 'strictness of the words', as: 'number' },
});
