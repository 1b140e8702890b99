import type { Gives } from '@urbild/core';
import { useMemo, useState } from 'react';
import type { Mix, Take } from '../../api/client';
import { useSources } from '../../shared/mix/useSources';
import { BenchDialogs, type BenchDialog } from './BenchDialogs';
import { BenchDrag } from './BenchDrag';
import { BenchSide } from './BenchSide';
import { BenchTools } from './BenchTools';
import { Course } from './Course';
import { moved, showsMix, warningsFor } from './influences';
import { LightTable } from './LightTable';
import { StartDrop } from './StartDrop';
import { Tour } from './Tour';
import { Tray } from './Tray';
import { useTour } from './useTour';
import { useBenchKeys } from './useBenchKeys';
import { useBenchMix } from './useBenchMix';
import { useBenchTakes } from './useBenchTakes';
import { useCarried } from './useCarried';
import { useTakingIn } from './useTakingIn';

interface Props {
  readonly stored: Mix;
  readonly mixes: readonly Mix[];
  readonly gives: readonly Gives[];
  readonly onOpen: (mixId: string) => void;
  readonly onNew: () => void;
}

const NONE: readonly Take[] = [];

/** The instrument: tray, light table, readings, and the course below. */
export function Bench({ stored, mixes, gives, onOpen, onNew }: Props) {
  const [open, setOpen] = useState<BenchDialog | undefined>(undefined);
  const [painting, setPainting] = useState<string | undefined>(undefined);
  const takes = useBenchTakes(stored.id);
  const { all, kept, shown, isPending, show, cancel, follows } = takes;
  const bench = useBenchMix(stored, () => {
    if (follows) takes.ask({ quality: 'draft' });
  });
  const { mix, change, save } = bench;
  const lookup = useSources(mix.influences);
  const warnings = useMemo(() => warningsFor(mix, lookup, gives, shown), [mix, lookup, gives, shown]);
  const { add, startFrom } = useTakingIn(change);
  const onCarried = useCarried(gives, add);
  const render = async (count = 1) => {
    await save();
    for (let k = 0; k < count; k++)
      takes.ask({ quality: 'proof', ...(k ? { seed: (mix.settings.seed + k) % 0x100000000 } : {}) });
  };
  useBenchKeys({ render: () => void render(), undo: bench.undo, redo: bench.redo });
  const current = !!shown && showsMix(shown, mix);
  const fresh = !mix.prompt.trim();
  // while a weight is dragged neither of them changes: only the course is drawn anew
  const tray = useMemo(() => <Tray gives={gives} onAdd={add} onStart={startFrom} />, [gives, add, startFrom]);
  const table = useMemo(() => {
    const state = { current, fresh, loading: isPending };
    return <LightTable take={shown} takes={kept} {...state} onShow={show} onCancel={cancel} />;
  }, [shown, kept, current, isPending, fresh, show, cancel]);
  const tour = useTour();
  const close = () => {
    setOpen(undefined);
    setPainting(undefined);
  };
  return (
    <BenchDrag
      onAdd={add}
      onStart={startFrom}
      onMove={(lane, to) => change((m) => ({ ...m, influences: moved(m.influences, lane, to) }))}
    >
      <h1 className="sr-only">Bench: {mix.name}</h1>
      <div className="parts grid h-full grid-cols-[max(172px,9vw)_minmax(0,1fr)_max(264px,13vw)] grid-rows-[minmax(0,1fr)_auto]">
        {tray}
        <StartDrop onStart={startFrom}>{table}</StartDrop>
        <BenchSide
          {...{ bench, takes, mixes, mixId: stored.id, lookup, warnings, onOpen, onNew, onRender: render }}
          onMask={() => setPainting('start')}
        />
        <div data-part="low" className="col-span-3 max-h-[19rem] min-h-[12rem]">
          <Course
            mix={mix}
            take={shown}
            lookup={lookup}
            gives={gives}
            change={change}
            onRegion={(i) => setPainting(i.id)}
            onCarried={onCarried}
            tools={
              <BenchTools
                mixId={stored.id}
                able={mix.influences.length > 0}
                onOpen={(dialog) => void save().then(() => setOpen(dialog))}
              />
            }
          />
        </div>
      </div>
      <BenchDialogs
        open={open}
        painting={painting}
        onClose={close}
        mixId={stored.id}
        bench={bench}
        lookup={lookup}
        take={shown}
        takes={all ?? NONE}
      />
      {tour.on && <Tour onDone={tour.end} />}
    </BenchDrag>
  );
}
