import { plainMask, type Mask } from '../mask';
import { optional } from '../setting';

export const mask = optional<Mask>({
  label: 'Mask',
  title: 'Mask',
  says: 'The only part of the start picture that changes',
  form: { kind: 'parts' },
  request: 'otherwise',
  stage: true,
  plain: plainMask,
  differences: (before, after) => {
    if (before?.content === after?.content) return [];
    return [!after ? 'mask taken away' : !before ? 'mask painted' : 'mask painted anew'];
  },
});
