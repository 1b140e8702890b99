import { evenly, needed } from '../setting';

/** The usual upper end of a weight; up to {@link TYPED_MAX_WEIGHT} can be typed, with a warning. */
export const MAX_WEIGHT = 2;
export const TYPED_MAX_WEIGHT = 4;

export const weight = needed<number>({
  label: 'Weight',
  title: 'Weight',
  says: 'How strongly it pulls: 0 not at all, 1 as it is, beyond 2 the prompt is lost',
  form: { kind: 'number', low: 0, high: TYPED_MAX_WEIGHT },
  usual: 1,
  request: 'always',
  stage: true,
  own: true,
  steps: { name: 'weight', as: 'number', offered: () => evenly(0, 1.2, 5), also: () => ({ on: true }) },
});
