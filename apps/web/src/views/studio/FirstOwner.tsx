import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';
import { Button } from '../../parts/Button';
import { isLongEnough, NewPersonFields, NOBODY, type NewPerson } from '../../parts/people/NewPersonFields';

/** A studio of one's own: what is needed before others can come in is its owner. */
export function FirstOwner() {
  const client = useQueryClient();
  const [fields, setFields] = useState(NOBODY);
  const [fault, setFault] = useState<string | undefined>(undefined);
  const set = (some: Partial<NewPerson>) => setFields((now) => ({ ...now, ...some }));
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
        <NewPersonFields person={fields} onSet={set} />
        {fault && (
          <p role="alert" className="rounded-lg bg-blush px-3 py-2">
            {fault}
          </p>
        )}
        <Button
          look="main"
          type="submit"
          disabled={!fields.name.trim() || !fields.login.trim() || !isLongEnough(fields.password)}
        >
          Own this studio
        </Button>
      </form>
    </section>
  );
}
