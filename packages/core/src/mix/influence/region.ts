import { plainMask, type Mask } from '../mask';
import { optional } from '../setting';

export const region = optional<Mask>({
  label: 'Where',
  title: 'Where it acts',
  says: 'Where in the picture it acts; everywhere when absent',
  form: { kind: 'parts' },
  request: 'unless usual',
  stage: true,
  plain: plainMask,
  differences: (before, after, called) => {
    if (before?.content === after?.content) return [];
    return [!after ? `${called} acts everywhere` : `${called} bound to a${before ? 'nother' : ''} region`];
  },
});
