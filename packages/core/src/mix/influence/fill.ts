import { optional } from '../setting';

/** What of a shape the picture fills. */
export const FILLS = ['inside', 'around'] as const;
export type Fill = (typeof FILLS)[number];

export const fill = optional<Fill>({
  label: 'Fills',
  title: 'What it fills',
  says: 'Of a shape: whether the picture fills it, or what is around it',
  form: { kind: 'choice', values: FILLS },
  usual: 'inside',
  request: 'unless usual',
  stage: true,
  differences: (before = 'inside', after = 'inside', called) => (before === after ? [] : [`${called} filled ${after}`]),
});
