import { useMemo, useRef, useState, type PointerEvent } from 'react';
import type { Take } from '../../api/client';
import { useWorked } from '../../api/trials';
import type { Lookup } from '../../shared/mix/lookup';
import { InfluenceChart } from './InfluenceChart';
import { HeldBy } from '../../parts/people/HeldBy';
import { Lane, LANE } from './Lane';
import type { CourseActs } from './useCourseActs';
import type { ChartChannel } from './shares';
import { SharesAt } from './SharesAt';
import { TickLabels, Ticks } from './Ticks';
import type { Edited } from './useBenchMix';
import { WordsLane } from './WordsLane';

interface Props {
  readonly mix: Edited;
  /** The picture on the table. */
  readonly take?: Take;
  readonly lookup: Lookup;
  readonly channel: ChartChannel;
  readonly acts: CourseActs;
}

/** The lanes over time with the chart of shares behind them; where the pointer rests the shares are read off. */
export function CourseBand({ mix, take, lookup, channel, acts }: Props) {
  const worked = useWorked(mix.influences.map((i) => i.referenceId));
  const band = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState<number | undefined>(undefined);
  const weighing = useMemo(
    () => ({ influences: mix.influences, balance: mix.settings.balance }),
    [mix.influences, mix.settings.balance],
  );
  const hues = useMemo(() => mix.influences.map(lookup.hue), [mix.influences, lookup]);
  /** Not where the pointer takes hold of something. */
  const readOff = (e: PointerEvent) => {
    const held = e.buttons > 0 || (e.target as HTMLElement).closest('[role=slider], button, input');
    const box = band.current!.getBoundingClientRect();
    setAt(held ? undefined : Math.min(1, Math.max(0, (e.clientX - box.left) / box.width)));
  };
  return (
    <div className="relative mr-4 ml-3 flex flex-col">
      <div ref={band} className="relative" onPointerMove={readOff} onPointerLeave={() => setAt(undefined)}>
        <Ticks />
        <InfluenceChart mix={weighing} channel={channel} hues={hues} />
        <div data-held="words" className="relative" style={{ height: LANE }}>
          <div className="absolute inset-y-1.5 right-0 left-0 overflow-hidden rounded border border-line bg-card/60">
            <WordsLane prompt={mix.prompt} take={take} onChange={acts.say} />
          </div>
          <HeldBy what="words" />
        </div>
        <div className="relative">
          {mix.influences.map((i) => (
            <Lane
              key={i.id}
              influence={i}
              name={lookup.name(i)}
              hue={lookup.hue(i)}
              band={() => band.current?.clientWidth ?? 1}
              onChange={(f, live) => acts.set(i.id, f, live)}
              onRemove={() => acts.remove(i.id)}
              onMove={(by) => acts.move(i.id, by)}
              onSolo={() => acts.solo(i.id)}
              worked={worked.get(i.referenceId)}
            />
          ))}
          <SharesAt at={at} weighing={weighing} channel={channel} influences={mix.influences} lookup={lookup} />
        </div>
      </div>
      <TickLabels />
      {!mix.influences.length && (
        <p className="grid flex-1 place-content-center p-3 text-center text-muted">
          Drag a picture from the tray into the course, or choose it there and press Enter.
        </p>
      )}
    </div>
  );
}
