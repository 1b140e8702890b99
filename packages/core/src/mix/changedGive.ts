import { give, type Gives } from './gives';
import type { MixInfluence } from './mix';

type Acting = Pick<MixInfluence, 'gives' | 'weight' | 'from' | 'to'>;

/**
 * What changes of an influence that is to give something else: it takes over the usual weight and span of that, each unless it was set
 * by hand, which is so where it is not what its present give begins with.
 */
export function changedGive(influence: Acting, gives: Gives): Partial<Acting> {
  const [was, is] = [give(influence.gives).usual, give(gives).usual];
  const spanByHand = influence.from !== was.from || influence.to !== was.to;
  return {
    gives,
    ...(influence.weight === was.weight ? { weight: is.weight } : {}),
    ...(spanByHand ? {} : { from: is.from, to: is.to }),
  };
}
