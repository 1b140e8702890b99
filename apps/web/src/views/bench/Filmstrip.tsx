import { Link } from 'react-router';
import type { Take } from '../../api/client';
import { useProgress } from '../../api/events';
import { CrossedOut, Ring, Strokes } from '../../parts/PencilMarks';
import { OneStop } from '../../shared/keys/OneStop';

/** Which takes the strip shows. */
export const FILTERS = {
  all: () => true,
  keepers: (t: Take) => t.keeper,
  'not rejected': (t: Take) => !t.rejected,
  rated: (t: Take) => t.rating > 0,
} as const;
export type Filter = keyof typeof FILTERS;

interface Props {
  readonly takes: readonly Take[];
  readonly all: readonly Take[];
  readonly shown: string;
  /** Chosen to be compared. */
  readonly several: ReadonlySet<string>;
  readonly only: Filter;
  readonly onOnly: (only: Filter) => void;
  /** `add`: choose it with others. */
  readonly onShow: (take: Take, add: boolean) => void;
}

/** The takes of a mix, newest first; Shift or Ctrl chooses several to be compared. */
export function Filmstrip({ takes, all, shown, several, only, onOnly, onShow }: Props) {
  const kept = all.filter((t) => t.keeper).length;
  const compared =
    several.size > 1 ? [...several] : several.size ? [shown, ...several].filter((id, k, s) => s.indexOf(id) === k) : [];
  return (
    <div className="flex items-center gap-2 px-4 pb-3">
      <OneStop role="list" aria-label="Takes" className="flex min-w-0 gap-1.5 overflow-x-auto p-1">
        {takes.map((t) => (
          <div role="listitem" key={t.id} className="shrink-0">
            <StripPicture take={t} shown={t.id === shown} chosen={several.has(t.id)} onShow={(add) => onShow(t, add)} />
          </div>
        ))}
      </OneStop>
      {compared.length > 1 && (
        <Link
          to={`/compare?takes=${compared.join(',')}`}
          className="shrink-0 rounded bg-card px-2 py-0.5 text-sm font-semibold text-ink"
        >
          Compare {compared.length}
        </Link>
      )}
      <span className="figures ml-auto shrink-0 text-sm text-caption">
        {all.length} {all.length === 1 ? 'take' : 'takes'}
        {kept ? ` · ${kept} ${kept === 1 ? 'keeper' : 'keepers'}` : ''}
      </span>
      <select
        aria-label="Takes shown"
        value={only}
        onChange={(e) => onOnly(e.target.value as Filter)}
        className="shrink-0 rounded bg-card/90 px-1 text-sm text-ink"
      >
        {Object.keys(FILTERS).map((f) => (
          <option key={f}>{f}</option>
        ))}
      </select>
    </div>
  );
}

function StripPicture({
  take,
  shown,
  chosen,
  onShow,
}: {
  take: Take;
  shown: boolean;
  chosen: boolean;
  onShow: (add: boolean) => void;
}) {
  const progress = useProgress(take.id);
  const picture = take.thumbnailUrl ?? progress?.preview;
  return (
    <button
      type="button"
      aria-current={shown}
      aria-pressed={chosen}
      aria-label={`${take.quality}, seed ${take.seed}, ${take.status}${take.rejected ? ', rejected' : ''}`}
      onClick={(e) => onShow(e.shiftKey || e.ctrlKey || e.metaKey)}
      className={`relative block h-11 bg-black/20 ${shown ? 'outline-3 outline-offset-1 outline-cinnabar' : chosen ? 'outline-3 outline-offset-1 outline-caption' : ''}`}
      style={{ aspectRatio: take.width / take.height }}
    >
      {picture && (
        <img src={picture} alt="" className={`h-full w-full object-cover ${take.rejected ? 'opacity-35' : ''}`} />
      )}
      {take.rejected && <CrossedOut />}
      {take.keeper && (
        <span className="absolute top-0 left-0 text-white">
          <Ring size={18} rimmed />
        </span>
      )}
      {take.rating > 0 && (
        <span className="absolute right-0 bottom-0 bg-scrim/80 text-white">
          <Strokes count={take.rating} size={14} />
        </span>
      )}
    </button>
  );
}
