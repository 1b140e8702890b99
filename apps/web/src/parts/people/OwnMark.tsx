import { ROLE_WORDS } from '@urbild/core';
import { Users } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { Link, useNavigate } from 'react-router';
import { useMay, useMe, useSignIn } from '../../api/me';
import { useNotice } from '../notices';
import { Tip } from '../Tip';
import { PersonMark } from './PersonMark';

const ITEM = 'flex cursor-default items-center gap-2 rounded-md px-3 py-1.5 outline-none data-highlighted:bg-shade';

/** Who one is here, and the way to the studio's people; for whoever works alone only the way. */
export function OwnMark() {
  const { data: me } = useMe();
  const edits = useMay('edit');
  const { signOut } = useSignIn();
  const tell = useNotice();
  const go = useNavigate();
  if (!me) return null;
  if (!me.person)
    return (
      <Tip text="The studio: people, backups">
        <Link
          to="/studio"
          aria-label="The studio: people, backups"
          className="rounded-lg p-1.5 text-muted hover:bg-shade hover:text-ink"
        >
          <Users size={18} aria-hidden />
        </Link>
      </Tip>
    );
  const { person } = me;
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        aria-label={`You: ${person.name}`}
        className="flex items-center gap-2 rounded-lg p-0.5 hover:bg-shade"
      >
        {!edits && (
          <span className="pl-1.5 text-sm text-muted max-[900px]:hidden">{ROLE_WORDS[person.role].label}</span>
        )}
        <PersonMark person={person} />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className="z-50 w-60 rounded-xl border border-line bg-card p-1.5 shadow-xl">
          <div className="px-3 py-1.5">
            <div className="font-semibold">{person.name}</div>
            <div className="text-sm text-muted">
              {ROLE_WORDS[person.role].label}: {ROLE_WORDS[person.role].sentence}
            </div>
          </div>
          <DropdownMenu.Separator className="my-1 h-px bg-line" />
          <DropdownMenu.Item className={ITEM} onSelect={() => void go('/studio')}>
            The studio
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={ITEM}
            onSelect={() => void signOut().catch((error: Error) => tell(error.message, { grave: true }))}
          >
            Sign out
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
