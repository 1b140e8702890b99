import { optional } from '../setting';

export const strictness = optional<number>({
  label: 'Strictness',
  title: 'Prompt strictness',
  says: 'How firmly traits and forms that the prompt names hold against references',
  form: { kind: 'number', low: 0, high: 1 },
  usual: 0.5,
  request: 'unless usual',
  stage: true,
  steps: { name: 'strictness of the words', as: 'number' },
});
