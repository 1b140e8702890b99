import { Link } from 'react-router';
import type { BenchDialog } from './BenchDialogs';
import { OneStop } from '../../shared/keys/OneStop';

const tool =
  'rounded px-1.5 py-1 text-sm whitespace-nowrap underline decoration-edge underline-offset-2 enabled:hover:decoration-ink disabled:opacity-50';

/** The instruments that lie beside the course. */
export function BenchTools({
  mixId,
  able,
  onOpen,
}: {
  mixId: string;
  /** There is something to weigh. */
  able: boolean;
  onOpen: (dialog: BenchDialog) => void;
}) {
  return (
    <nav aria-label="Instruments" className="border-l border-line pl-2">
      <OneStop className="flex items-center gap-1 max-[900px]:flex-wrap">
        <button type="button" className={tool} onClick={() => onOpen('words')}>
          Words
        </button>
        <Link to={`/bench/${mixId}/strips`} className={tool}>
          Test strips
        </Link>
        <button type="button" className={tool} disabled={!able} onClick={() => onOpen('solve')}>
          Find weights
        </button>
        <button type="button" className={tool} onClick={() => onOpen('force')}>
          Active now
        </button>
        <button type="button" className={tool} onClick={() => onOpen('versions')}>
          Versions
        </button>
      </OneStop>
    </nav>
  );
}
