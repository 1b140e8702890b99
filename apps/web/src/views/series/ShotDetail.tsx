import { arrivalText, isByName } from '@urbild/core';
import { Copy, EyeOff, Film, FlaskConical, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { FallsOut, MixInfluence, Shot, ShotTake } from '../../api/client';
import { useProgress } from '../../api/events';
import type { SeriesActs } from '../../api/seriesActs';
import { Button } from '../../parts/Button';
import { KindSign } from '../../parts/KindSign';
import { Tip } from '../../parts/Tip';
import { HUES } from '../../theme/kinds';
import { Approval } from '../../shared/pictures/Approval';
import { CommentsPart } from '../../shared/comments/CommentsPart';
import { useTalk } from '../../shared/comments/useTalk';
import type { Lookup } from '../../shared/mix/lookup';
import { percent } from '../../shared/forms/figures';
import { MotionDialog } from './MotionDialog';
import { SequencesOf } from './SequencesOf';
import { FallsOutBox } from './FallsOutBox';
import { OwnSettings } from './OwnSettings';
import { arrivalAt, ownTakes, tries, underWay } from './shots';
import { ShotWords } from './ShotWords';
import { TakeRow } from './TakeRow';

interface Props {
  readonly seriesId: string;
  readonly shot: Shot;
  readonly number: number;
  readonly fall: FallsOut | undefined;
  readonly influences: readonly MixInfluence[];
  readonly lookup: Lookup;
  readonly acts: SeriesActs;
  /** The take on the table. */
  readonly take: ShotTake | undefined;
  readonly onTake: (id: string) => void;
  readonly onMark: (take: ShotTake, marks: Partial<Pick<ShotTake, 'keeper' | 'rating' | 'rejected'>>) => void;
}

/** The chosen shot: its words and settings, its take beside what is tried or beside its control, and what arrived. */
export function ShotDetail({ seriesId, shot, number, fall, influences, lookup, acts, take, onTake, onMark }: Props) {
  const [moving, setMoving] = useState(false);
  const talk = useTalk({ shotId: shot.id });
  const attempt = tries(shot)[0];
  const shared = influences.filter((i) => !isByName(i) || shot.acting.includes(i.id));
  const all = [...shared, ...(shot.own.added as MixInfluence[])];
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[288px_minmax(0,1fr)_256px]">
      <section aria-label={`Shot ${number}`} className="flex min-h-0 flex-col gap-3 overflow-y-auto bg-paper p-4">
        <ShotHead shot={shot} number={number} acts={acts} onMotion={() => setMoving(true)} />
        {fall && <FallsOutBox fall={fall} shot={shot} acts={acts} />}
        <ShotWords key={shot.id} shot={shot} acts={acts} />
        {shot.stale.length > 0 && take && (
          <p className="text-sm text-muted">
            <strong className="text-ink">Changed since:</strong> {shot.stale.join(', ')}
          </p>
        )}
        {!attempt && take?.olderEngine && take.status === 'done' && <OlderEngine shot={shot} take={take} acts={acts} />}
        <SequencesOf seriesId={seriesId} shotId={shot.id} />
        <OwnSettings shot={shot} influences={shared} lookup={lookup} acts={acts} />
      </section>
      <section aria-label="Pictures of the shot" className="flex min-h-0 min-w-0 flex-col bg-booth">
        <Table shot={shot} take={take} attempt={attempt} />
        <TakeRow takes={[...tries(shot), ...ownTakes(shot)]} chosen={take?.id} leadId={shot.leadId} onTake={onTake} />
      </section>
      <aside aria-label="Arrival" className="flex min-h-0 flex-col gap-3 overflow-y-auto bg-paper p-4">
        <h2 className="text-sm font-semibold text-muted">Arrival</h2>
        <Arrived influences={all} lookup={lookup} take={take} attempt={attempt} />
        {attempt ? (
          <TryActs attempt={attempt} acts={acts} />
        ) : (
          take?.status === 'done' && <TakeActs take={take} outdated={shot.stale.length > 0} onMark={onMark} />
        )}
        <CommentsPart key={shot.id} talk={talk} />
      </aside>
      {moving && (
        <MotionDialog
          seriesId={seriesId}
          shot={shot}
          picture={take?.pictureUrl ?? undefined}
          onClose={() => setMoving(false)}
        />
      )}
    </div>
  );
}

function ShotHead({
  shot,
  number,
  acts,
  onMotion,
}: Pick<Props, 'shot' | 'number' | 'acts'> & { onMotion: () => void }) {
  const go = useNavigate();
  return (
    <div className="flex items-center">
      <h2 className="text-sm font-semibold text-muted">Shot {number}</h2>
      <span className="ml-auto flex">
        <Act label="Duplicate the shot" onClick={() => void acts.duplicate(shot)}>
          <Copy size={16} aria-hidden />
        </Act>
        <Act
          label={shot.skipped ? 'Take the shot in again' : 'Skip the shot'}
          pressed={shot.skipped}
          onClick={() => acts.changeShot(shot, { skipped: !shot.skipped })}
        >
          <EyeOff size={16} aria-hidden />
        </Act>
        <Act
          label="Copy as a new mix"
          onClick={() => void acts.toMix(shot).then((mix) => mix && go(`/bench/${mix.id}`))}
        >
          <FlaskConical size={16} aria-hidden />
        </Act>
        <Act label="Set the shot in motion" onClick={onMotion}>
          <Film size={16} aria-hidden />
        </Act>
        <Act label="Skip this shot" onClick={() => void acts.removeShot(shot)}>
          <Trash2 size={16} aria-hidden />
        </Act>
      </span>
    </div>
  );
}

function OlderEngine({ shot, take, acts }: Pick<Props, 'shot' | 'acts'> & { take: ShotTake }) {
  const redraw = () =>
    acts.tryRemedy(shot, {
      label: 'Drawn by the newer engine',
      plan: { prompt: shot.prompt, seed: shot.seed, own: shot.own },
    });
  return (
    <p className="text-sm text-muted">
      Drawn by {take.engine}; the engine is newer.{' '}
      <Button look="plain" onClick={() => void redraw()}>
        Redraw it and compare
      </Button>
    </p>
  );
}

function TakeActs({ take, outdated, onMark }: Pick<Props, 'onMark'> & { take: ShotTake; outdated: boolean }) {
  return (
    <>
      {!take.approved && (
        <Button look={take.keeper ? 'quiet' : 'main'} onClick={() => onMark(take, { keeper: !take.keeper })}>
          {take.keeper ? 'Keeper: take it back' : 'Keep this take'}
        </Button>
      )}
      <Approval take={take} outdated={outdated} />
      <Link to={`/takes/${take.id}`} className="text-sm underline decoration-edge underline-offset-2">
        Everything that made it
      </Link>
    </>
  );
}

function Act({
  label,
  pressed,
  onClick,
  children,
}: {
  label: string;
  pressed?: boolean;
  onClick: () => void;
  children: React.ReactNode;
}) {
  return (
    <Tip text={label}>
      <button
        type="button"
        aria-label={label}
        aria-pressed={pressed}
        onClick={onClick}
        className={`rounded p-1.5 hover:bg-shade ${pressed ? 'bg-shade' : ''}`}
      >
        {children}
      </button>
    </Tip>
  );
}

/** Two pictures of one height: the take, and beside it what is tried for it or else its control. */
function Table({ shot, take, attempt }: { shot: Shot; take: ShotTake | undefined; attempt: ShotTake | undefined }) {
  const next = underWay(shot);
  const progress = useProgress((attempt ?? next)?.id);
  const beside = attempt
    ? {
        url: attempt.pictureUrl ?? progress?.preview,
        name: 'Retake',
        note:
          attempt.status === 'done'
            ? attempt.trial!.label
            : attempt.status === 'failed'
              ? (attempt.error ?? 'it failed')
              : `${attempt.trial!.label} · ${progress ? percent(progress.fraction) : 'queued'}`,
      }
    : { url: take?.control?.pictureUrl, name: 'Control', note: 'the same without references' };
  const shown = take?.pictureUrl ?? progress?.preview;
  if (!shown)
    return (
      <p className="grid min-h-0 flex-1 place-content-center p-6 text-center text-caption">
        {next
          ? progress
            ? `${progress.step}, ${percent(progress.fraction)}`
            : 'This shot is queued.'
          : (shot.takes[0]?.error ?? 'This shot has no picture yet. Render what changed: it comes with the others.')}
      </p>
    );
  const label = take ? `${take.quality} size, seed ${take.seed}` : 'being rendered';
  return (
    <div
      className={`grid min-h-0 flex-1 gap-3 p-3 ${attempt ? 'grid-cols-2' : 'grid-cols-[minmax(0,5fr)_minmax(0,3fr)]'}`}
    >
      <Picture url={shown} alt={shot.prompt} name={take?.keeper ? 'Keeper' : 'Take'} note={label} />
      {beside.url ? (
        <Picture url={beside.url} alt={`${beside.name}: ${beside.note}`} name={beside.name} note={beside.note} />
      ) : (
        <p className="grid place-content-center text-sm text-caption">{attempt ? beside.note : ''}</p>
      )}
    </div>
  );
}

function Picture({ url, alt, name, note }: { url: string; alt: string; name: string; note: string }) {
  return (
    <figure className="flex min-h-0 min-w-0 flex-col">
      <img src={url} alt={alt} className="min-h-0 object-contain object-left-top" />
      <figcaption className="truncate pt-1 text-sm text-caption">
        <strong>{name}</strong> {note}
      </figcaption>
    </figure>
  );
}

/** How far each reference arrived; with what is tried beside it, the way from the one to the other. */
function Arrived({
  influences,
  lookup,
  take,
  attempt,
}: {
  influences: readonly MixInfluence[];
  lookup: Lookup;
  take: ShotTake | undefined;
  attempt: ShotTake | undefined;
}) {
  const tried = attempt?.status === 'done' ? attempt : undefined;
  const value = (v: number | null | undefined) => (v === null || v === undefined ? '–' : arrivalText(v));
  return (
    <ul className="flex flex-col gap-2.5">
      {influences
        .filter((i) => i.on)
        .map((i) => {
          const [was, is] = [arrivalAt(take, i.id), tried && arrivalAt(tried, i.id)];
          return (
            <li key={i.id}>
              <div className="flex items-center gap-2">
                <KindSign kind={lookup.hue(i)} size={14} />
                <span className="flex-1 truncate">{lookup.name(i)}</span>
                <span className="figures">
                  {tried ? (
                    <>
                      <span className="text-muted">{value(was)} → </span>
                      <strong>{value(is)}</strong>
                    </>
                  ) : (
                    <strong>{value(was)}</strong>
                  )}
                </span>
              </div>
              <div className="relative mt-1 h-1.5 rounded bg-shade">
                <span
                  className="absolute inset-y-0 left-0 rounded opacity-45"
                  style={{ width: `${(is ?? was ?? 0) * 100}%`, background: HUES[lookup.hue(i)] }}
                />
                <span
                  className="absolute inset-y-0 left-0 rounded"
                  style={{ width: `${Math.min(was ?? 0, is ?? was ?? 0) * 100}%`, background: HUES[lookup.hue(i)] }}
                />
              </div>
            </li>
          );
        })}
      <li className="flex items-center gap-2">
        <KindSign kind="words" size={14} />
        <span className="flex-1">Words kept</span>
        <strong className="figures">{value((tried ?? take)?.wordsKept)}</strong>
      </li>
    </ul>
  );
}

function TryActs({ attempt, acts }: { attempt: ShotTake; acts: SeriesActs }) {
  const { batch, label } = attempt.trial!;
  return (
    <div className="flex flex-col gap-2">
      <Button
        look="main"
        disabled={attempt.status !== 'done'}
        onClick={() => void acts.keepTry(batch, `Kept: ${label}`)}
      >
        Keep the retake
      </Button>
      <Button onClick={() => void acts.dropTry(batch)}>Leave it as it was</Button>
    </div>
  );
}
