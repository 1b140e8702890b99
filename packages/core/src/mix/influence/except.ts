import { optional } from '../setting';

/** The most pictures of a look or character that can be left out. */
export const MOST_EXCEPT = 64;

export const except = optional<readonly string[]>({
  label: 'Without',
  title: 'Pictures left out',
  says: 'References of a look or a character that are left out, by their ids',
  form: { kind: 'ids', most: MOST_EXCEPT },
  usual: [],
  request: 'otherwise',
  stage: true,
  differences: (before = [], after = [], called) =>
    before.join() === after.join() ? [] : [`${called} without ${after.length} of its pictures`],
});
