import { Stamp } from 'lucide-react';
import type { Take } from '../../api/client';
import { useApproval, useApproves } from '../../api/approval';
import { usePeople } from '../../api/people';
import { Button } from '../../parts/Button';

interface Props {
  readonly take: Pick<Take, 'id' | 'keeper' | 'approved'>;
  /** Whether its shot was changed since it was made. */
  readonly outdated?: boolean;
}

const dayOf = (iso: string) => new Date(iso).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' });

/** Whether a keeper is approved and by whom, and approving it for those who do; nothing where neither is so. */
export function Approval({ take: { id, keeper, approved }, outdated = false }: Props) {
  const { data: people } = usePeople();
  const approves = useApproves();
  const setApproved = useApproval();
  if (!approved)
    return keeper && approves ? (
      <Button className="flex items-center justify-center gap-2" onClick={() => void setApproved(id, true)}>
        <Stamp size={15} aria-hidden /> Approve this keeper
      </Button>
    ) : null;
  const by = people?.find((p) => p.id === approved.by)?.name;
  return (
    <section
      aria-label="Approval"
      className={`flex flex-col gap-1 border-l-2 pl-2.5 ${outdated ? 'border-cinnabar' : 'border-ink'}`}
    >
      <p className="flex items-center gap-1.5 font-semibold">
        <Stamp size={15} aria-hidden /> {outdated ? 'Approval outdated' : 'Approved'}
      </p>
      <p className="text-sm text-muted">
        {by ? `by ${by}, ` : ''}
        {dayOf(approved.at)}
        {outdated && '. The shot was changed afterwards.'}
      </p>
      {approves && (
        <Button look="plain" className="self-start text-sm" onClick={() => void setApproved(id, false)}>
          Take the approval back
        </Button>
      )}
    </section>
  );
}
