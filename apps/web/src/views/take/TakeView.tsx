import { useQueries } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { api, ask, type Take } from '../../api/client';
import { useProgress } from '../../api/events';
import { keys } from '../../api/keys';
import { useTakes } from '../../api/queries';
import { useReferencesById } from '../../api/references';
import { useTake } from '../../api/sheets';
import {
  CompareModes,
  ComparePictures,
  COMPARE_MODES,
  type CompareMode,
  type ComparedPicture,
} from '../../parts/ComparePictures';
import { EmptyState } from '../../parts/EmptyState';
import type { Lookup } from '../../shared/mix/lookup';
import { useSources } from '../../shared/mix/useSources';
import { Lineage } from './Lineage';
import { CameUnasked } from './CameUnasked';
import { MadeOf } from './MadeOf';
import { Onwards } from './Onwards';
import { Approval } from '../../shared/pictures/Approval';
import { TakeMarks } from '../../shared/pictures/TakeMarks';
import { useTitle } from '../../parts/useTitle';
import { Button } from '../../parts/Button';
import { dragOut, fileNameOf } from '../../shared/pictures/takeFile';
import { CommentsPart } from '../../shared/comments/CommentsPart';
import { PointsOver } from '../../shared/comments/PointsOver';
import { useTalk } from '../../shared/comments/useTalk';
import { useCopyPicture } from '../../shared/pictures/useCopyPicture';

/** One take, large: what made it, what it differs in from another, where it comes from and where it can go. */
export function TakeView() {
  const { takeId } = useParams();
  const { data: take, isPending } = useTake(takeId);
  useTitle('Take', take?.prompt);
  const lookup = useSources(take?.influences ?? []);
  if (isPending) return <div className="skeleton h-full" aria-label="The take is being opened" />;
  if (!take)
    return (
      <EmptyState
        whole
        title="This take is not here"
        action={
          <Link to="/bench" className="underline">
            To the bench
          </Link>
        }
      >
        It may have been deleted.
      </EmptyState>
    );
  return <Page key={take.id} take={take} lookup={lookup} />;
}

function Page({ take, lookup }: { take: Take; lookup: Lookup }) {
  const [search, setSearch] = useSearchParams();
  const mode = COMPARE_MODES.find((m) => m === search.get('mode')) ?? 'wipe';
  const { data: siblings } = useTakes(take.mixId);
  const [from] = useQueries({
    queries: (take.fromTakeId ? [take.fromTakeId] : []).map((id) => ({
      queryKey: keys.take(id),
      queryFn: () => ask(api.GET('/api/v1/takes/{id}', { params: { path: { id } } })),
    })),
    combine: (results) => results.map((r) => r.data),
  });
  const references = useReferencesById(
    take.influences.filter((i) => (i.of ?? 'reference') === 'reference').map((i) => i.referenceId),
  );
  const progress = useProgress(take.id);
  // what is marked is shown in the take alone
  const [marked, setMarked] = useState<number>();
  const talk = useTalk({ takeId: take.id });
  // a point that one looks at or chooses is seen in the take alone, as what came unasked
  const pointed = talk.threads?.find((t) => t.first.id === talk.chosen)?.first.point;
  const alone = marked !== undefined || talk.pointing || !!talk.point || !!pointed;
  const own: ComparedPicture = {
    url: take.pictureUrl ?? progress?.preview,
    label: `this take, ${take.width} × ${take.height}`,
    alt: take.prompt,
    aspect: take.width / take.height,
    mark: marked === undefined ? undefined : take.unasked[marked]?.box,
  };
  const against = candidates(take, from, siblings ?? [], lookup, references);
  const chosen =
    against.find((a) => a.key === search.get('against')) ?? against.find((a) => a.key === 'from') ?? against[0];
  const set = (key: string, value: string) =>
    setSearch((b) => new URLSearchParams([...[...b].filter(([k]) => k !== key), [key, value]]), { replace: true });
  return (
    <div className="parts grid h-full grid-cols-[minmax(0,1fr)_304px]">
      <section aria-label="The picture" data-main="The picture" className="flex min-h-0 flex-col bg-booth">
        <div className="min-h-0 flex-1 px-4 pt-4">
          <ComparePictures
            mode={mode}
            over={(zoom) => <PointsOver talk={talk} zoom={zoom} />}
            pictures={chosen?.picture && !alone ? [own, chosen.picture] : [own]}
          />
        </div>
        <div className="flex items-center gap-3 px-4 py-2 text-caption">
          <CompareModes mode={mode} onMode={(m: CompareMode) => set('mode', m)} />
          <label className="ml-auto flex items-center gap-2 text-sm">
            against
            <select
              className="max-w-64 rounded bg-card px-1.5 py-0.5 text-ink"
              value={chosen?.key ?? 'none'}
              onChange={(e) => set('against', e.target.value)}
            >
              {against.map((a) => (
                <option key={a.key} value={a.key}>
                  {a.name}
                </option>
              ))}
            </select>
          </label>
        </div>
      </section>
      <aside
        aria-label="About this take"
        className="flex min-h-0 flex-col gap-4 overflow-auto border-l border-line bg-paper p-4"
      >
        <TakeHead take={take} />
        <TakeMarks take={take} />
        <Approval take={take} />
        {take.pictureUrl && <TakeFile url={take.pictureUrl} take={take} />}
        {take.status === 'done' && <CommentsPart talk={talk} points />}
        <CameUnasked take={take} shown={marked} onShow={setMarked} />
        <MadeOf take={take} lookup={lookup} />
        <Lineage take={take} from={from} siblings={siblings ?? []} lookup={lookup} />
        <Onwards take={take} />
      </aside>
    </div>
  );
}

function TakeHead({ take }: { take: Take }) {
  return (
    <header>
      {take.mixId && (
        <Link to={`/bench/${take.mixId}?take=${take.id}`} className="text-sm text-muted underline underline-offset-2">
          Back to the bench
        </Link>
      )}
      <h1 className="font-title text-lg leading-snug font-semibold">{take.prompt}</h1>
      <p className="figures text-sm text-muted">
        {take.quality} · {take.width} × {take.height} px · seed {take.seed}
        {take.took ? ` · ${(take.took / 1000).toFixed(1)} s` : ''} · {take.engine}
      </p>
    </header>
  );
}

/** The picture as a file. */
function TakeFile({ url, take }: { url: string; take: Take }) {
  const copy = useCopyPicture();
  return (
    <div className="grid grid-cols-[1fr_auto] gap-2">
      <a
        href={url}
        download={fileNameOf(take)}
        draggable
        onDragStart={(e) => dragOut(e, url, take)}
        className="rounded-lg border border-line bg-card px-3 py-1.5 text-center font-semibold hover:border-edge"
      >
        Save the picture
      </a>
      <Button onClick={() => copy(url)}>Copy</Button>
    </div>
  );
}

interface Candidate {
  readonly key: string;
  readonly name: string;
  readonly picture?: ComparedPicture;
}

function candidates(
  take: Take,
  from: Take | undefined,
  siblings: readonly Take[],
  lookup: Lookup,
  references: ReturnType<typeof useReferencesById>,
): Candidate[] {
  const aspect = take.width / take.height;
  const of = (t: Take, key: string, name: string): Candidate => ({
    key,
    name,
    picture: { url: t.pictureUrl, label: name, alt: t.prompt, aspect: t.width / t.height },
  });
  return [
    ...(from ? [of(from, 'from', 'the take it goes on from')] : []),
    ...(take.control
      ? [
          {
            key: 'control',
            name: 'control',
            picture: { url: take.control.pictureUrl, label: 'control', alt: 'Control', aspect },
          },
        ]
      : []),
    ...take.influences.flatMap((i) => {
      const r = references.get(i.referenceId);
      return r
        ? [
            {
              key: i.id,
              name: lookup.name(i),
              picture: { url: r.pictureUrl, label: r.title, alt: r.title, aspect: r.width / r.height },
            },
          ]
        : [];
    }),
    ...siblings
      .filter((t) => t.id !== take.id && t.id !== from?.id && t.status === 'done' && t.quality !== 'draft')
      .slice(0, 12)
      .map((t) => of(t, t.id, `take of ${new Date(t.createdAt).toLocaleTimeString()}, seed ${t.seed}`)),
    { key: 'none', name: 'nothing' },
  ];
}
