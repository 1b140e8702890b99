import { useState } from 'react';
import type { MixInfluence, Series, SeriesSummary, ShotTake } from '../../api/client';
import { useConsistency, useMarkShotTake } from '../../api/series';
import { useSeriesActs } from '../../api/seriesActs';
import { Button } from '../../parts/Button';
import { EmptyState } from '../../parts/EmptyState';
import { useSources } from '../../shared/mix/useSources';
import { ContactSheet } from './ContactSheet';
import { KeepersSheet } from './KeepersSheet';
import { SeriesDialogs, type SeriesDialog } from './SeriesDialogs';
import { SeriesHeader } from './SeriesHeader';
import { SheetBar } from './SheetBar';
import { ShotDetail } from './ShotDetail';
import { fallOf } from './shots';
import { SwapView } from './SwapView';
import { useSeriesKeys } from './useSeriesKeys';
import { useSheet, type SheetState } from './useSheet';

interface Props {
  readonly series: Series;
  readonly all: readonly SeriesSummary[];
  readonly onNew: () => void;
}

/** The batch of a swap that is tried over the whole series, while nobody has kept or left it. */
const swapOf = ({ shots }: Series): string | undefined =>
  shots.flatMap((s) => s.takes).find((t) => t.trial?.kind === 'swap' && !t.trial.kept)?.trial?.batch;

/** A series: its head, its shots with the drift above them, the chosen one below. */
export function Sheet({ series, all, onNew }: Props) {
  const acts = useSeriesActs(series);
  const lookup = useSources([...series.influences, ...series.shots.flatMap((s) => s.own.added)] as never);
  const { data: consistency } = useConsistency(series.id);
  const { mutate: markTake } = useMarkShotTake(series.id);
  const [dialog, setDialog] = useState<SeriesDialog | undefined>(undefined);
  const sheet = useSheet(series, consistency);
  const { zoom, shots, chosen, take, picked, set, choose } = sheet;
  const mark = (one: ShotTake, marks: Parameters<typeof markTake>[0]['marks']) => markTake({ take: one, marks });
  useSeriesKeys({
    ...{ series, shots, chosen, take, zoom, acts, choose, mark },
    chooseTake: (id) => set({ take: id }),
    setZoom: (z) => set({ zoom: z }),
  });
  const swap = swapOf(series);
  return (
    <div className="flex h-full min-h-0 flex-col">
      <SeriesHeader
        series={series}
        all={all}
        consistency={consistency}
        lookup={lookup}
        acts={acts}
        picked={[...picked]}
        onSwap={(id) => setDialog({ swap: id })}
        onTune={() => setDialog('tune')}
        onSolve={() => setDialog('solve')}
        onNew={onNew}
      />
      {swap ? (
        <SwapView series={series} batch={swap} acts={acts} />
      ) : (
        <>
          <SheetBar
            {...{ series, consistency, lookup, zoom }}
            filter={sheet.filter}
            onFilter={(f) => set({ show: f === 'all' ? undefined : f })}
            onZoom={(z) => set({ zoom: z })}
            onAdd={() => setDialog('paste')}
          />
          <Shots {...{ series, consistency, lookup, acts, sheet, mark }} onPaste={() => setDialog('paste')} />
        </>
      )}
      <SeriesDialogs
        {...{ series, lookup, acts }}
        open={dialog}
        picked={[...picked]}
        onClose={() => setDialog(undefined)}
      />
    </div>
  );
}

interface ShotsProps {
  readonly series: Series;
  readonly consistency: ReturnType<typeof useConsistency>['data'];
  readonly lookup: ReturnType<typeof useSources>;
  readonly acts: ReturnType<typeof useSeriesActs>;
  readonly sheet: SheetState;
  readonly mark: (take: ShotTake, marks: Partial<Pick<ShotTake, 'keeper' | 'rating' | 'rejected'>>) => void;
  readonly onPaste: () => void;
}

/** The shots as closely as is asked for, or what to do where there are none. */
function Shots({ series, consistency, lookup, acts, sheet, mark, onPaste }: ShotsProps) {
  const { zoom, shots, chosen, take, picked, set, choose, pick, open } = sheet;
  const influences = series.influences as MixInfluence[];
  const placeOf = (id: string) => series.shots.findIndex((s) => s.id === id);
  if (zoom === 'keepers') return <KeepersSheet series={series} onOpen={open} />;
  if (!series.shots.length)
    return (
      <EmptyState
        title="No shots yet"
        action={
          <Button look="main" onClick={onPaste}>
            Add shots
          </Button>
        }
      >
        Paste your prompts, a line each: every line becomes a shot over this mix.
      </EmptyState>
    );
  if (!shots.length)
    return (
      <EmptyState title="No such shot" action={<Button onClick={() => set({ show: undefined })}>Show all</Button>}>
        None of the {series.shots.length} shots is in this state.
      </EmptyState>
    );
  return (
    <>
      {zoom !== 'shot' && (
        <div className={zoom === 'sheet' ? 'min-h-0 flex-1' : ''}>
          <ContactSheet
            {...{ shots, influences, consistency, lookup, zoom, picked }}
            all={series.shots}
            chosen={chosen?.id}
            onChoose={choose}
            onPick={pick}
            onOpen={open}
            onMove={(id, to) => {
              const shot = series.shots[placeOf(id)];
              if (shot) void acts.moveShot(shot, placeOf(to));
            }}
          />
        </div>
      )}
      {zoom !== 'sheet' && chosen && (
        <ShotDetail
          {...{ influences, lookup, acts, take }}
          seriesId={series.id}
          shot={chosen}
          number={placeOf(chosen.id) + 1}
          fall={fallOf(chosen, consistency)}
          onTake={(id) => set({ take: id })}
          onMark={mark}
        />
      )}
    </>
  );
}
