import { optional } from '../setting';

export const ornateness = optional<number>({
  label: 'Detail',
  title: 'Detail, plain to ornate',
  says: 'How ornate the painter draws: 0 leaves small things out, 1 lays small marks along wide forms',
  form: { kind: 'number', low: 0, high: 1 },
  usual: 0.5,
  request: 'unless usual',
  stage: true,
  steps: { name: 'ornateness', as: 'number' },
});
