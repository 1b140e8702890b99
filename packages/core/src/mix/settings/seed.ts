import { needed } from '../setting';

/** The largest seed. */
export const MAX_SEED = 0xffffffff;

export const seed = needed<number>({
  label: 'Seed',
  title: 'Seed',
  says: 'Another seed: another picture of the same words',
  form: { kind: 'whole', low: 0, high: MAX_SEED },
  usual: 1,
  request: 'always',
  stage: true,
  steps: {
    name: 'seed',
    as: 'word',
    offered: (now) => Array.from({ length: 5 }, (_, k) => (now + k) % (MAX_SEED + 1)),
  },
});
