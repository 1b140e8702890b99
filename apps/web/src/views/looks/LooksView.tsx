import { Plus } from 'lucide-react';
import { useNavigate, useParams } from 'react-router';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';
import { useReferencesById } from '../../api/references';
import { useAct, useLooks, type Look } from '../../api/sheets';
import { carry } from '../../parts/carry';
import { Button } from '../../parts/Button';
import { DemoComing } from '../../parts/DemoComing';
import { EmptyState } from '../../parts/EmptyState';
import { useUndoKeys } from '../../shared/keys/useUndoKeys';
import { LookSheet } from './LookSheet';
import { useTitle } from '../../parts/useTitle';
import { OneStop } from '../../shared/keys/OneStop';

/** All looks on the left, the sheet of one on the right. */
export function LooksView() {
  const { lookId } = useParams();
  useUndoKeys();
  const go = useNavigate();
  const { data: looks, isPending } = useLooks();
  const make = useAct(keys.looks, () => ask(api.POST('/api/v1/looks', { body: { name: 'New look' } })));
  const begin = () => void make().then((look) => look && void go(`/looks/${look.id}`));
  const look = looks?.find((l) => l.id === lookId) ?? looks?.[0];
  useTitle('Looks', look?.name);
  if (isPending) return <div className="skeleton h-full" aria-label="The looks are being opened" />;
  if (!look)
    return (
      <EmptyState
        whole
        title="No look yet"
        action={
          <Button look="main" onClick={begin}>
            Make a look
          </Button>
        }
      >
        A look is a set of style pictures, about 5 to 20 of them, each with a weight, that is used as one reference.
        <DemoComing what="The looks" />
      </EmptyState>
    );
  return (
    <div className="parts grid h-full grid-cols-[188px_minmax(0,1fr)]">
      <h1 className="sr-only">Looks: {look.name}</h1>
      <aside aria-label="Looks" className="flex min-h-0 flex-col gap-2 overflow-auto border-r border-line bg-paper p-3">
        <Button className="flex items-center justify-center gap-1.5" onClick={begin}>
          <Plus size={16} aria-hidden /> New look
        </Button>
        <OneStop role="list" className="flex flex-col gap-2">
          {looks!.map((l) => (
            <LookCard key={l.id} look={l} chosen={l.id === look.id} onOpen={() => void go(`/looks/${l.id}`)} />
          ))}
        </OneStop>
      </aside>
      <LookSheet key={look.id} look={look} />
    </div>
  );
}

function LookCard({ look, chosen, onOpen }: { look: Look; chosen: boolean; onOpen: () => void }) {
  const references = useReferencesById(look.items.slice(0, 4).map((i) => i.referenceId));
  return (
    <li>
      <button
        {...carry({ of: 'look', id: look.id })}
        type="button"
        aria-current={chosen ? 'true' : undefined}
        onClick={onOpen}
        className={`block w-full rounded-lg border p-1.5 text-left ${chosen ? 'border-ink bg-card' : 'border-line hover:border-edge'}`}
      >
        <span className="grid h-12 grid-cols-4 gap-px overflow-hidden rounded-sm bg-shade">
          {[...references.values()].map((r) => (
            <img key={r.id} src={r.thumbnailUrl} alt="" className="h-12 w-full object-cover" />
          ))}
        </span>
        <span className="mt-1 flex items-baseline gap-1.5">
          <span className="min-w-0 flex-1 truncate font-semibold">{look.name}</span>
          <span className="figures text-sm text-muted">{look.items.length}</span>
        </span>
        {look.isDefault && <span className="text-sm text-muted">new mixes begin with it</span>}
      </button>
    </li>
  );
}
