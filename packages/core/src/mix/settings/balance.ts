import { needed } from '../setting';

export const balance = needed<number>({
  label: 'Balance',
  title: 'Balance of references against the prompt',
  says: 'Multiplies all references against the prompt; 1 is neutral',
  form: { kind: 'number', low: 0, high: 2 },
  usual: 1,
  request: 'always',
  stage: true,
  own: true,
  steps: { name: 'balance', as: 'number' },
});
