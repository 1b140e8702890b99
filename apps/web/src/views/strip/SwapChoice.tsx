import { MOST_VALUES } from '@urbild/core';
import type { Mix } from '../../api/client';
import { useReferencesById, useSearch } from '../../api/references';
import { useCast, useLooks } from '../../api/sheets';
import type { StripAxis } from '../../api/trials';

const SHOWN = 60;

/** Which looks, characters or pictures take the place of an influence, one after another. */
export function SwapChoice({
  axis,
  mix,
  onChange,
}: {
  axis: StripAxis;
  mix: Mix;
  onChange: (axis: StripAxis) => void;
}) {
  const influence = mix.influences.find((i) => i.id === axis.influence);
  const of = influence?.of ?? 'reference';
  const { data: looks } = useLooks();
  const { data: cast } = useCast();
  const { data: found } = useSearch('');
  const own = useReferencesById(influence && of === 'reference' ? [influence.referenceId] : []);
  const kind = influence && own.get(influence.referenceId)?.kind;
  const pictures = useReferencesById(of === 'reference' ? (found?.ids ?? []).slice(0, SHOWN) : []);
  const sheets = of === 'look' ? looks : of === 'character' ? cast : undefined;
  const covers = useReferencesById((sheets ?? []).flatMap((s) => s.items[0]?.referenceId ?? []));
  const choices = sheets
    ? sheets.map((s) => ({ id: s.id, name: s.name, url: covers.get(s.items[0]?.referenceId ?? '')?.thumbnailUrl }))
    : [...pictures.values()]
        .filter((r) => !kind || r.kind === kind)
        .map((r) => ({ id: r.id, name: r.title, url: r.thumbnailUrl as string | undefined }));
  return (
    <ul className="grid max-h-52 grid-cols-4 gap-1 overflow-auto">
      {choices.map(({ id, name, url }) => {
        const value = `${of}:${id}`;
        const chosen = axis.values.includes(value);
        return (
          <li key={id}>
            <button
              type="button"
              aria-pressed={chosen}
              aria-label={name}
              title={name}
              disabled={!chosen && axis.values.length >= MOST_VALUES}
              onClick={() =>
                onChange({ ...axis, values: chosen ? axis.values.filter((v) => v !== value) : [...axis.values, value] })
              }
              className={`block aspect-square w-full bg-shade ${chosen ? 'outline-3 -outline-offset-3 outline-cinnabar' : 'opacity-80 hover:opacity-100'}`}
            >
              {url && <img src={url} alt="" className="h-full w-full object-cover" />}
            </button>
          </li>
        );
      })}
    </ul>
  );
}
