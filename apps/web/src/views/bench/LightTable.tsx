import { useState } from 'react';
import type { Take } from '../../api/client';
import { EmptyState } from '../../parts/EmptyState';
import { useHeld } from '../../shared/keys/useKeys';
import { useMarkKeys } from '../../shared/keys/useMarkKeys';
import { Filmstrip, FILTERS, type Filter } from './Filmstrip';
import { useLastPicture } from '../../shared/pictures/lastPicture';
import { TableBar, type Compare } from './TableBar';
import { TablePicture } from '../../shared/pictures/TablePicture';

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

/** The light table: the take as large as it goes, its control beside or under a wipe, and the strip of takes. */
export function LightTable({ take, takes, current, loading, fresh, onShow, onCancel }: Props) {
  useMarkKeys(take);
  const [several, setSeveral] = useState<ReadonlySet<string>>(new Set());
  const [only, setOnly] = useState<Filter>('all');
  const [compare, setCompare] = useState<Compare>('beside');
  const [held, setHeld] = useState(false);
  useHeld('c', setHeld);
  if (!take) return <BareTable loading={loading} fresh={fresh} />;
  const show = (t: Take, add: boolean) => {
    if (add) setSeveral((s) => new Set(s.has(t.id) ? [...s].filter((x) => x !== t.id) : [...s, t.id]));
    else {
      setSeveral(new Set());
      onShow(t);
    }
  };
  return (
    <div className="flex h-full min-h-0 flex-col bg-booth">
      <div className="flex min-h-0 flex-1 items-center justify-center gap-4 px-4 pt-3">
        <figure className="flex h-full min-w-0 flex-1 flex-col items-center justify-center">
          <TablePicture
            take={take}
            overlay={held || compare === 'wipe' ? take.control?.pictureUrl : undefined}
            whole={held}
          />
        </figure>
        {take.control && compare === 'beside' && <ControlBeside take={take} />}
      </div>
      <TableBar {...{ take, current, held, compare, onCancel }} onCompare={setCompare} />
      <Filmstrip
        takes={takes.filter(FILTERS[only])}
        all={takes}
        shown={take.id}
        several={several}
        only={only}
        onOnly={setOnly}
        onShow={show}
      />
    </div>
  );
}

/** No take lies on the table: the last picture while takes are read, or what to do first. */
function BareTable({ loading, fresh }: Pick<Props, 'loading' | 'fresh'>) {
  const last = useLastPicture(undefined);
  if (last && (loading || !fresh))
    return (
      <div className="flex h-full flex-col items-center justify-center bg-booth p-4">
        <img src={last} alt="The last picture on the table" className="min-h-0 flex-1 object-contain opacity-60" />
        <p className="pt-2 text-sm text-caption">
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
  return (
    <div className="h-full bg-booth">
      <EmptyState dark title="Nothing rendered yet">
        Describe the picture in the prompt, drag references onto the course, then render.
      </EmptyState>
    </div>
  );
}

function ControlBeside({ take }: { take: Take }) {
  return (
    <figure className="w-[clamp(12rem,18%,24rem)] shrink-0">
      <div className="bg-black/15" style={{ aspectRatio: take.width / take.height }}>
        {take.control?.pictureUrl && (
          <img
            src={take.control.pictureUrl}
            alt="Control: the same words and seed without references"
            className="arrive h-full w-full shadow-lg"
          />
        )}
      </div>
      <figcaption className="mt-1 text-sm text-caption">Control, no references</figcaption>
    </figure>
  );
}
