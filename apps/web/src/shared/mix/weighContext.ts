import { createContext } from 'react';
import type { MixInfluence } from '../../api/client';

/** Adds influences to a mix that a person chooses, and goes to the bench. */
export type Weigh = (added: readonly MixInfluence[]) => Promise<void>;

export const WeighContext = createContext<Weigh>(() => Promise.resolve());
