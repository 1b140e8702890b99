import { Columns2, Copy, Download, SquareSplitHorizontal } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Take } from '../../api/client';
import { useChangeTake } from '../../api/trials';
import { Cross, Ring } from '../../parts/PencilMarks';
import { Tip } from '../../parts/Tip';
import { OneStop } from '../../shared/keys/OneStop';
import { fileNameOf } from '../../shared/pictures/takeFile';
import { useCopyPicture } from '../../shared/pictures/useCopyPicture';

/** How a take and its control are shown: side by side, or one under the other with an edge to move. */
export type Compare = 'beside' | 'wipe';

interface Props {
  readonly take: Take;
  /** The take shows what is on the bench now. */
  readonly current: boolean;
  /** Its control lies over it while a key is held. */
  readonly held: boolean;
  readonly compare: Compare;
  readonly onCompare: (compare: Compare) => void;
  readonly onCancel: (take: Take) => void;
}

/** Under the take: what it is, how it stands, its marks, and how its control is shown. */
export function TableBar({ take, current, held, compare, onCompare, onCancel }: Props) {
  return (
    <div className="flex items-center gap-3 px-4 pt-1 pb-1 text-sm text-caption">
      <span className="font-semibold first-letter:uppercase">
        {held ? 'Control' : take.quality} · seed <span className="figures">{take.seed}</span>
      </span>
      <span data-testid="take-state">{stateText(take, current)}</span>
      {(take.status === 'queued' || take.status === 'rendering') && (
        <button type="button" className="underline" onClick={() => onCancel(take)}>
          Stop
        </button>
      )}
      <OneStop role="group" aria-label="Marks and comparing" className="ml-auto flex gap-1">
        {take.status === 'done' && <Marks take={take} />}
        {take.control && <CompareButton compare={compare} onCompare={onCompare} />}
      </OneStop>
    </div>
  );
}

function Marks({ take }: { take: Take }) {
  const change = useChangeTake();
  return (
    <>
      <Mark
        label="Keeper"
        letter="K"
        on={take.keeper}
        tip={take.keeper ? 'A keeper; take the mark away (K)' : 'Mark it as a keeper (K)'}
        onToggle={() => change.mutate({ take, change: { keeper: !take.keeper } })}
      >
        <Ring faint={!take.keeper} />
      </Mark>
      <Mark
        label="Reject"
        letter="X"
        on={take.rejected}
        lit
        tip={take.rejected ? 'Rejected; take the mark away (X)' : 'Reject it (X)'}
        onToggle={() => change.mutate({ take, change: { rejected: !take.rejected } })}
      >
        <Cross faint={!take.rejected} />
      </Mark>
      <Link to={`/takes/${take.id}`} className="rounded px-1.5 py-1 underline underline-offset-2 hover:bg-caption/15">
        Open
      </Link>
      {take.pictureUrl && <File url={take.pictureUrl} take={take} />}
    </>
  );
}

/** The picture as a file: saved, or on the clipboard. */
function File({ url, take }: { url: string; take: Take }) {
  const copy = useCopyPicture();
  const icon = 'grid place-content-center rounded p-1 hover:bg-caption/15';
  return (
    <>
      <Tip text="Save the picture as a file">
        <a href={url} download={fileNameOf(take)} aria-label="Save the picture" className={icon}>
          <Download size={16} aria-hidden />
        </a>
      </Tip>
      <Tip text="Copy the picture">
        <button type="button" aria-label="Copy the picture" onClick={() => copy(url)} className={icon}>
          <Copy size={16} aria-hidden />
        </button>
      </Tip>
    </>
  );
}

function Mark(props: {
  label: string;
  letter: string;
  tip: string;
  on: boolean;
  /** Shows by its ground that it is on. */
  lit?: boolean;
  onToggle: () => void;
  children: ReactNode;
}) {
  return (
    <Tip text={props.tip}>
      <button
        type="button"
        aria-pressed={props.on}
        aria-keyshortcuts={props.letter}
        aria-label={props.label}
        onClick={props.onToggle}
        className={`rounded p-1 hover:bg-caption/15 ${props.lit && props.on ? 'bg-caption/25' : ''}`}
      >
        {props.children}
      </button>
    </Tip>
  );
}

function CompareButton({ compare, onCompare }: Pick<Props, 'compare' | 'onCompare'>) {
  const beside = compare === 'beside';
  const label = beside ? 'Wipe between take and control' : 'Control beside the take';
  return (
    <Tip text={label}>
      <button
        type="button"
        aria-label={label}
        onClick={() => onCompare(beside ? 'wipe' : 'beside')}
        className="rounded p-1 hover:bg-caption/15"
      >
        {beside ? <SquareSplitHorizontal size={16} aria-hidden /> : <Columns2 size={16} aria-hidden />}
      </button>
    </Tip>
  );
}

function stateText(take: Take, current: boolean): string {
  if (take.status === 'queued') return 'queued';
  if (take.status === 'rendering') return 'is being rendered';
  if (take.status === 'failed') return take.error ?? 'failed';
  if (take.status === 'cancelled') return 'was stopped';
  const took = take.took ? ` · ${(take.took / 1000).toFixed(1)} s` : '';
  return current ? `Matches the bench${took}` : `Made with earlier settings${took}`;
}
