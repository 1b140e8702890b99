import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { api, ask, type Reference } from '../../api/client';
import { keys } from '../../api/keys';
import { useAct } from '../../api/sheets';
import { ReplaceFile } from './ReplaceFile';

/** A new file for a reference, and its states that can be gone back to; old takes keep the one that they were made with. */
export function Versions({ reference: r }: { reference: Reference }) {
  const client = useQueryClient();
  const { data: versions } = useQuery({
    queryKey: [...keys.reference(r.id), 'versions', r.version],
    queryFn: () => ask(api.GET('/api/v1/references/{id}/versions', { params: { path: { id: r.id } } })),
  });
  const goBack = useAct(['search'], async (number: number) => {
    const saved = await ask(
      api.POST('/api/v1/references/{id}/versions/{number}', {
        params: { path: { id: r.id, number }, query: { version: r.version } },
      }),
    );
    client.setQueryData(keys.reference(r.id), saved);
  });
  const several = versions && versions.length > 1;
  return (
    <section>
      <div className="mb-1 flex items-baseline justify-between gap-2">
        <h3 className="text-sm font-semibold text-muted">{several ? 'Versions' : 'The file'}</h3>
        <ReplaceFile reference={r} />
      </div>
      {several && <Earlier versions={versions} onGoBack={(number) => void goBack(number)} />}
    </section>
  );
}

interface EarlierProps {
  readonly versions: readonly Schemas['ReferenceVersionDto'][];
  readonly onGoBack: (number: number) => void;
}

function Earlier({ versions, onGoBack }: EarlierProps) {
  return (
    <ul className="flex flex-col gap-1">
      {versions.slice(0, 12).map((v) => (
        <li key={v.number} className="flex items-center gap-2 text-sm">
          <img src={v.thumbnailUrl} alt="" className="size-9 bg-booth object-contain" />
          <span className="flex-1">
            {v.number}, {v.why}
          </span>
          {v.current ? (
            <span className="text-muted">now</span>
          ) : (
            <button type="button" className="underline underline-offset-2" onClick={() => onGoBack(v.number)}>
              Go back to it
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
