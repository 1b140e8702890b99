import { optional } from '../setting';

export const spread = optional<number>({
  label: 'Spread',
  title: 'Spread of compositions',
  says: 'How freely the seed composes: at 0 every seed gives the same composition, at 1 each its own',
  form: { kind: 'number', low: 0, high: 1 },
  usual: 1,
  request: 'always',
  stage: true,
  own: true,
  steps: { name: 'spread', as: 'number' },
});
