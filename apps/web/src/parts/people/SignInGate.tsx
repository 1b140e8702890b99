import { useQueryClient } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { useEffect, useState, type ReactNode } from 'react';
import { onNotIn } from '../../api/client';
import { keys } from '../../api/keys';
import { useMe } from '../../api/me';
import { Join } from './Join';
import { SignIn } from './SignIn';

const JOIN = /^\/join\/([\w-]+)$/;

/**
 * Shows the studio to whoever is in, or works alone. Others are asked to sign in, at the address that they came for. Who was in and is no
 * longer is asked above the page, which stays as it is with everything that was typed.
 */
export function SignInGate({ children }: { children: ReactNode }) {
  const client = useQueryClient();
  const { data: me, isError } = useMe();
  const [wasIn, setWasIn] = useState(false);
  const [token, setToken] = useState(() => JOIN.exec(window.location.pathname)?.[1]);
  useEffect(() => onNotIn(() => void client.invalidateQueries({ queryKey: keys.me })), [client]);
  const isIn = me !== undefined && (me.alone || me.person !== undefined);
  if (isIn && !wasIn) setWasIn(true);
  if (token !== undefined && me && !me.alone)
    return (
      <Middle>
        <Join
          token={token}
          onIn={() => {
            window.history.replaceState(null, '', '/');
            setToken(undefined);
          }}
        />
      </Middle>
    );
  if (isIn || (wasIn && !me?.left) || isError)
    return (
      <>
        {children}
        {!isIn && !isError && <Above />}
      </>
    );
  if (!me) return <div className="skeleton h-full" role="status" aria-label="The studio is being opened" />;
  return (
    <Middle>
      <SignIn />
    </Middle>
  );
}

const Middle = ({ children }: { children: ReactNode }) => (
  <main className="grid h-full place-items-center bg-paper">{children}</main>
);

/** Signing in again, above the page. */
function Above() {
  return (
    <Dialog.Root open>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-scrim/60" />
        <Dialog.Content
          aria-describedby={undefined}
          onInteractOutside={(e) => e.preventDefault()}
          onEscapeKeyDown={(e) => e.preventDefault()}
          className="fixed top-1/2 left-1/2 z-50 -translate-x-1/2 -translate-y-1/2 rounded-2xl bg-paper p-6 shadow-2xl"
        >
          <Dialog.Title className="sr-only">Sign in again</Dialog.Title>
          <SignIn again />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
