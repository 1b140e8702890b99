import { unpackNetwork, type Network } from '@urbild/core';
import { TRAIT_WEIGHTS } from './weights.generated';

type Read = keyof typeof TRAIT_WEIGHTS;
/** What is one of several words. */
export type Choice = 'style' | 'hat' | 'beard' | 'glasses';

let learnt: Record<Read, Network> | undefined;

/** The networks that read faces, unpacked once. */
export const models = (): Readonly<Record<Read, Network>> =>
  (learnt ??= Object.fromEntries(
    Object.entries(TRAIT_WEIGHTS).map(([name, packed]) => [name, unpackNetwork(packed)]),
  ) as Record<Read, Network>);
