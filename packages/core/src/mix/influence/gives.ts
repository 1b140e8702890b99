import { GIVES, type Gives } from '../gives';
import { needed } from '../setting';

export const gives = needed<Gives>({
  label: 'Gives',
  title: 'What it gives',
  says: 'What it carries over from its reference into the picture',
  form: { kind: 'choice', values: GIVES },
  usual: 'look',
  request: 'always',
  stage: true,
  steps: { name: 'what it gives', as: 'word', offered: () => ['everything', 'look', 'palette'] },
  differences: (before, after, called) => (before === after ? [] : [`${called} gives ${after} instead of ${before}`]),
});
