import { useCollections, type Collection } from '../../api/collections';
import { useLibraryState } from './useLibraryState';

/** The collection that is looked at in its own order, which can be changed by hand; undefined for everything else. */
export function useArranged(): Collection | undefined {
  const { search } = useLibraryState();
  const { data: collections } = useCollections();
  if (search.has('sort') || search.has('like') || search.has('colour')) return undefined;
  return collections?.find((c) => c.id === search.get('collection') && c.search === undefined);
}
