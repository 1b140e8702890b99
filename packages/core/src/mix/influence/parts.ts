import { optional } from '../setting';

/** What an identity is made of; a character may carry some of them only. */
export const IDENTITY_PARTS = ['face', 'hair', 'build', 'clothes'] as const;
export type IdentityPart = (typeof IDENTITY_PARTS)[number];

export const parts = optional<readonly IdentityPart[]>({
  label: 'Carries',
  title: 'What it carries',
  says: 'The parts of an identity that a character carries; all of them when absent',
  form: { kind: 'choices', values: IDENTITY_PARTS },
  request: 'unless usual',
  stage: true,
  differences: (before = [], after = [], called) =>
    before.join() === after.join() ? [] : [`${called} carries ${after.length ? after.join(', ') : 'everything'}`],
});
