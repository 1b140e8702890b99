import { cellsOf } from '@urbild/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { api, ask, type Take } from '../../api/client';
import { useProgress } from '../../api/events';
import { keys } from '../../api/keys';
import { useAdopt, type MixState, type Strip } from '../../api/trials';
import { Button } from '../../parts/Button';
import { COMPARE_MODES, CompareModes, ComparePictures, type CompareMode } from '../../parts/ComparePictures';
import { useNotice } from '../../parts/notices';
import type { Lookup } from '../../shared/mix/lookup';
import { percent } from '../../shared/forms/figures';
import { ArrivalCurves } from './ArrivalCurves';
import { labelOf, titleOf } from './axisForm';
import { bestCell, scoreOf, type BestBy } from './cells';
import { useKeys } from '../../shared/keys/useKeys';

interface Props {
  readonly strip: Strip;
  readonly lookup: Lookup;
  readonly name: (id: string) => string;
}

/** A strip: the chosen cell large against its control, the cells with their values, the curves beneath. */
export function StripTable({ strip, lookup, name }: Props) {
  const client = useQueryClient();
  const tell = useNotice();
  const go = useNavigate();
  const adopt = useAdopt(strip.mixId);
  const [search, setSearch] = useSearchParams();
  const { cells, axes } = strip;
  const [across, down] = axes;
  const wide = across.values.length;
  const by = bestBy(search.get('best'));
  const best = bestCell(cells, by);
  const chosen = Math.min(cells.length - 1, Number(search.get('cell') ?? best ?? 0) || 0);
  const mode = COMPARE_MODES.find((m) => m === search.get('mode')) ?? 'beside';
  const set = (key: string, value: string) =>
    setSearch((b) => new URLSearchParams([...[...b].filter(([k]) => k !== key), [key, value]]), { replace: true });
  const proof = useMutation({
    mutationFn: (cell: number) =>
      ask(api.POST('/api/v1/strips/{id}/proof', { params: { path: { id: strip.id } }, body: { cell } })),
    onSuccess: (s) =>
      client.setQueryData<Strip[]>(keys.strips(strip.mixId), (all) => all?.map((x) => (x.id === s.id ? s : x))),
    onError: (e) => tell(e.message, { grave: true }),
  });
  const label = (k: number) =>
    [labelOf(across, across.values[k % wide], name), down && labelOf(down, down.values[Math.floor(k / wide)], name)]
      .filter(Boolean)
      .join(', ');
  const takeOver = async () => {
    const state = cellsOf(strip.state, axes)[chosen] as unknown as MixState;
    if (await adopt(state, `The mix has ${label(chosen)} now.`)) void go(`/bench/${strip.mixId}`);
  };
  useKeys(({ key, mod, target }) => {
    const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -wide, ArrowDown: wide }[key];
    if (by === undefined || mod || (target as HTMLElement).closest?.('[role=group]')) return false;
    const next = chosen + by;
    if (next < 0 || next >= cells.length) return false;
    set('cell', String(next));
    return true;
  });
  const take = cells[chosen];
  const control = cells.find((c) => c.control)?.control;
  const aspect = take ? take.width / take.height : 1.5;
  if (!take) return <div className="skeleton h-full" />;
  return (
    <section
      aria-label={strip.name}
      className="grid h-full min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[minmax(0,1fr)_auto_auto]"
    >
      <div className="flex min-h-0 flex-col bg-booth">
        <div className="min-h-0 flex-1 px-4 pt-3">
          <ComparePictures
            mode={mode}
            pictures={[
              { url: take.pictureUrl, label: label(chosen), alt: `${take.prompt}: ${label(chosen)}`, aspect },
              ...(take.control
                ? [
                    {
                      url: take.control.pictureUrl,
                      label: 'control',
                      alt: 'The same words and seed without references',
                      aspect,
                    },
                  ]
                : []),
            ]}
          />
        </div>
        <div className="flex min-w-0 items-center gap-3 px-4 py-2 text-white">
          <CompareModes mode={mode} onMode={(m: CompareMode) => set('mode', m)} />
          <span className="figures ml-auto min-w-0 truncate text-sm" title={measured(take, lookup)}>
            {measured(take, lookup)}
          </span>
          <Link to={`/takes/${take.id}`} className="text-sm underline underline-offset-2">
            Open
          </Link>
          <Button
            onClick={() => proof.mutate(chosen)}
            disabled={take.quality !== 'draft' || proof.isPending}
            className="py-1 whitespace-nowrap"
          >
            {take.quality === 'draft' ? 'Proof of it' : 'is a proof'}
          </Button>
          <Button look="main" onClick={() => void takeOver()} className="py-1">
            Adopt
          </Button>
        </div>
      </div>
      <div className="flex max-h-[17rem] min-h-0 gap-3 overflow-auto border-t border-line bg-paper px-4 py-2">
        {control && (
          <figure className="w-28 shrink-0">
            <div className="bg-shade" style={{ aspectRatio: aspect }}>
              {control.thumbnailUrl && <img src={control.thumbnailUrl} alt="Control" className="h-full w-full" />}
            </div>
            <figcaption className="text-sm text-muted">control</figcaption>
          </figure>
        )}
        <div className="min-w-0 flex-1">
          <ul
            aria-label="Cells"
            className="grid gap-1.5"
            style={{ gridTemplateColumns: `repeat(${wide}, minmax(5.5rem, ${down ? '9rem' : '1fr'}))` }}
          >
            {cells.map((cell, k) => (
              <Cell
                key={k}
                take={cell}
                label={label(k)}
                chosen={k === chosen}
                best={k === best}
                onChoose={() => set('cell', String(k))}
              />
            ))}
          </ul>
          {!down && (
            <div className="-mx-[3px] pt-1">
              <ArrivalCurves
                cells={cells}
                labels={cells.map((_, k) => label(k))}
                influences={strip.state.influences}
                lookup={lookup}
              />
            </div>
          )}
        </div>
      </div>
      <div className="flex flex-wrap items-center gap-x-2 border-t border-line bg-paper px-4 py-1.5 text-sm">
        <span className="font-semibold first-letter:uppercase">{axes.map((a) => titleOf(a, name)).join(', by ')}</span>
        <label className="ml-auto flex items-center gap-2 text-muted">
          marked as best:
          <select
            value={search.get('best') ?? 'balanced'}
            onChange={(e) => set('best', e.target.value)}
            className="max-w-80 rounded border border-line bg-card px-1 py-0.5 text-ink"
          >
            <option value="balanced">where references and words are best together</option>
            <option value="words">where most of the words is kept</option>
            {strip.state.influences.map((i) => (
              <option key={i.id} value={i.id}>
                where {lookup.name(i)} arrives furthest
              </option>
            ))}
          </select>
        </label>
        {best !== undefined && (
          <span className="figures">
            {label(best)}: {percent(scoreOf(cells[best], by)!)}
          </span>
        )}
      </div>
    </section>
  );
}

const bestBy = (text: string | null): BestBy =>
  !text || text === 'balanced' ? 'balanced' : text === 'words' ? 'words' : { influence: text };

function measured(take: Take, lookup: Lookup): string {
  if (take.status !== 'done') return take.status === 'failed' ? (take.error ?? 'failed') : '';
  return [
    ...take.arrivals.flatMap((a) => {
      const influence = take.influences.find((i) => i.id === a.influenceId);
      return influence && a.overall !== undefined ? [`${lookup.name(influence)} ${percent(a.overall)}`] : [];
    }),
    ...(take.wordsKept === undefined ? [] : [`words ${percent(take.wordsKept)}`]),
  ].join(' · ');
}

interface CellProps {
  readonly take: Take;
  readonly label: string;
  readonly chosen: boolean;
  readonly best: boolean;
  readonly onChoose: () => void;
}

function Cell({ take, label, chosen, best, onChoose }: CellProps) {
  const progress = useProgress(take.id);
  const picture = take.thumbnailUrl ?? progress?.preview;
  return (
    <li>
      <button
        type="button"
        aria-current={chosen}
        aria-label={`${label}, ${take.status}${best ? ', best' : ''}`}
        data-testid="cell"
        data-status={take.status}
        onClick={onChoose}
        className={`block w-full text-left ${chosen ? 'outline-3 outline-offset-1 outline-cinnabar' : ''}`}
      >
        <span className="relative block bg-shade" style={{ aspectRatio: take.width / take.height }}>
          {picture && <img src={picture} alt="" className="h-full w-full object-cover" />}
          {best && (
            <span className="absolute right-0 bottom-0 bg-ink px-1.5 text-xs font-semibold text-paper">best</span>
          )}
          {!picture && (
            <span className="absolute inset-0 grid place-content-center text-xs text-muted">
              {take.status === 'failed' ? 'failed' : 'in line'}
            </span>
          )}
        </span>
        <span className={`figures block truncate text-sm ${chosen ? 'font-semibold' : ''}`} title={label}>
          {label}
        </span>
      </button>
    </li>
  );
}
