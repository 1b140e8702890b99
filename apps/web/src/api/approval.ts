import { useQueryClient } from '@tanstack/react-query';
import { useNotice } from '../parts/notices';
import { api, ask } from './client';
import { useMe } from './me';
import { useProject } from './projects';

/** True for owners, and for those who approve in the project that one works in; never for whoever works alone. */
export function useApproves(): boolean {
  const { data: me } = useMe();
  const project = useProject();
  if (!me?.person) return false;
  const { id, role } = me.person;
  return role === 'owner' || !!project?.members.find((m) => m.person === id)?.approver;
}

/** Approving a keeper, and taking that back. What is refused is told. */
export function useApproval() {
  const client = useQueryClient();
  const tell = useNotice();
  return async (id: string, approved: boolean): Promise<void> => {
    const params = { path: { id } };
    const of = '/api/v1/takes/{id}/approval' as const;
    try {
      await ask(approved ? api.PUT(of, { params }) : api.DELETE(of, { params }));
    } catch (error) {
      tell((error as Error).message, { grave: true });
    }
    await Promise.all([['takes'], ['series']].map((queryKey) => client.invalidateQueries({ queryKey })));
  };
}
