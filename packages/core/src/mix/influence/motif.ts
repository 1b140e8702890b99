import { optional, percentOf } from '../setting';

export const motif = optional<number>({
  label: 'Strokes',
  title: 'Size of its strokes',
  says: 'How large its strokes and motifs come out; 1 as they are against the whole of the picture',
  form: { kind: 'number', low: 0.5, high: 1.5 },
  usual: 1,
  request: 'unless usual',
  stage: false,
  differences: (before = 1, after = 1, called) =>
    before === after ? [] : [`strokes of ${called} ${percentOf(before)} → ${percentOf(after)}`],
});
