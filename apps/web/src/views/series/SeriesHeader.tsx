import { ChevronDown, Pause, Play, Square } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { Link, useNavigate } from 'react-router';
import type { Consistency, Series, SeriesSummary } from '../../api/client';
import type { SeriesActs } from '../../api/seriesActs';
import { useVersions } from '../../api/trials';
import { Button } from '../../parts/Button';
import { KindSign } from '../../parts/KindSign';
import { Tip } from '../../parts/Tip';
import type { Lookup } from '../../shared/mix/lookup';
import { clock } from './shots';

interface Props {
  readonly series: Series;
  readonly all: readonly SeriesSummary[];
  readonly consistency: Consistency | undefined;
  readonly lookup: Lookup;
  readonly acts: SeriesActs;
  /** Shots that are picked for an action; all when empty. */
  readonly picked: readonly string[];
  readonly onSwap: (influence: string) => void;
  readonly onTune: () => void;
  readonly onSolve: () => void;
  readonly onNew: () => void;
}

const times = (v: number) => `${v.toFixed(1)} ×`;

/** Name and mix of a series, how well it holds together, and what can be done with the whole of it. */
export function SeriesHeader(props: Props) {
  const { series, consistency, lookup, acts, onSwap } = props;
  const { closer } = consistency ?? {};
  const parts = [
    ...(closer?.identity ?? []).map((i) => ({ what: i.name, value: i.times })),
    ...(closer?.look === undefined ? [] : [{ what: 'look', value: closer.look }]),
  ];
  return (
    <header className="flex flex-wrap items-center gap-x-3 gap-y-2 px-4 py-2.5">
      <Names {...props} />
      {series.influences.map((i) => (
        <Tip key={i.id} text="Hold everything else and swap this">
          <button
            type="button"
            aria-label={`${lookup.name(i)}, weight ${i.weight.toFixed(2)}. Swap it over the whole series`}
            onClick={() => onSwap(i.id)}
            className={`flex items-center gap-2 rounded-lg border border-line bg-card py-1 pr-3 pl-1 hover:border-edge ${i.on ? '' : 'opacity-50'}`}
          >
            {lookup.source(i)?.thumbnailUrl && (
              <img src={lookup.source(i)!.thumbnailUrl} alt="" className="size-6 rounded object-cover" />
            )}
            <KindSign kind={lookup.hue(i)} size={14} />
            <span>{lookup.name(i)}</span>
            <span className="figures font-semibold">{i.weight.toFixed(2)}</span>
          </button>
        </Tip>
      ))}
      <MixOfSeries series={series} acts={acts} />
      <div className="ml-auto flex items-center gap-3">
        {parts.length > 0 && (
          <Tip text="How many times closer the takes are to one another than the same words and seeds without references">
            <p tabIndex={0} className="text-sm text-muted">
              {parts.map((p, k) => (
                <span key={p.what}>
                  {k > 0 && ', '}
                  <strong className="figures text-base text-ink">{times(p.value)}</strong> {p.what}
                </span>
              ))}{' '}
              closer
            </p>
          </Tip>
        )}
        <Queue series={series} acts={acts} />
        <RenderMenu {...props} />
      </div>
    </header>
  );
}

/** The way to the mix, and which state of it the series uses: its newest, or one that stays. */
function MixOfSeries({ series: { mixId, mixVersion }, acts }: Pick<Props, 'series' | 'acts'>) {
  const { data: versions } = useVersions(mixId);
  return (
    <span className="flex items-center gap-1.5 text-sm">
      <Link to={`/bench/${mixId}`} className="underline decoration-edge underline-offset-2">
        the mix
      </Link>
      {(versions?.length ?? 0) > 0 && (
        <select
          aria-label="Which state of the mix the series uses"
          value={mixVersion ?? ''}
          onChange={(e) => void acts.pin(e.target.value ? Number(e.target.value) : null)}
          className="rounded bg-transparent py-0.5 text-muted"
        >
          <option value="">as it is now</option>
          {versions!.map((v) => (
            <option key={v.number} value={v.number}>
              version {v.number}
            </option>
          ))}
        </select>
      )}
    </span>
  );
}

const MENU = 'z-40 min-w-52 rounded-xl border border-line bg-card p-1 shadow-xl';
const ITEM = 'cursor-pointer rounded-lg px-3 py-1.5 outline-none data-highlighted:bg-shade data-disabled:text-muted';

function Names({ series, all, acts, onNew }: Props) {
  const go = useNavigate();
  return (
    <div className="flex items-center">
      <h1 className="sr-only">{series.name}</h1>
      <input
        key={series.name}
        aria-label="Name of the series"
        defaultValue={series.name}
        maxLength={120}
        size={Math.max(6, series.name.length)}
        onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
        onBlur={(e) => {
          const name = e.target.value.trim();
          if (name && name !== series.name) void acts.rename(name);
        }}
        className="rounded bg-transparent font-title text-2xl font-semibold hover:bg-shade"
      />
      <DropdownMenu.Root>
        <DropdownMenu.Trigger asChild>
          <button type="button" aria-label="Other series" className="rounded p-1.5 hover:bg-shade">
            <ChevronDown size={18} aria-hidden />
          </button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="start" className={MENU}>
            {all.map((s) => (
              <DropdownMenu.Item key={s.id} className={ITEM} onSelect={() => void go(`/series/${s.id}`)}>
                {s.name} <span className="text-muted">{s.shots} shots</span>
              </DropdownMenu.Item>
            ))}
            <DropdownMenu.Separator className="my-1 h-px bg-line" />
            <DropdownMenu.Item className={ITEM} onSelect={onNew}>
              New series over this mix
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </div>
  );
}

/** How far the rendering is, with what stops it. */
function Queue({ series: { queue, paused }, acts }: { series: Series; acts: SeriesActs }) {
  const open = queue.waiting + queue.rendering;
  if (!open && !paused) return null;
  const icon = 'rounded-full p-1 hover:bg-shade';
  return (
    <span role="status" className="flex items-center gap-1 rounded-full border border-line bg-card pr-1 pl-3 text-sm">
      <span className="figures">
        {paused ? `paused, ${open} wait` : `${open} to go`}
        {!paused && queue.left !== undefined && ` · ${clock(queue.left)}`}
      </span>
      <button
        type="button"
        aria-label={paused ? 'Go on' : 'Pause'}
        onClick={() => void (paused ? acts.resume() : acts.pause())}
        className={icon}
      >
        {paused ? <Play size={15} aria-hidden /> : <Pause size={15} aria-hidden />}
      </button>
      <button type="button" aria-label="Stop" onClick={() => void acts.stop()} className={icon}>
        <Square size={14} aria-hidden />
      </button>
    </span>
  );
}

function RenderMenu({ series, acts, picked, onTune, onSolve }: Props) {
  const stale = series.shots.filter((s) => s.stale.length && !s.skipped).length;
  const some = picked.length > 1;
  const shotIds = some ? [...picked] : undefined;
  const of = some ? ` of ${picked.length} shots` : '';
  const file = (form: string) => `/api/v1/series/${series.id}/export/${form}`;
  const anything = series.shots.some((s) => s.leadId);
  return (
    <div className="flex">
      <Button
        look="main"
        className="rounded-r-none"
        disabled={!stale}
        onClick={() => void acts.render({ quality: 'proof' })}
      >
        {stale ? `Render what changed (${stale})` : 'All is up to date'}
      </Button>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger asChild>
          <Button
            look="main"
            aria-label="More for this series"
            className="rounded-l-none border-l border-white/40 px-1.5"
          >
            <ChevronDown size={16} aria-hidden />
          </Button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" className={MENU}>
            <DropdownMenu.Item className={ITEM} onSelect={() => void acts.render({ quality: 'draft', shotIds })}>
              Drafts{of || ' of all shots'}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => void acts.render({ quality: 'proof', shotIds })}>
              Proofs{of || ' of all shots'}
            </DropdownMenu.Item>
            <DropdownMenu.Item
              className={ITEM}
              onSelect={() => void acts.render({ quality: 'proof', takes: 3, shotIds })}
            >
              Three takes{of || ' of every shot'}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => void acts.render({ quality: 'print', shotIds })}>
              Prints{of || ' of all shots'}
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="my-1 h-px bg-line" />
            <DropdownMenu.Item className={ITEM} disabled={!picked.length} onSelect={onTune}>
              Tune a weight over {picked.length > 1 ? `these ${picked.length} shots` : 'some shots'}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} disabled={picked.length < 2} onSelect={onSolve}>
              Find the weights over {picked.length > 1 ? `these ${picked.length} shots` : 'some shots'}
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="my-1 h-px bg-line" />
            {(
              [
                ['zip', 'Keepers as PNG, in a ZIP'],
                ['pdf', 'Contact sheet as PDF'],
                ['png', 'Contact sheet as PNG'],
                ['csv', 'Measurements as CSV'],
              ] as const
            ).map(([form, name]) => (
              <DropdownMenu.Item key={form} asChild disabled={!anything} className={ITEM}>
                <a href={file(form)} download className="block">
                  {name}
                </a>
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </div>
  );
}
