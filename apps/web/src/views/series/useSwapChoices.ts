import { give } from '@urbild/core';
import type { MixInfluence, Reference } from '../../api/client';
import { useReferencesById, useSearch } from '../../api/references';
import type { SourceKind } from '../../api/series';
import { useCast, useLooks } from '../../api/sheets';

/** What an influence could come from instead. */
export interface Choice {
  readonly of: SourceKind;
  readonly id: string;
  readonly name: string;
  /** Its first picture. */
  readonly picture?: Reference;
}

/** Sheets and references that could stand for an influence: what is called like `text`, sheets first. */
export function useSwapChoices(influence: MixInfluence, text: string): Choice[] {
  const { data: looks } = useLooks();
  const { data: cast } = useCast();
  const { parts, factors } = give(influence.gives);
  const identity = parts.length > 0 && factors.identity === 1;
  const kind = kindFor(influence.gives, identity);
  const { data: found } = useSearch(
    new URLSearchParams([
      ...(kind ? [['kind', kind]] : []),
      ...(text.trim() ? [['words', text.trim()]] : []),
    ]).toString(),
  );
  const fits = ({ name }: { name: string }) => name.toLowerCase().includes(text.trim().toLowerCase());
  const of = identity ? 'character' : 'look';
  const sheets = ((identity ? cast : looks) ?? []).filter(fits);
  const ids = (found?.ids ?? []).slice(0, 40);
  const pictures = useReferencesById([...ids, ...sheets.flatMap((s) => s.items[0]?.referenceId ?? [])]);
  return [
    ...sheets.map((s): Choice => ({
      of,
      id: s.id,
      name: s.name,
      picture: pictures.get(s.items[0]?.referenceId ?? ''),
    })),
    ...ids.flatMap((id): Choice[] => {
      const picture = pictures.get(id);
      return picture ? [{ of: 'reference', id, name: picture.title, picture }] : [];
    }),
  ].filter((c) => c.id !== influence.referenceId);
}

/** The kind of reference that is looked for; any when empty. */
function kindFor(gives: MixInfluence['gives'], identity: boolean): string {
  if (identity) return gives === 'face' ? 'face' : 'character';
  return gives === 'look' ? 'style' : '';
}
