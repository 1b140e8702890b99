import { differences } from '@urbild/core';
import { useQueries } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { api, ask, type MixInfluence, type Take } from '../../api/client';
import { useProgress } from '../../api/events';
import { keys } from '../../api/keys';
import { useTakes } from '../../api/queries';
import { useReferencesById } from '../../api/references';
import { useAct, useTake } from '../../api/sheets';
import { useAdopt } from '../../api/trials';
import { Button } from '../../parts/Button';
import {
  CompareModes,
  ComparePictures,
  COMPARE_MODES,
  type CompareMode,
  type ComparedPicture,
} from '../../parts/ComparePictures';
import { EmptyState } from '../../parts/EmptyState';
import { KindSign } from '../../parts/KindSign';
import { percent, type Lookup } from '../bench/influences';
import { useSources } from '../bench/useSources';
import { TakeMarks } from './TakeMarks';

/** One take, large: what made it, what it differs in from another, where it comes from and where it can go. */
export function TakeView() {
  const { takeId } = useParams();
  const { data: take, isPending } = useTake(takeId);
  const lookup = useSources(take?.influences ?? []);
  if (isPending) return <div className="skeleton h-full" aria-label="The take is being opened" />;
  if (!take)
    return (
      <EmptyState
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
  const own: ComparedPicture = {
    url: take.pictureUrl ?? progress?.preview,
    label: `this take, ${take.width} × ${take.height}`,
    alt: take.prompt,
    aspect: take.width / take.height,
  };
  const against = candidates(take, from, siblings ?? [], lookup, references);
  const chosen =
    against.find((a) => a.key === search.get('against')) ?? against.find((a) => a.key === 'from') ?? against[0];
  const set = (key: string, value: string) =>
    setSearch((b) => new URLSearchParams([...[...b].filter(([k]) => k !== key), [key, value]]), { replace: true });
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_304px]">
      <section aria-label="The picture" className="flex min-h-0 flex-col bg-booth">
        <div className="min-h-0 flex-1 px-4 pt-4">
          <ComparePictures mode={mode} pictures={chosen && chosen.key !== 'none' ? [own, chosen.picture!] : [own]} />
        </div>
        <div className="flex items-center gap-3 px-4 py-2 text-white">
          <CompareModes mode={mode} onMode={(m: CompareMode) => set('mode', m)} />
          <label className="ml-auto flex items-center gap-2 text-sm">
            against
            <select
              className="max-w-64 rounded bg-white px-1.5 py-0.5 text-ink"
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
        <header>
          {take.mixId && (
            <Link
              to={`/bench/${take.mixId}?take=${take.id}`}
              className="text-sm text-muted underline underline-offset-2"
            >
              Back to the bench
            </Link>
          )}
          <h1 className="font-title text-lg leading-snug font-semibold">{take.prompt}</h1>
          <p className="figures text-sm text-muted">
            {take.quality} · {take.width} × {take.height} px · seed {take.seed}
            {take.took ? ` · ${(take.took / 1000).toFixed(1)} s` : ''}
          </p>
        </header>
        <TakeMarks take={take} />
        <MadeOf take={take} lookup={lookup} />
        <Lineage take={take} from={from} siblings={siblings ?? []} lookup={lookup} />
        <Onwards take={take} />
      </aside>
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

/** Everything that made it. */
function MadeOf({ take, lookup }: { take: Take; lookup: Lookup }) {
  const { settings } = take;
  return (
    <section aria-label="What made it" className="flex flex-col gap-1.5">
      <h2 className="text-sm font-semibold text-muted">What made it</h2>
      <ul className="flex flex-col gap-1">
        {take.influences.map((i) => (
          <Influence key={i.id} influence={i} take={take} lookup={lookup} />
        ))}
      </ul>
      <p className="text-sm text-muted">
        {[
          `balance ${settings.balance}`,
          `spread ${settings.spread ?? 1}`,
          take.avoid && `without ${take.avoid}`,
          settings.start && `started from a ${settings.start.of}, changed ${percent(settings.start.change)}`,
          settings.mask && 'under a mask',
          take.wordsKept !== undefined && `words kept ${percent(take.wordsKept)}`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
    </section>
  );
}

function Influence({ influence: i, take, lookup }: { influence: MixInfluence; take: Take; lookup: Lookup }) {
  const arrival = take.arrivals.find((a) => a.influenceId === i.id)?.overall;
  const picture = lookup.source(i)?.thumbnailUrl;
  return (
    <li className={`flex items-center gap-2 ${i.on && i.weight > 0 ? '' : 'opacity-50'}`}>
      {picture ? (
        <img src={picture} alt="" className="size-9 rounded-sm object-cover" />
      ) : (
        <span className="size-9 bg-shade" />
      )}
      <span className="min-w-0 flex-1 leading-tight">
        <span className="block truncate font-semibold">{lookup.name(i)}</span>
        <span className="flex items-center gap-1 text-sm text-muted">
          <KindSign kind={lookup.hue(i)} size={12} /> {i.gives}, {percent(i.from)} to {percent(i.to)}
          {i.region ? ', in a region' : ''}
        </span>
      </span>
      <span className="figures text-right leading-tight">
        <span className="block font-semibold">{i.weight.toFixed(2)}</span>
        <span className="text-sm text-muted">{arrival === undefined ? '' : `${percent(arrival)} arrived`}</span>
      </span>
    </li>
  );
}

/** Where it comes from and what went on from it. */
function Lineage({
  take,
  from,
  siblings,
  lookup,
}: {
  take: Take;
  from: Take | undefined;
  siblings: readonly Take[];
  lookup: Lookup;
}) {
  const earlier =
    from ?? siblings.find((t) => t.createdAt < take.createdAt && t.quality !== 'draft' && t.status === 'done');
  const children = siblings.filter((t) => t.fromTakeId === take.id);
  const changed = earlier ? differences(earlier, take, lookup.name) : [];
  if (!earlier && !children.length) return null;
  return (
    <section aria-label="Lineage" className="flex flex-col gap-1.5">
      <h2 className="text-sm font-semibold text-muted">{from ? 'Goes on from' : 'Since the take before'}</h2>
      {earlier && (
        <div className="flex gap-2">
          <Link to={`/takes/${earlier.id}`} aria-label="The earlier take">
            <img src={earlier.thumbnailUrl} alt="" className="w-20" />
          </Link>
          <ul className="min-w-0 flex-1 text-sm">
            {changed.length ? changed.map((c) => <li key={c}>{c}</li>) : <li>nothing changed but its size</li>}
          </ul>
        </div>
      )}
      {children.length > 0 && (
        <>
          <h2 className="text-sm font-semibold text-muted">Went on to</h2>
          <div className="flex flex-wrap gap-1.5">
            {children.map((t) => (
              <Link key={t.id} to={`/takes/${t.id}`} aria-label={`Take of seed ${t.seed}, ${t.width} px wide`}>
                {t.thumbnailUrl ? (
                  <img src={t.thumbnailUrl} alt="" className="w-20" />
                ) : (
                  <span className="skeleton block h-14 w-20" />
                )}
              </Link>
            ))}
          </div>
        </>
      )}
    </section>
  );
}

/** What can be done with it. */
function Onwards({ take }: { take: Take }) {
  const go = useNavigate();
  const adopt = useAdopt(take.mixId ?? '');
  const [busy, setBusy] = useState(false);
  const key = keys.takes(take.mixId ?? '');
  const enlarge = useAct(key, (times: number) =>
    ask(api.POST('/api/v1/takes/{id}/enlarge', { params: { path: { id: take.id } }, body: { times } })),
  );
  const more = useAct(key, () =>
    ask(api.POST('/api/v1/takes/{id}/more', { params: { path: { id: take.id } }, body: { count: 4 } })),
  );
  const keep = useAct(keys.imports, () => ask(api.POST('/api/v1/imports/from-take', { body: { takeId: take.id } })));
  const newMix = useAct(keys.mixes, () =>
    ask(api.POST('/api/v1/takes/{id}/mix', { params: { path: { id: take.id } } })),
  );
  const act = async (what: () => Promise<unknown>) => {
    setBusy(true);
    await what();
    setBusy(false);
  };
  const done = take.status === 'done' && !busy;
  const state = { prompt: take.prompt, avoid: take.avoid, settings: take.settings, influences: take.influences };
  return (
    <section aria-label="Go on" className="mt-auto flex flex-col gap-2">
      {take.mixId && (
        <Button
          look="main"
          disabled={!done}
          onClick={() =>
            void act(async () => {
              if (await adopt(state, 'Everything that made this take lies on the bench.'))
                void go(`/bench/${take.mixId}`);
            })
          }
        >
          Lay all of it on the bench
        </Button>
      )}
      <div className="grid grid-cols-2 gap-2">
        <Button disabled={!done} onClick={() => void act(more)}>
          Four more like it
        </Button>
        <Button disabled={!done} onClick={() => void act(newMix).then(() => undefined)}>
          Mix of its own
        </Button>
        {[2, 4].map((times) => (
          <Button
            key={times}
            disabled={!done || Math.max(take.width, take.height) * times > 2048}
            title={
              Math.max(take.width, take.height) * times > 2048 ? 'more than 2048 px on the longer side' : undefined
            }
            onClick={() =>
              void act(async () => {
                const made = await enlarge(times);
                if (made) void go(`/takes/${made.id}?against=from&mode=wipe`);
              })
            }
          >
            {times} × as large
          </Button>
        ))}
        <Button disabled={!done} onClick={() => void act(keep)} className="col-span-2">
          Make it a reference
        </Button>
      </div>
    </section>
  );
}
