import { needed } from '../setting';

/** How closely a reference is read, apart from its weight. */
export const READINGS = ['hint', 'loose', 'normal', 'close'] as const;
export type Reading = (typeof READINGS)[number];

export const reading = needed<Reading>({
  label: 'Read',
  title: 'How it is read',
  says: 'How closely it is read, apart from its weight: as a hint, loosely, as usual, or closely',
  form: { kind: 'choice', values: READINGS },
  usual: 'normal',
  request: 'always',
  stage: true,
  own: true,
  steps: { name: 'how it is read', as: 'word' },
  differences: (before, after, called) => (before === after ? [] : [`${called} read ${after} instead of ${before}`]),
  instead: (own, mix, called) => `${called} read ${own} instead of ${mix}`,
});
