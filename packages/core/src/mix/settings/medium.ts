import { MEDIA, type Medium } from '../../prompt/brief';
import { optional } from '../setting';

export const medium = optional<Medium>({
  label: 'Medium',
  title: 'Medium of the stage',
  says: 'What the stage is drawn in, before looks are laid over it; as prompt and looks ask when none is chosen',
  form: { kind: 'choice', values: MEDIA },
  request: 'unless usual',
  stage: true,
});
