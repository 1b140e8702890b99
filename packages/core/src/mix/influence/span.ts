import { needed, percentOf } from '../setting';

/** Both ends of a span are told together: {@link ../differences}. */
const toldTogether = (): string[] => [];

export const from = needed<number>({
  label: 'From',
  title: 'Start of the span',
  says: 'Where on the course it begins to act, 0 the beginning',
  form: { kind: 'number', low: 0, high: 1 },
  usual: 0,
  request: 'always',
  stage: true,
  own: true,
  steps: { name: 'start of the span', as: 'percent', also: (value, { to: end }) => ({ to: Math.max(end, value) }) },
  differences: toldTogether,
  instead: (own, mix, called) => `${called} begins at ${percentOf(own)} instead of ${percentOf(mix!)}`,
});

export const to = needed<number>({
  label: 'To',
  title: 'End of the span',
  says: 'Where on the course it ceases to act, 1 the end; not before its start',
  form: { kind: 'number', low: 0, high: 1 },
  usual: 1,
  request: 'always',
  stage: true,
  own: true,
  steps: {
    name: 'end of the span',
    as: 'percent',
    also: (value, { from: begin }) => ({ from: Math.min(begin, value) }),
  },
  differences: toldTogether,
  instead: (own, mix, called) => `${called} ends at ${percentOf(own)} instead of ${percentOf(mix!)}`,
});
