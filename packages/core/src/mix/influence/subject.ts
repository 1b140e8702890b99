import { optional } from '../setting';

export const subject = optional<string>({
  label: 'Acts on',
  title: 'Whom it acts on',
  says: "Whose identity it carries; a character's own name when absent, and everybody where it has none",
  form: { kind: 'text', longest: 120 },
  request: 'unless usual',
  stage: true,
  differences: (before, after, called) => (before === after ? [] : [`${called} acts on ${after ?? 'everybody'}`]),
});
