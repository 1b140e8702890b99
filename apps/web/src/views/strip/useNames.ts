import type { MixInfluence } from '../../api/client';
import { useReferencesById } from '../../api/references';
import { useCast, useLooks } from '../../api/sheets';
import type { StripAxis } from '../../api/trials';
import type { Lookup } from '../../shared/mix/lookup';

/** The name of an influence, or of a reference, look or character, by its id. */
export function useNames(
  influences: readonly MixInfluence[],
  axes: readonly StripAxis[],
  lookup: Lookup,
): (id: string) => string {
  const { data: looks } = useLooks();
  const { data: cast } = useCast();
  const swapped = axes
    .filter((a) => a.setting === 'swap')
    .flatMap((a) => a.values.map(String))
    .filter((v) => v.startsWith('reference:'))
    .map((v) => v.slice(10));
  const without = axes
    .filter((a) => a.setting === 'without')
    .flatMap((a) => a.values.map((v) => String(v).split('/')[1] ?? []))
    .flat();
  const references = useReferencesById([...swapped, ...without]);
  return (id) => {
    const influence = influences.find((i) => i.id === id);
    if (influence) return lookup.name(influence);
    return (
      looks?.find((l) => l.id === id)?.name ??
      cast?.find((c) => c.id === id)?.name ??
      references.get(id)?.title ??
      'a picture'
    );
  };
}
