import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';
import { Button } from '../../parts/Button';
import { EntryField } from '../../parts/people/EntryFrame';

/** A studio of one's own: what is needed before others can come in is its owner. */
export function FirstOwner() {
  const client = useQueryClient();
  const [fields, setFields] = useState({ name: '', login: '', password: '' });
  const [fault, setFault] = useState<string | undefined>(undefined);
  const set = (some: Partial<typeof fields>) => setFields((now) => ({ ...now, ...some }));
  const make = async () => {
    setFault(undefined);
    try {
      await ask(api.POST('/api/v1/people/owner', { body: fields }));
      await Promise.all([keys.me, keys.people].map((queryKey) => client.invalidateQueries({ queryKey })));
    } catch (error) {
      setFault((error as Error).message);
    }
  };
  return (
    <section aria-label="You work alone" className="flex flex-col gap-4">
      <p className="max-w-[60ch] text-lg">
        You work alone: nobody else reaches this studio, and nobody is asked who they are. To work with others, say who
        owns it. Nothing changes for you until you let others in.
      </p>
      <form
        className="flex max-w-[420px] flex-col gap-4 rounded-2xl border border-line bg-card p-5"
        onSubmit={(e) => {
          e.preventDefault();
          void make();
        }}
      >
        <EntryField
          label="Your name"
          hint="as the others will read it"
          fills="name"
          value={fields.name}
          onChange={(name) => set({ name })}
        />
        <EntryField
          label="Name to sign in with"
          hint="short, without spaces"
          fills="username"
          value={fields.login}
          onChange={(login) => set({ login })}
        />
        <EntryField
          secret
          label="Password"
          hint="10 characters or more; a sentence is a good one"
          fills="new-password"
          value={fields.password}
          onChange={(password) => set({ password })}
        />
        {fault && (
          <p role="alert" className="rounded-lg bg-blush px-3 py-2">
            {fault}
          </p>
        )}
        <Button
          look="main"
          type="submit"
          disabled={!fields.name.trim() || !fields.login.trim() || fields.password.length < 10}
        >
          Own this studio
        </Button>
      </form>
    </section>
  );
}
