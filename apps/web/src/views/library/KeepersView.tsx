import { useNavigate } from 'react-router';
import { Link } from 'react-router';
import { api, ask, type Take } from '../../api/client';
import { keys } from '../../api/keys';
import { useAct, useKeepers } from '../../api/sheets';
import { Button } from '../../parts/Button';
import { EmptyState } from '../../parts/EmptyState';
import { percent } from '../../shared/forms/figures';
import { useSources } from '../../shared/mix/useSources';
import { useTitle } from '../../parts/useTitle';

/** What worked: every take that was kept, with the mix that made it. Open one, swap one thing, go on. */
export function KeepersView() {
  const { data: takes, isPending } = useKeepers();
  const go = useNavigate();
  useTitle('Gallery of keepers');
  const derive = useAct(keys.mixes, (take: Take) =>
    ask(api.POST('/api/v1/takes/{id}/mix', { params: { path: { id: take.id } } })),
  );
  const keep = useAct(keys.imports, (take: Take) =>
    ask(api.POST('/api/v1/imports/from-take', { body: { takeId: take.id } })),
  );
  const lookup = useSources(takes?.flatMap((t) => t.influences) ?? []);
  if (isPending) return <div className="skeleton h-full" aria-label="The keepers are being opened" />;
  if (!takes?.length)
    return (
      <EmptyState
        whole
        title="Nothing kept yet"
        action={
          <Link to="/bench" className="rounded-lg border border-line bg-card px-3 py-1.5 font-semibold">
            To the bench
          </Link>
        }
      >
        Keep a take on the bench or in a series, and it stands here with its whole mix.
      </EmptyState>
    );
  return (
    <div className="flex h-full flex-col bg-booth">
      <header className="flex items-center gap-4 bg-paper px-4 py-2">
        <h1 className="flex-1 font-title text-xl font-semibold">Gallery of keepers</h1>
        <Link to="/library" className="underline underline-offset-2">
          Back to the library
        </Link>
      </header>
      <ul className="grid min-h-0 flex-1 grid-cols-[repeat(auto-fill,minmax(300px,1fr))] content-start gap-4 overflow-auto p-4">
        {takes.map((t) => (
          <li key={t.id} className="flex flex-col bg-card">
            <img src={t.thumbnailUrl} alt={t.prompt} className="w-full" />
            <div className="flex flex-1 flex-col gap-2 p-3">
              <p>{t.prompt}</p>
              <ul className="flex flex-wrap gap-1.5 text-sm">
                {t.influences
                  .filter((i) => i.on && i.weight > 0)
                  .map((i) => (
                    <li
                      key={i.id}
                      className="flex items-center gap-1 rounded-full border border-line py-0.5 pr-2 pl-0.5"
                    >
                      {lookup.source(i)?.thumbnailUrl && (
                        <img src={lookup.source(i)!.thumbnailUrl} alt="" className="size-5 rounded-full object-cover" />
                      )}
                      {lookup.name(i)} <span className="figures text-muted">{percent(i.weight)}</span>
                    </li>
                  ))}
              </ul>
              <div className="mt-auto flex gap-2">
                <Button onClick={() => void derive(t).then((mix) => mix && void go(`/bench/${mix.id}`))}>
                  Go on from it
                </Button>
                <Button onClick={() => void keep(t)}>Make it a reference</Button>
              </div>
            </div>
          </li>
        ))}
      </ul>
    </div>
  );
}
