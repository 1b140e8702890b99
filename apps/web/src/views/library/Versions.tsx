import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask, type Reference } from '../../api/client';
import { keys } from '../../api/keys';
import { useAct } from '../../api/sheets';

/** The states of a reference that can be gone back to; old takes keep the one that they were made with. */
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
  if (!versions || versions.length < 2) return null;
  return (
    <section>
      <h3 className="mb-1 text-sm font-semibold text-muted">Versions</h3>
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
              <button type="button" className="underline underline-offset-2" onClick={() => void goBack(v.number)}>
                Go back to it
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
