import { useDroppable } from '@dnd-kit/core';
import type { Gives } from '@urbild/core';
import { useState, type ReactNode } from 'react';
import type { MixInfluence, Take } from '../../api/client';
import { carriedIn, isCarrying, type Carried } from '../../parts/carry';
import { KindSign } from '../../parts/KindSign';
import type { Lookup } from '../../shared/mix/lookup';
import { ChannelChoice } from './ChannelChoice';
import { CourseBand } from './CourseBand';
import { LANE } from './Lane';
import { LaneHead } from './LaneHead';
import type { ChartChannel } from './shares';
import type { Change, Edited } from './useBenchMix';
import { useCourseActs } from './useCourseActs';
import { OneStop } from '../../shared/keys/OneStop';

interface Props {
  readonly mix: Edited;
  readonly lookup: Lookup;
  /** The picture on the table. */
  readonly take?: Take;
  readonly gives: readonly Gives[];
  readonly change: (change: Change, live?: boolean) => void;
  readonly onRegion: (influence: MixInfluence) => void;
  /** Something was dropped from another window. */
  readonly onCarried: (carried: Carried) => void;
  /** Further instruments, at the right of the head. */
  readonly tools?: ReactNode;
}

/** What of the heads of lanes the arrows go through. */
const LANE_ACTS = 'button:not(:disabled), input';

/** The course of a generation from start to end, with a lane for the words and one for every influence. */
export function Course({ mix, take, lookup, gives, change, onRegion, onCarried, tools }: Props) {
  const acts = useCourseActs(change);
  const [channel, setChannel] = useState<ChartChannel>('all');
  const { setNodeRef, isOver } = useDroppable({ id: 'course' });
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
      className={`grid h-full grid-cols-[clamp(256px,21vw,340px)_minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)] border-t border-line bg-paper ${isOver ? 'ring-3 ring-cinnabar ring-inset' : ''}`}
    >
      <div className="flex items-center justify-between border-r border-line px-3 text-sm font-semibold text-muted">
        <span>{acts.chosen.size > 1 ? `${acts.chosen.size} scaled together` : 'Influences'}</span>
        <span>weight</span>
      </div>
      <div className="flex h-7 items-center gap-3 pr-4 pl-3 max-[900px]:h-auto max-[900px]:flex-wrap">
        <ChannelChoice channel={channel} onChannel={setChannel} />
        {tools}
        <span className="ml-auto hidden text-sm text-muted 2xl:inline">
          layout and colours are decided early, the surface late
        </span>
      </div>
      <div className="col-span-2 grid min-h-0 grid-cols-[clamp(256px,21vw,340px)_minmax(0,1fr)] overflow-y-auto">
        <OneStop of={LANE_ACTS} role="group" aria-label="Lanes" className="border-r border-line">
          <WordsHead />
          {mix.influences.map((i) => (
            <LaneHead
              key={i.id}
              influence={i}
              thumbnailUrl={lookup.source(i)?.thumbnailUrl}
              name={lookup.name(i)}
              hue={lookup.hue(i)}
              gives={gives}
              onChange={(f) => acts.set(i.id, f)}
              onRemove={() => acts.remove(i.id)}
              chosen={acts.chosen.has(i.id)}
              onChoose={() => acts.choose(i.id)}
              onRegion={() => onRegion(i)}
              onSolo={() => acts.solo(i.id)}
            />
          ))}
        </OneStop>
        <CourseBand mix={mix} take={take} lookup={lookup} channel={channel} acts={acts} />
      </div>
    </section>
  );
}

function WordsHead() {
  return (
    <div className="flex items-center gap-2 px-2" style={{ height: LANE }}>
      <span className="grid size-8 shrink-0 place-content-center rounded-sm bg-shade">
        <KindSign kind="words" />
      </span>
      <div className="leading-tight">
        <div className="font-semibold">The prompt</div>
        <div className="text-sm text-muted">takes the rest</div>
      </div>
    </div>
  );
}
