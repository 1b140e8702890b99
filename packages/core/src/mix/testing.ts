import type { MixInfluence, MixState } from './mix';

/** An influence of a mix with the usual numbers. */
export const anInfluence = (id: string, fields: Partial<MixInfluence> = {}): MixInfluence => ({
  id,
  referenceId: `r-${id}`,
  gives: 'look',
  weight: 0.8,
  from: 0,
  to: 1,
  reading: 'normal',
  on: true,
  ...fields,
});

/** A mix of two references. */
export const aMix = (fields: Partial<MixState> = {}): MixState => ({
  prompt: 'a mill',
  avoid: '',
  settings: { aspect: '3:2', seed: 3, balance: 1 },
  influences: [anInfluence('a'), anInfluence('b', { weight: 0.4, gives: 'layout' })],
  ...fields,
});
