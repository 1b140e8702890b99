import { MAX_WEIGHT } from '../../mix/influence/weight';
import { type Warner } from './warning';

/** Weights beyond the usual range. */
export const weightBeyond: Warner = ({ acting, name }) => {
  return acting
    .filter((i) => i.weight > MAX_WEIGHT)
    .map((i) => ({
      kind: 'weight-beyond',
      influences: [i.id],
      cause: `${name(i.id)} weighs ${i.weight}: beyond ${MAX_WEIGHT} the words are lost.`,
      fix: { label: `Set it to ${MAX_WEIGHT}`, changes: [{ influence: i.id, set: { weight: MAX_WEIGHT } }] },
    }));
};
