import { pileOf, useCollections, type Pile } from '../../api/collections';
import { picksOf, useProjects } from '../../api/projects';
import { useLibraryState } from './useLibraryState';

/** The pile that the library is narrowed to: a collection that is put together by hand, or the picks of a project. */
export function usePile(): (Pile & { readonly count: number }) | undefined {
  const id = useLibraryState().search.get('collection');
  const { data: collections } = useCollections();
  const { data: projects } = useProjects();
  const collection = collections?.find((c) => c.id === id && c.search === undefined);
  if (collection) return { ...pileOf(collection), count: collection.count };
  const project = projects?.find((p) => p.id === id);
  return project && { ...picksOf(project), count: project.pictures };
}

/** The pile that is looked at in its own order, which can be changed by hand; undefined for everything else. */
export function useArranged(): ReturnType<typeof usePile> {
  const { search } = useLibraryState();
  const pile = usePile();
  return search.has('sort') || search.has('like') || search.has('colour') ? undefined : pile;
}
