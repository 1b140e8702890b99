import { Stamp } from 'lucide-react';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import { memo } from 'react';
import type { FallsOut, Shot, ShotTake } from '../../api/client';
import { useProgress, type Progress } from '../../api/events';
import { HeldBy } from '../../parts/people/HeldBy';
import { Ring } from '../../parts/PencilMarks';
import { percent } from '../../shared/forms/figures';
import { lead, tries, underWay } from './shots';

interface Props {
  readonly shot: Shot;
  readonly number: number;
  readonly chosen: boolean;
  readonly picked: boolean;
  readonly fall: FallsOut | undefined;
  /** Large enough for words below the picture. */
  readonly worded: boolean;
  readonly onChoose: (id: string, e: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => void;
  readonly onOpen: (id: string) => void;
}

/** One shot of the contact sheet: the take that stands for it, its state, and - where there is room - its words. */
export const ShotTile = memo(function ShotTile({
  shot,
  number,
  chosen,
  picked,
  fall,
  worded,
  onChoose,
  onOpen,
}: Props) {
  const { setNodeRef: setDrag, listeners, isDragging } = useDraggable({ id: shot.id });
  const { setNodeRef: setDrop, isOver } = useDroppable({ id: shot.id });
  const take = lead(shot);
  const next = underWay(shot);
  const progress = useProgress(next?.id);
  const shown = take ?? next;
  const picture = (worded ? take?.pictureUrl : undefined) ?? take?.thumbnailUrl ?? progress?.preview;
  const stale = shot.stale.length > 0 && !!take && !next;
  const state = [
    fall && 'falls out',
    stale && `changed: ${shot.stale.join(', ')}`,
    next && (next.status === 'queued' ? 'queued' : 'is rendered'),
    take?.keeper && (take.approved ? (stale ? 'approval outdated' : 'approved') : 'keeper'),
    shot.skipped && 'skipped',
    tries(shot).length > 0 && 'something is tried',
  ].filter(Boolean);
  return (
    <li ref={setDrop} className={`min-w-0 ${isDragging ? 'opacity-40' : ''}`}>
      <button
        ref={setDrag}
        type="button"
        id={`shot-${shot.id}`}
        data-held={`shot ${shot.id}`}
        aria-pressed={chosen}
        aria-label={`Shot ${number}: ${shot.title}${state.length ? ` (${state.join('; ')})` : ''}`}
        {...listeners}
        onClick={(e) => onChoose(shot.id, e)}
        onDoubleClick={() => onOpen(shot.id)}
        className={`relative block w-full bg-black/15 outline-offset-2 ${chosen ? 'outline-3 outline-cinnabar' : picked ? 'outline-2 outline-caption' : ''} ${isOver ? 'ring-2 ring-white' : ''} ${shot.skipped ? 'opacity-40' : ''}`}
        style={{ aspectRatio: shown ? shown.width / shown.height : 1.5 }}
      >
        {picture ? (
          <img
            src={picture}
            alt=""
            loading="lazy"
            decoding="async"
            data-testid="shot-picture"
            className={`h-full w-full object-cover ${take ? 'arrive' : ''}`}
          />
        ) : (
          <span className="grid h-full place-content-center px-1 text-sm text-caption">
            {next ? 'queued' : 'not rendered'}
          </span>
        )}
        <Signs keeper={!!take?.keeper} approved={!!take?.approved} falls={!!fall} stale={stale} />
        {next && <UnderWay take={next} progress={progress} />}
        <HeldBy low what={`shot ${shot.id}`} />
      </button>
      <div className="mt-1.5 text-caption">
        <div className={`truncate leading-tight font-semibold ${worded ? 'font-title text-lg' : 'text-sm'}`}>
          <span className="figures">{number}</span> {shot.title}
        </div>
        {worded && <p className="line-clamp-2 text-sm">{shot.prompt}</p>}
      </div>
    </li>
  );
});

/** What is told by signs at the corners; the label of the tile says it in words. */
interface SignsProps {
  readonly keeper: boolean;
  readonly approved: boolean;
  readonly falls: boolean;
  readonly stale: boolean;
}

function Signs({ keeper, approved, falls, stale }: SignsProps) {
  return (
    <>
      {keeper && (
        <span className="absolute top-1 left-1 text-white">
          <Ring size={24} rimmed />
        </span>
      )}
      {approved && (
        <span className="absolute bottom-1 left-1 grid size-6 place-items-center bg-ink text-paper">
          <Stamp size={15} aria-hidden />
        </span>
      )}
      {falls ? (
        <span className="absolute top-1 right-1 rounded-full bg-cinnabar px-1.5 text-xs font-semibold text-white">
          falls out
        </span>
      ) : (
        stale && (
          <span className="absolute top-1 right-1 rounded-full bg-card px-1.5 text-xs font-semibold text-signal">
            {approved ? 'approval outdated' : 'changed'}
          </span>
        )
      )}
    </>
  );
}

function UnderWay({ take, progress }: { take: ShotTake; progress: Progress | undefined }) {
  return (
    <span className="absolute inset-x-0 bottom-0 block bg-black/65 text-left text-xs text-white">
      <span className="block h-1 bg-white" style={{ width: `${(progress?.fraction ?? 0) * 100}%` }} />
      <span className="block truncate px-1.5 py-0.5">
        {take.status === 'queued' ? 'queued' : `${progress?.step ?? 'begins'} ${percent(progress?.fraction ?? 0)}`}
      </span>
    </span>
  );
}
