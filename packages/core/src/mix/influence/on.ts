import { needed } from '../setting';

export const on = needed<boolean>({
  label: 'On',
  title: 'On',
  says: 'Whether it acts at all; off, it is kept in the mix and pulls nothing',
  form: { kind: 'flag' },
  usual: true,
  request: 'always',
  stage: true,
  own: true,
  differences: (before, after, called) => (before === after ? [] : [`${called} ${after ? 'on' : 'off'}`]),
  instead: (own, _, called) => `${called} ${own ? 'on' : 'off'}`,
});
