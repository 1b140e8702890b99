import { type Warner } from './warning';

/** What the engine cannot take. */
export const notSupported: Warner = ({ acting, context: { supported }, name }) => {
  if (!supported) return [];
  return acting
    .filter((i) => !supported.includes(i.gives))
    .map((i) => ({
      kind: 'not-supported',
      influences: [i.id],
      cause: `This engine cannot take ${i.gives} from ${name(i.id)}; it will not be heard.`,
      fix: { label: 'Let it give its look', changes: [{ influence: i.id, set: { gives: 'look' } }] },
    }));
};
