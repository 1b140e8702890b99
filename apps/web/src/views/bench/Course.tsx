import { useDroppable } from '@dnd-kit/core';
import { CHANNELS, type Gives } from '@urbild/core';
import { useMemo, useRef, useState, type ReactNode, type PointerEvent } from 'react';
import type { MixInfluence } from '../../api/client';
import { carriedIn, isCarrying, type Carried } from '../../parts/carry';
import { KindSign } from '../../parts/KindSign';
import { HUES } from '../../theme/kinds';
import { InfluenceChart } from './InfluenceChart';
import type { Lookup } from '../../shared/mix/lookup';
import { alone, changed, moved } from './influences';
import { percent } from '../../shared/forms/figures';
import { useWorked } from '../../api/trials';
import { Lane, LANE } from './Lane';
import { LaneHead } from './LaneHead';
import { sharesFor, type ChartChannel } from './shares';
import type { Change, Edited } from './useBenchMix';
import { WordsLane } from './WordsLane';

interface Props {
  readonly mix: Edited;
  readonly lookup: Lookup;
  readonly gives: readonly Gives[];
  readonly change: (change: Change, live?: boolean) => void;
  readonly onRegion: (influence: MixInfluence) => void;
  /** Something was dropped from another window. */
  readonly onCarried: (carried: Carried) => void;
  /** Further instruments, at the right of the head. */
  readonly tools?: ReactNode;
}

const TICKS = [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1];
const CHANNEL_NAMES: readonly ChartChannel[] = ['all', ...CHANNELS.filter((c) => c !== 'pose')];

/** The course of a generation from start to end, with a lane for the words and one for every influence. */
export function Course({ mix, lookup, gives, change, onRegion, onCarried, tools }: Props) {
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const worked = useWorked(mix.influences.map((i) => i.referenceId));
  const [channel, setChannel] = useState<ChartChannel>('all');
  const band = useRef<HTMLDivElement>(null);
  const { setNodeRef, isOver } = useDroppable({ id: 'course' });
  const weighing = useMemo(
    () => ({ influences: mix.influences, balance: mix.settings.balance }),
    [mix.influences, mix.settings.balance],
  );
  const hues = useMemo(() => mix.influences.map(lookup.hue), [mix.influences, lookup]);
  const set = (id: string, fields: Partial<MixInfluence>, live = false) =>
    change((m) => ({ ...m, influences: changed(m.influences, id, fields, chosen) }), live);
  const choose = (id: string) =>
    setChosen((all) => new Set(all.has(id) ? [...all].filter((one) => one !== id) : [...all, id]));
  const solo = (id: string) => change((m) => ({ ...m, influences: alone(m.influences, id) }));
  const remove = (id: string) => change((m) => ({ ...m, influences: m.influences.filter((i) => i.id !== id) }));
  const [at, setAt] = useState<number | undefined>(undefined);
  /** The shares are read off wherever the pointer rests on the course, but not where it takes hold of something. */
  const readOff = (e: PointerEvent) => {
    const held = e.buttons > 0 || (e.target as HTMLElement).closest('[role=slider], button, input');
    const box = band.current!.getBoundingClientRect();
    setAt(held ? undefined : Math.min(1, Math.max(0, (e.clientX - box.left) / box.width)));
  };
  return (
    <section
      ref={setNodeRef}
      aria-label="Course"
      onDragOver={(e) => isCarrying(e) && e.preventDefault()}
      onDrop={(e) => {
        const carried = carriedIn(e);
        if (!carried) return;
        e.preventDefault();
        e.stopPropagation();
        onCarried(carried);
      }}
      className={`grid h-full grid-cols-[248px_minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)] border-t border-line bg-paper ${isOver ? 'ring-3 ring-cinnabar ring-inset' : ''}`}
    >
      <div className="flex items-center justify-between border-r border-line px-3 text-sm font-semibold text-muted">
        <span>{chosen.size > 1 ? `${chosen.size} scaled together` : 'Influences'}</span>
        <span>weight</span>
      </div>
      <div className="flex h-7 items-center gap-3 pr-4 pl-3">
        <fieldset className="flex items-center gap-1" aria-label="Shares shown for">
          {CHANNEL_NAMES.map((c) => (
            <button
              key={c}
              type="button"
              aria-pressed={channel === c}
              onClick={() => setChannel(c)}
              className={`rounded px-1.5 py-0.5 text-sm ${channel === c ? 'bg-ink text-paper' : 'text-muted hover:text-ink'}`}
            >
              {c === 'all' ? 'all shares' : c}
            </button>
          ))}
        </fieldset>
        {tools}
        <span className="ml-auto hidden text-sm text-muted 2xl:inline">
          layout and colours are decided early, the surface late
        </span>
      </div>
      <div className="col-span-2 grid min-h-0 grid-cols-[248px_minmax(0,1fr)] overflow-y-auto">
        <div className="border-r border-line">
          <div className="flex items-center gap-2 px-2" style={{ height: LANE }}>
            <span className="grid size-8 shrink-0 place-content-center rounded-sm bg-shade">
              <KindSign kind="words" />
            </span>
            <div className="leading-tight">
              <div className="font-semibold">The words</div>
              <div className="text-sm text-muted">have what is left</div>
            </div>
          </div>
          {mix.influences.map((i) => (
            <LaneHead
              key={i.id}
              influence={i}
              thumbnailUrl={lookup.source(i)?.thumbnailUrl}
              name={lookup.name(i)}
              hue={lookup.hue(i)}
              gives={gives}
              onChange={(f) => set(i.id, f)}
              onRemove={() => remove(i.id)}
              chosen={chosen.has(i.id)}
              onChoose={() => choose(i.id)}
              onRegion={() => onRegion(i)}
              onSolo={() => solo(i.id)}
            />
          ))}
        </div>
        <div className="relative mr-4 ml-3 flex flex-col">
          <div ref={band} className="relative" onPointerMove={readOff} onPointerLeave={() => setAt(undefined)}>
            <Ticks />
            <InfluenceChart mix={weighing} channel={channel} hues={hues} />
            <div className="relative" style={{ height: LANE }}>
              <div className="absolute inset-y-1.5 right-0 left-0 overflow-hidden rounded border border-line bg-card/60">
                <WordsLane prompt={mix.prompt} onChange={(prompt) => change((m) => ({ ...m, prompt }))} />
              </div>
            </div>
            <div className="relative">
              {mix.influences.map((i) => (
                <Lane
                  key={i.id}
                  influence={i}
                  name={lookup.name(i)}
                  hue={lookup.hue(i)}
                  band={() => band.current?.clientWidth ?? 1}
                  onChange={(f, live) => set(i.id, f, live)}
                  onRemove={() => remove(i.id)}
                  onMove={(by) => change((m) => ({ ...m, influences: moved(m.influences, i.id, by) }))}
                  onSolo={() => solo(i.id)}
                  worked={worked.get(i.referenceId)}
                />
              ))}
              <Reader at={at} weighing={weighing} channel={channel} influences={mix.influences} lookup={lookup} />
            </div>
          </div>
          <TickLabels />
          {!mix.influences.length && (
            <p className="grid flex-1 place-content-center p-3 text-center text-muted">
              Drag a picture from the tray into the course, or choose it there and press Enter.
            </p>
          )}
        </div>
      </div>
    </section>
  );
}

function Ticks() {
  return (
    <div aria-hidden="true" className="absolute inset-0">
      {TICKS.map((t) => (
        <div key={t} className="absolute inset-y-0 w-px bg-line/70" style={{ left: `${t * 100}%` }} />
      ))}
    </div>
  );
}

function TickLabels() {
  return (
    <div aria-hidden="true" className="figures relative h-5 shrink-0 text-xs text-muted">
      {TICKS.map((t) => (
        <span
          key={t}
          className="absolute top-0.5 whitespace-nowrap"
          style={{ left: `${t * 100}%`, transform: `translateX(${t === 0 ? 0 : t === 1 ? -100 : -50}%)` }}
        >
          {Math.round(t * 100)} %
        </span>
      ))}
    </div>
  );
}

/** All shares at the moment under the pointer. */
function Reader({
  at,
  weighing,
  channel,
  influences,
  lookup,
}: {
  at: number | undefined;
  weighing: Parameters<typeof sharesFor>[0];
  channel: ChartChannel;
  influences: readonly MixInfluence[];
  lookup: Lookup;
}) {
  const shares = at === undefined ? undefined : sharesFor(weighing, channel, at);
  return (
    <div aria-hidden="true" className="pointer-events-none absolute inset-x-0 -top-[44px] h-[44px]">
      {shares && (
        <div className="absolute top-0 z-30" style={{ left: `${at! * 100}%` }}>
          <div className="absolute top-0 w-px bg-cinnabar" style={{ height: LANE * (influences.length + 1) }} />
          <div
            className={`absolute top-1 w-52 rounded-lg bg-ink px-3 py-2 text-sm text-paper shadow-lg ${at! > 0.75 ? 'right-2' : 'left-2'}`}
          >
            <div className="mb-1 font-semibold">
              at {percent(at!)}, {channel === 'all' ? 'all channels' : channel}
            </div>
            {influences.map((i, k) => (
              <div key={i.id} className="flex items-center gap-2">
                <span className="size-2 rounded-full" style={{ background: HUES[lookup.hue(i)] }} />
                <span className="flex-1 truncate">{lookup.name(i)}</span>
                <span className="figures">{percent(shares.influences[k])}</span>
              </div>
            ))}
            <div className="flex justify-between">
              <span>the words</span>
              <span className="figures">{percent(shares.words)}</span>
            </div>
          </div>
        </div>
      )}
    </div>
  );
}
