import type { Take } from '../../api/client';

type Found = Take['unasked'][number];

const SAYS: Readonly<Record<Found['kind'], (who: string) => string>> = {
  'white-sky': () => 'The sky has lost its colour',
  piece: () => 'Something in the sky that nothing calls for',
  splashes: () => 'Specks that nothing calls for',
  burnt: () => 'Burnt: lights or darks without any drawing in them',
  missing: (who) => `${who} cannot be found in it`,
  cropped: (who) => `The head of ${who} is cut off`,
};

/** What is to be said of something that nobody asked for. */
export const saidOfUnasked = ({ kind, who }: Found): string => SAYS[kind](who ?? 'somebody');
