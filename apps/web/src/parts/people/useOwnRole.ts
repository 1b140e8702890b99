import { ROLE_WORDS, type Role } from '@urbild/core';
import { useEffect, useRef } from 'react';
import { useMay, useMe } from '../../api/me';
import { troubledDocuments } from '../../shared/save/documents';
import { useNotice } from '../notices';

/** Says at once when one's role has changed, and saves what was withheld as soon as one may change things again. */
export function useOwnRole(): void {
  const role = useMe().data?.person?.role;
  const edits = useMay('edit');
  const tell = useNotice();
  const before = useRef<Role | undefined>(undefined);
  useEffect(() => {
    if (role && before.current && role !== before.current) {
      const { label, sentence } = ROLE_WORDS[role];
      tell(`Your role is ${label.toLowerCase()} now. ${sentence}`, { grave: !edits });
    }
    before.current = role;
    if (edits) troubledDocuments().forEach(({ withheld, queue }) => withheld && void queue.flush());
  }, [role, edits, tell]);
}
