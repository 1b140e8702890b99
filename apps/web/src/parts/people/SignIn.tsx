import { useState } from 'react';
import { useSignIn } from '../../api/me';
import { Button } from '../Button';
import { DirectoryWay } from './DirectoryWay';
import { EntryField, EntryFrame } from './EntryFrame';

/** Comes in by name and password. `again` is for somebody who was in a moment ago, and whose work waits in the page. */
export function SignIn({ again = false }: { again?: boolean }) {
  const { signIn } = useSignIn();
  const [login, setLogin] = useState('');
  const [password, setPassword] = useState('');
  const [fault, setFault] = useState<string | undefined>(undefined);
  const [busy, setBusy] = useState(false);
  const submit = async () => {
    setBusy(true);
    setFault(undefined);
    try {
      await signIn({ login, password });
    } catch (error) {
      setFault((error as Error).message);
      setBusy(false);
    }
  };
  return (
    <EntryFrame title={again ? 'Sign in again' : 'Urbild'} fault={fault} onSubmit={() => void submit()}>
      {again && <p className="text-muted">What you were doing is kept; it goes on where you are.</p>}
      <EntryField autoFocus label="Name" fills="username" value={login} onChange={setLogin} />
      <EntryField secret label="Password" fills="current-password" value={password} onChange={setPassword} />
      <Button look="main" type="submit" disabled={busy || !login.trim() || !password}>
        Sign in
      </Button>
      <DirectoryWay act="Sign in through" />
      {!again && <p className="text-sm text-muted">No name here yet? An owner of the studio can send you a link.</p>}
    </EntryFrame>
  );
}
