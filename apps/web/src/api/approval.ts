import { api, ask } from './client';
import { useMe } from './me';
import { useProject } from './projects';
import { useTellingAct } from './useTellingAct';

/** True for owners, and for those who approve in the project that one works in; never for whoever works alone. */
export function useApproves(): boolean {
  const { data: me } = useMe();
  const project = useProject();
  if (!me?.person) return false;
  const { id, role } = me.person;
  return role === 'owner' || !!project?.members.find((m) => m.person === id)?.approver;
}

/** Approving a keeper, and taking that back. */
export function useApproval() {
  const act = useTellingAct();
  return (id: string, approved: boolean) => {
    const params = { path: { id } };
    const of = '/api/v1/takes/{id}/approval' as const;
    return act(ask(approved ? api.PUT(of, { params }) : api.DELETE(of, { params })), ['takes'], ['series']);
  };
}
