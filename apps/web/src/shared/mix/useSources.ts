import { useMemo } from 'react';
import type { MixInfluence } from '../../api/client';
import { useReferencesById } from '../../api/references';
import { useCast, useLooks } from '../../api/sheets';
import { lookupIn, type Lookup, type Source } from './lookup';

/** Names, signs and small pictures of everything that some influences stand for. */
export function useSources(influences: readonly MixInfluence[]): Lookup {
  const { data: looks } = useLooks();
  const { data: cast } = useCast();
  const sheets = useMemo(
    () => [
      ...(looks ?? []).map((l) => ({ id: l.id, name: l.name, hue: 'style' as const, first: l.items[0]?.referenceId })),
      ...(cast ?? []).map((c) => ({
        id: c.id,
        name: c.name,
        hue: 'character' as const,
        first: c.items[0]?.referenceId,
      })),
    ],
    [looks, cast],
  );
  const used = influences.map((i) => i.referenceId);
  const references = useReferencesById([
    ...influences.filter((i) => (i.of ?? 'reference') === 'reference').map((i) => i.referenceId),
    ...sheets.filter((s) => used.includes(s.id)).flatMap((s) => s.first ?? []),
  ]);
  return useMemo(() => {
    const sources = new Map<string, Source>();
    for (const r of references.values())
      sources.set(r.id, { name: r.title, hue: r.kind, thumbnailUrl: r.thumbnailUrl });
    for (const { id, name, hue, first } of sheets)
      sources.set(id, { name, hue, thumbnailUrl: first && references.get(first)?.thumbnailUrl });
    return lookupIn(sources);
  }, [references, sheets]);
}
