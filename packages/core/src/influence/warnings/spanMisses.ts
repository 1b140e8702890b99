import { channelsOf } from '../formula';
import { overlaps } from './overlaps';
import { type Warner } from './warning';

/** Spans that lie where nothing of the kind is decided. */
export const spanMisses: Warner = ({ acting, name }) => {
  return acting
    .filter((i) => !channelsOf(i.gives).some((c) => overlaps(i, c)))
    .map((i) => ({
      kind: 'span-misses',
      influences: [i.id],
      cause: `The span of ${name(i.id)} lies outside the part of the course in which its ${i.gives} is decided.`,
      fix: { label: 'Use the whole course', changes: [{ influence: i.id, set: { from: 0, to: 1 } }] },
    }));
};
