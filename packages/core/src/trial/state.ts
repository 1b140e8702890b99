import type { Gives, IdentityPart, Reading } from '../influence/types';
import type { Emphasis } from '../prompt/emphasis';

/** An influence as far as trials change it and differences tell of it. */
export interface TrialInfluence {
  readonly id: string;
  readonly of?: 'reference' | 'look' | 'character';
  readonly referenceId: string;
  readonly gives: Gives;
  readonly weight: number;
  readonly from: number;
  readonly to: number;
  readonly reading: Reading;
  readonly on: boolean;
  readonly subject?: string;
  readonly parts?: readonly IdentityPart[];
  readonly fill?: 'inside' | 'around';
  readonly motif?: number;
  readonly region?: { readonly content: string };
  readonly except?: readonly string[];
}

/** Everything that makes a take, as far as trials change it and differences tell of it. */
export interface TrialState {
  readonly prompt: string;
  readonly avoid: string;
  readonly settings: {
    readonly aspect?: string;
    readonly seed: number;
    readonly balance: number;
    readonly spread?: number;
    readonly strictness?: number;
    readonly ornateness?: number;
    readonly emphases?: readonly Emphasis[];
    readonly medium?: string;
    readonly start?: { readonly of: string; readonly id: string; readonly change: number };
    readonly mask?: { readonly content: string };
  };
  readonly influences: readonly TrialInfluence[];
}
