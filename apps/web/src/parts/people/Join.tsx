import { useQuery } from '@tanstack/react-query';
import { ROLE_WORDS } from '@urbild/core';
import { useState } from 'react';
import { api, ask } from '../../api/client';
import { useSignIn } from '../../api/me';
import { Button } from '../Button';
import { DirectoryWay } from './DirectoryWay';
import { EntryFrame } from './EntryFrame';
import { isLongEnough, NewPersonFields, NOBODY, type NewPerson } from './NewPersonFields';

interface Props {
  readonly token: string;
  readonly onIn: () => void;
}

/** What a link leads to: somebody new says who they are, or somebody gives themselves another password. */
export function Join({ token, onIn }: Props) {
  const params = { path: { token } };
  const { signIn } = useSignIn();
  const { data: invitation, error } = useQuery({
    queryKey: ['join', token],
    queryFn: () => ask(api.GET('/api/v1/join/{token}', { params })),
    retry: false,
    staleTime: Infinity,
  });
  const [fields, setFields] = useState(NOBODY);
  const [fault, setFault] = useState<string | undefined>(undefined);
  const set = (some: Partial<NewPerson>) => setFields((now) => ({ ...now, ...some }));
  if (error) return <p role="alert">{error.message}</p>;
  if (!invitation)
    return <div className="skeleton h-64 w-[380px] rounded-2xl" role="status" aria-label="The link is being read" />;
  const { reset, role, note } = invitation;
  const submit = async () => {
    setFault(undefined);
    try {
      // whoever has a name here keeps it; what they type to come in is theirs alone to know
      const body = { ...fields, name: reset ? note : fields.name };
      await ask(api.POST('/api/v1/join/{token}', { params, body }));
      await signIn({ login: fields.login, password: fields.password });
      onIn();
    } catch (failed) {
      setFault((failed as Error).message);
    }
  };
  return (
    <EntryFrame
      title={reset ? `A new password, ${note}` : 'Welcome to the studio'}
      fault={fault}
      onSubmit={() => void submit()}
    >
      {!reset && (
        <p className="text-muted">
          Your role: {ROLE_WORDS[role].label.toLowerCase()}. {ROLE_WORDS[role].sentence}
        </p>
      )}
      <NewPersonFields person={fields} known={reset} onSet={set} />
      <Button look="main" type="submit" disabled={!fields.login.trim() || !isLongEnough(fields.password)}>
        {reset ? 'Set the password' : 'Come in'}
      </Button>
      {!reset && <DirectoryWay act="Come in through" join={token} />}
    </EntryFrame>
  );
}
