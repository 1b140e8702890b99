import type { MixInfluence } from '../../api/client';
import type { Hue } from '../../theme/kinds';

/** What stands behind an influence, as it is shown. */
export interface Source {
  readonly name: string;
  readonly hue: Hue;
  readonly thumbnailUrl?: string;
}

/** Kinds and titles of the references of a mix, by influence id. */
export interface Lookup {
  readonly source: (influence: MixInfluence) => Source | undefined;
  readonly name: (influence: MixInfluence) => string;
  readonly hue: (influence: MixInfluence) => Hue;
}

/** A lookup over sources by their id. */
export const lookupIn = (sources: ReadonlyMap<string, Source>): Lookup => ({
  source: (i) => sources.get(i.referenceId),
  name: (i) => sources.get(i.referenceId)?.name ?? 'A reference that was archived',
  hue: (i) => sources.get(i.referenceId)?.hue ?? 'image',
});
