import { Ban, Columns2, SquareSplitHorizontal, Star } from 'lucide-react';
import { useRef, useState, type PointerEvent } from 'react';
import { Link } from 'react-router';
import { useProgress, type Progress } from '../../api/events';
import { useChangeTake } from '../../api/trials';
import type { Take } from '../../api/client';
import { EmptyState } from '../../parts/EmptyState';
import { Tip } from '../../parts/Tip';
import { Filmstrip, FILTERS, type Filter } from './Filmstrip';
import { useMarkKeys } from '../../shared/keys/useMarkKeys';
import { percent } from '../../shared/forms/figures';
import { useLastPicture } from './lastPicture';
import { useHeld } from '../../shared/keys/useKeys';

interface Props {
  readonly take: Take | undefined;
  readonly takes: readonly Take[];
  /** The take shows what is on the bench now. */
  readonly current: boolean;
  readonly loading: boolean;
  /** Nothing is described yet: there is nothing to wait for. */
  readonly fresh: boolean;
  readonly onShow: (take: Take) => void;
  readonly onCancel: (take: Take) => void;
}

type Compare = 'beside' | 'wipe';

/** The light table: the take as large as it goes, its control beside or under a wipe, and the strip of takes. */
export function LightTable({ take, takes, current, loading, fresh, onShow, onCancel }: Props) {
  const change = useChangeTake();
  useMarkKeys(take);
  const [several, setSeveral] = useState<ReadonlySet<string>>(new Set());
  const [only, setOnly] = useState<Filter>('all');
  const [compare, setCompare] = useState<Compare>('beside');
  const [held, setHeld] = useState(false);
  const lastOnTable = useLastPicture(undefined);
  useHeld('c', setHeld);
  if (!take && lastOnTable && (loading || !fresh))
    return (
      <div className="flex h-full flex-col items-center justify-center bg-booth p-4">
        <img
          src={lastOnTable}
          alt="The last picture on the table"
          className="min-h-0 flex-1 object-contain opacity-60"
        />
        <p className="pt-2 text-sm text-white">
          {loading ? 'The takes are coming …' : 'Nothing rendered of this mix yet'}
        </p>
      </div>
    );
  if (loading)
    return (
      <div className="h-full bg-booth p-6">
        <div className="skeleton h-full w-2/3" />
      </div>
    );
  if (!take) {
    return (
      <div className="h-full bg-booth">
        <EmptyState dark title="Nothing on the light table yet">
          Say what the picture shows in the lane of the words, drag references into the course, then render a proof.
        </EmptyState>
      </div>
    );
  }
  const hasControl = !!take.control;
  return (
    <div className="flex h-full min-h-0 flex-col bg-booth">
      <div className="flex min-h-0 flex-1 items-center justify-center gap-4 px-4 pt-3">
        <figure className="flex h-full min-w-0 flex-1 flex-col items-center justify-center">
          <Main take={take} overlay={held || compare === 'wipe' ? take.control?.pictureUrl : undefined} whole={held} />
        </figure>
        {hasControl && compare === 'beside' && (
          <figure className="w-48 shrink-0">
            <div className="bg-black/15" style={{ aspectRatio: take.width / take.height }}>
              {take.control?.pictureUrl && (
                <img
                  src={take.control.pictureUrl}
                  alt="Control: the same words and seed without references"
                  className="arrive h-full w-full shadow-lg"
                />
              )}
            </div>
            <figcaption className="mt-1 text-sm text-white">Control, no references</figcaption>
          </figure>
        )}
      </div>
      <div className="flex items-center gap-3 px-4 pt-1 pb-1 text-sm text-white">
        <span className="font-semibold first-letter:uppercase">
          {held ? 'Control' : take.quality} · seed <span className="figures">{take.seed}</span>
        </span>
        <span data-testid="take-state">{stateText(take, current)}</span>
        {(take.status === 'queued' || take.status === 'rendering') && (
          <button type="button" className="underline" onClick={() => onCancel(take)}>
            Stop
          </button>
        )}
        <span className="ml-auto flex gap-1">
          {take.status === 'done' && (
            <>
              <Tip text={take.keeper ? 'A keeper; take the mark away (K)' : 'Mark it as a keeper (K)'}>
                <button
                  type="button"
                  aria-pressed={take.keeper}
                  aria-label="Keeper"
                  onClick={() => change.mutate({ take, change: { keeper: !take.keeper } })}
                  className="rounded p-1 hover:bg-white/15"
                >
                  <Star size={16} fill={take.keeper ? 'currentColor' : 'none'} aria-hidden />
                </button>
              </Tip>
              <Tip text={take.rejected ? 'Rejected; take the mark away (X)' : 'Reject it (X)'}>
                <button
                  type="button"
                  aria-pressed={take.rejected}
                  aria-label="Reject"
                  onClick={() => change.mutate({ take, change: { rejected: !take.rejected } })}
                  className={`rounded p-1 hover:bg-white/15 ${take.rejected ? 'bg-white/25' : ''}`}
                >
                  <Ban size={16} aria-hidden />
                </button>
              </Tip>
              <Link
                to={`/takes/${take.id}`}
                className="rounded px-1.5 py-1 underline underline-offset-2 hover:bg-white/15"
              >
                Open
              </Link>
            </>
          )}
          {hasControl && (
            <Tip text={compare === 'beside' ? 'Wipe between take and control' : 'Control beside the take'}>
              <button
                type="button"
                aria-label={compare === 'beside' ? 'Wipe between take and control' : 'Control beside the take'}
                onClick={() => setCompare(compare === 'beside' ? 'wipe' : 'beside')}
                className="rounded p-1 hover:bg-white/15"
              >
                {compare === 'beside' ? (
                  <SquareSplitHorizontal size={16} aria-hidden />
                ) : (
                  <Columns2 size={16} aria-hidden />
                )}
              </button>
            </Tip>
          )}
        </span>
      </div>
      <Filmstrip
        takes={takes.filter(FILTERS[only])}
        all={takes}
        shown={take.id}
        several={several}
        only={only}
        onOnly={setOnly}
        onShow={(t, add) => {
          if (add) setSeveral((s) => new Set(s.has(t.id) ? [...s].filter((x) => x !== t.id) : [...s, t.id]));
          else {
            setSeveral(new Set());
            onShow(t);
          }
        }}
      />
    </div>
  );
}

function stateText(take: Take, current: boolean): string {
  if (take.status === 'queued') return 'waits in line';
  if (take.status === 'rendering') return 'is being rendered';
  if (take.status === 'failed') return take.error ?? 'failed';
  if (take.status === 'cancelled') return 'was stopped';
  const took = take.took ? `, in ${(take.took / 1000).toFixed(1)} s` : '';
  return current ? `made from what lies on the bench${took}` : `made from earlier weights or words${took}`;
}

/** The take in its aspect, as large as the table lets it be; while it is rendered, the growing picture. */
function Main({ take, overlay, whole }: { take: Take; overlay: string | undefined; whole: boolean }) {
  const progress = useProgress(take.id);
  const [at, setAt] = useState(0.5);
  const box = useRef<HTMLDivElement>(null);
  const move = (e: PointerEvent) => {
    const r = box.current!.getBoundingClientRect();
    setAt(Math.min(1, Math.max(0, (e.clientX - r.left) / r.width)));
  };
  const own = take.pictureUrl ?? progress?.preview;
  // the last picture stays until the next one is there
  const before = useLastPicture(own);
  const picture = own ?? before;
  const part = whole ? 1 : at;
  return (
    <div className="flex min-h-0 w-full flex-1 items-center justify-center" style={{ containerType: 'size' }}>
      <div
        ref={box}
        className="relative bg-black/15 shadow-[0_6px_24px_rgb(0_0_0/0.35)]"
        style={{ aspectRatio: take.width / take.height, width: `min(100cqw, ${(take.width / take.height) * 100}cqh)` }}
        onPointerMove={overlay && !whole ? move : undefined}
      >
        {picture && (
          <img
            src={picture}
            alt={`Take: ${take.prompt}`}
            data-testid="take-picture"
            className={`h-full w-full object-contain ${take.pictureUrl ? 'arrive' : progress?.preview ? 'blur-[1.5px]' : ''}`}
          />
        )}
        {overlay && (
          <>
            <img
              src={overlay}
              alt="Control"
              className="absolute inset-0 h-full w-full"
              style={{ clipPath: `inset(0 ${(1 - part) * 100}% 0 0)` }}
            />
            {!whole && <WipeEdge at={at} onMove={setAt} />}
          </>
        )}
        {!take.pictureUrl && (take.status === 'queued' || take.status === 'rendering') && (
          <ProgressLine progress={progress} />
        )}
      </div>
    </div>
  );
}

function WipeEdge({ at, onMove }: { at: number; onMove: (at: number) => void }) {
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label="Wipe between control and take"
      aria-valuenow={Math.round(at * 100)}
      aria-valuemin={0}
      aria-valuemax={100}
      className="absolute inset-y-0 w-0.5 bg-white"
      style={{ left: `${at * 100}%` }}
      onKeyDown={(e) => {
        if (e.key === 'ArrowLeft') onMove(Math.max(0, at - 0.05));
        if (e.key === 'ArrowRight') onMove(Math.min(1, at + 0.05));
      }}
    />
  );
}

function ProgressLine({ progress }: { progress: Progress | undefined }) {
  const fraction = progress?.fraction ?? 0;
  return (
    <div className="absolute inset-x-0 bottom-0 bg-gradient-to-t from-black/70 to-transparent px-3 pt-6 pb-2 text-sm text-white">
      <div className="mb-1">{progress ? `${progress.step} · ${percent(fraction)}` : 'waits in line'}</div>
      <div
        role="progressbar"
        aria-label="Rendering"
        aria-valuenow={Math.round(fraction * 100)}
        className="h-1 bg-white/25"
      >
        <div className="h-1 bg-white transition-[width]" style={{ width: `${fraction * 100}%` }} />
      </div>
    </div>
  );
}
