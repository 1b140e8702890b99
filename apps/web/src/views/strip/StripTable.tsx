import { cellsOf } from '@urbild/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';
import { useAdopt, type MixState, type Strip } from '../../api/trials';
import { COMPARE_MODES } from '../../parts/ComparePictures';
import { useNotice } from '../../parts/notices';
import type { Lookup } from '../../shared/mix/lookup';
import { labelOf, titleOf } from './axisForm';
import { bestCell, scoreOf, type BestBy } from './cells';
import { StripCells } from './StripCells';
import { StripFoot } from './StripFoot';
import { StripStage } from './StripStage';
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
  // the best one of a finished strip is shown first; of one that is still coming in, the first stays until another is chosen
  const [first] = useState(best ?? 0);
  const chosen = Math.min(cells.length - 1, Number(search.get('cell') ?? first) || 0);
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
  if (!take) return <div className="skeleton h-full" />;
  return (
    <section
      aria-label={strip.name}
      className="grid h-full min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[minmax(0,1fr)_auto_auto]"
    >
      <StripStage
        take={take}
        label={label(chosen)}
        lookup={lookup}
        mode={mode}
        onMode={(m) => set('mode', m)}
        isProofing={proof.isPending}
        onProof={() => proof.mutate(chosen)}
        onAdopt={() => void takeOver()}
      />
      <StripCells
        strip={strip}
        lookup={lookup}
        label={label}
        chosen={chosen}
        best={best}
        onChoose={(k) => set('cell', String(k))}
      />
      <StripFoot
        title={axes.map((a) => titleOf(a, name)).join(', by ')}
        influences={strip.state.influences}
        lookup={lookup}
        text={search.get('best') ?? 'balanced'}
        onBest={(value) => set('best', value)}
        best={best === undefined ? undefined : { label: label(best), score: scoreOf(cells[best], by)! }}
      />
    </section>
  );
}

const bestBy = (text: string | null): BestBy =>
  !text || text === 'balanced' ? 'balanced' : text === 'words' ? 'words' : { influence: text };
