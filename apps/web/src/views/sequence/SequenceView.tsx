import { useMemo } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { useProgress } from '../../api/events';
import { useSequence, useSequenceActs, useSteadiness, type Sequence } from '../../api/sequences';
import { Button } from '../../parts/Button';
import { EmptyState } from '../../parts/EmptyState';
import { FrameStrip } from './FrameStrip';
import { PlayerBar, RATES } from './PlayerBar';
import { SteadinessList } from './SteadinessList';
import { usePlayer } from './usePlayer';
import { moveInWords } from '../../shared/pictures/windows';
import { useKeys } from '../../shared/keys/useKeys';
import { useTitle } from '../../parts/useTitle';

const EXPORTS = [
  ['apng', 'Moving PNG'],
  ['webp', 'Moving WebP'],
  ['zip', 'Folder of frames'],
] as const;

/** A sequence: its frames played, held by one of them, measured, handed over. */
export function SequenceView() {
  const { sequenceId } = useParams();
  const { data, isPending, error } = useSequence(sequenceId!);
  useTitle('Sequence', data?.name);
  if (isPending) return <div className="skeleton h-full" role="status" aria-label="The sequence is being opened" />;
  if (!data)
    return (
      <EmptyState whole title="No such sequence" action={<Link to="/series">To the series</Link>}>
        {error?.message}
      </EmptyState>
    );
  return <Player key={data.id} sequence={data} />;
}

function Player({ sequence }: { sequence: Sequence }) {
  const [search, setSearch] = useSearchParams();
  const go = useNavigate();
  const acts = useSequenceActs(sequence.id);
  const set = (fields: Readonly<Record<string, string>>) =>
    setSearch((before) => new URLSearchParams([...new Map([...before, ...Object.entries(fields)])]), { replace: true });
  const rate = RATES.find((r) => String(r) === search.get('rate')) ?? 12;
  const held = sequence.held.length > 0 && search.get('show') !== 'free';
  const frames = held ? sequence.held : sequence.free;
  const urls = frames.map((f) => f.pictureUrl ?? '').join(' ');
  const pictures = useMemo(() => urls.split(' ').map((u) => u || undefined), [urls]);
  const { at, show, playing, setPlaying } = usePlayer(pictures, rate);
  const showStill = (frame: number) => {
    setPlaying(false);
    show(frame);
  };
  const done = frames.filter((f) => f.status === 'done').length;
  const finished = [sequence.free, sequence.held].map((all) => all.filter((f) => f.status === 'done').length).join(' ');
  const { data: steadiness } = useSteadiness(sequence.id, finished);
  const present = frames[at];
  const canHold = sequence.free[at]?.status === 'done' && sequence.hold !== at;
  const { holdBy } = acts;
  usePlayerKeys({
    ' ': () => setPlaying(!playing),
    ArrowRight: () => show(at + 1),
    ArrowLeft: () => show(at - 1),
    b: () => canHold && void holdBy(at),
  });
  return (
    <div className="grid h-full min-h-0 grid-cols-[minmax(0,1fr)_280px]">
      <section aria-label="Frames" data-main="Frames" className="flex min-h-0 min-w-0 flex-col bg-booth">
        <Stage frame={present} alt={`Frame ${at + 1} of ${frames.length}: ${sequence.prompt}`} />
        <PlayerBar
          at={at}
          count={frames.length}
          rate={rate}
          playing={playing}
          onPlay={setPlaying}
          onShow={showStill}
          onRate={(r) => set({ rate: r })}
        />
        <FrameStrip
          frames={frames}
          aspect={sequence.width / sequence.height}
          at={at}
          hold={sequence.hold}
          onShow={showStill}
        />
      </section>
      <aside aria-label="The sequence" className="flex min-h-0 flex-col gap-4 overflow-y-auto bg-paper p-4">
        <SequenceHead sequence={sequence} />
        {done < frames.length && (
          <p role="status" className="text-sm text-muted">
            {done} of {frames.length} frames are rendered.
          </p>
        )}
        {sequence.held.length > 0 && (
          <WhichFrames held={held} by={sequence.hold! + 1} onShow={(which) => set({ show: which })} />
        )}
        <HoldAll first={!sequence.held.length} able={canHold} onHold={() => void holdBy(at)} />
        <SteadinessList steadiness={steadiness} holds={sequence.held.length > 0} />
        <HandOver id={sequence.id} rate={rate} />
        <Button
          className="mt-auto"
          onClick={() => void acts.remove().then(() => go(`/series/${sequence.seriesId}?shot=${sequence.shotId}`))}
        >
          Put the sequence away
        </Button>
      </aside>
    </div>
  );
}

/** What keys do while a sequence is open. */
function usePlayerKeys(does: Readonly<Record<string, () => void>>): void {
  useKeys(({ key, mod, alt, target }) => {
    if (mod || alt) return false;
    // a button has a use for it itself
    if (key === ' ' && (target as HTMLElement).closest?.('button, a')) return false;
    does[key]?.();
    return key in does;
  });
}

function SequenceHead({ sequence }: { sequence: Sequence }) {
  return (
    <header>
      <Link to={`/series/${sequence.seriesId}?shot=${sequence.shotId}`} className="text-sm text-muted underline">
        back to the shot
      </Link>
      <h1 className="font-title text-2xl">{sequence.name}</h1>
      <p className="text-sm">{moveInWords(sequence.move).join('; ')}.</p>
    </header>
  );
}

function HoldAll({ first, able, onHold }: { first: boolean; able: boolean; onHold: () => void }) {
  return (
    <div className="flex flex-col gap-1.5">
      <Button look={first ? 'main' : 'quiet'} disabled={!able} onClick={onHold}>
        Hold all by this frame
      </Button>
      <p className="text-sm text-muted">
        Its strokes, colours and faces are carried along the move to every other frame, so that nothing is invented
        anew.
      </p>
    </div>
  );
}

function Stage({ frame, alt }: { frame: Sequence['free'][number] | undefined; alt: string }) {
  const progress = useProgress(frame?.takeId);
  const picture = frame?.pictureUrl ?? progress?.preview;
  return (
    <div className="relative grid min-h-0 flex-1 place-content-center">
      {picture ? (
        <img
          src={picture}
          alt={alt}
          className="absolute inset-4 h-[calc(100%-2rem)] w-[calc(100%-2rem)] object-contain"
        />
      ) : (
        <p className="text-caption">{frame?.error ?? 'This frame is queued.'}</p>
      )}
    </div>
  );
}

/** Chooses between the frames that are held by one of them and those that are each by itself. */
function WhichFrames({ held, by, onShow }: { held: boolean; by: number; onShow: (which: 'held' | 'free') => void }) {
  return (
    <div role="radiogroup" aria-label="Which frames" className="flex overflow-hidden rounded-lg border border-line">
      {(['held', 'free'] as const).map((which) => (
        <button
          key={which}
          type="button"
          role="radio"
          aria-checked={held === (which === 'held')}
          onClick={() => onShow(which)}
          className={`flex-1 px-2 py-1 text-sm ${held === (which === 'held') ? 'bg-ink text-paper' : 'bg-card hover:bg-shade'}`}
        >
          {which === 'held' ? `held by frame ${by}` : 'each by itself'}
        </button>
      ))}
    </div>
  );
}

/** Files that a sequence leaves as. */
function HandOver({ id, rate }: { id: string; rate: number }) {
  return (
    <section aria-label="Hand over" className="flex flex-col gap-1">
      <h2 className="text-sm font-semibold text-muted">Hand over</h2>
      {EXPORTS.map(([form, name]) => (
        <a
          key={form}
          href={`/api/v1/sequences/${id}/export/${form}?rate=${rate}`}
          download
          className="self-start py-1 underline decoration-edge underline-offset-2"
        >
          {name}
        </a>
      ))}
    </section>
  );
}
