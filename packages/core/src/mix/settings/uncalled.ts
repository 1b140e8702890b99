import { optional } from '../setting';

/** The most characters whose names bring nothing in. */
export const MOST_UNCALLED = 64;

export const uncalled = optional<readonly string[]>({
  label: 'Not called',
  title: 'Names that bring no pictures in',
  says: 'Characters whose names in the prompt do not add their pictures, by their ids',
  form: { kind: 'ids', most: MOST_UNCALLED },
  usual: [],
  request: 'otherwise',
  stage: true,
  // by itself it makes no other picture: who acts is told by the influences
  plain: () => [],
  differences: () => [],
});
