import type { Take } from '../../api/client';
import { useProgress } from '../../api/events';

interface Props {
  readonly take: Take;
  readonly label: string;
  readonly chosen: boolean;
  readonly best: boolean;
  readonly onChoose: () => void;
}

/** One cell of a strip: its picture as far as it is there, and its values. */
export function StripCell({ take, label, chosen, best, onChoose }: Props) {
  const progress = useProgress(take.id);
  const picture = take.thumbnailUrl ?? progress?.preview;
  return (
    <li>
      <button
        type="button"
        aria-current={chosen}
        aria-label={`${label}, ${take.status}${best ? ', best' : ''}`}
        data-testid="cell"
        data-status={take.status}
        onClick={onChoose}
        className={`block w-full text-left ${chosen ? 'outline-3 outline-offset-1 outline-cinnabar' : ''}`}
      >
        <span className="relative block bg-shade" style={{ aspectRatio: take.width / take.height }}>
          {picture && <img src={picture} alt="" className="h-full w-full object-cover" />}
          {best && (
            <span className="absolute right-0 bottom-0 bg-ink px-1.5 text-xs font-semibold text-paper">best</span>
          )}
          {!picture && (
            <span className="absolute inset-0 grid place-content-center text-xs text-muted">
              {take.status === 'failed' ? 'failed' : 'queued'}
            </span>
          )}
        </span>
        <span className={`figures block truncate text-sm ${chosen ? 'font-semibold' : ''}`} title={label}>
          {label}
        </span>
      </button>
    </li>
  );
}
