import { useQueryClient } from '@tanstack/react-query';
import { MAX_INFLUENCES } from '@urbild/core';
import { useCallback, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, type Mix, type MixInfluence } from '../../api/client';
import { mixDocument } from '../../api/documents';
import { keys } from '../../api/keys';
import { workingIn } from '../../api/queries';
import { useNotice } from '../../parts/notices';
import { MixDialog } from './MixDialog';
import { WeighContext } from './weighContext';

/** The mix of the demo: it stays as it is unless somebody chooses it. */
const DEMO = 'demo-mix';

interface Asked {
  readonly added: readonly MixInfluence[];
  readonly mixes: readonly Mix[];
}

/** Asks in which mix something is to be weighed, and goes there: no mix changes without being named. */
export function WeighProvider({ children }: { children: ReactNode }) {
  const go = useNavigate();
  const client = useQueryClient();
  const tell = useNotice();
  const [asked, setAsked] = useState<Asked>();
  const into = useCallback(
    async (mix: Mix | undefined, { added, mixes }: Asked) => {
      setAsked(undefined);
      try {
        const to =
          mix ??
          (await ask(
            api.POST('/api/v1/mixes', {
              body: { name: `Mix ${mixes.length + 1}`, prompt: '', projectId: workingIn(client) },
            }),
          ));
        // by the mix's own queue: the bench can undo it
        const queue = mixDocument(client, to);
        queue.change((now) => ({ ...now, influences: [...now.influences, ...added].slice(0, MAX_INFLUENCES) }), {
          wait: 0,
        });
        await queue.flush();
        await client.invalidateQueries({ queryKey: keys.mixes });
        await go(`/bench/${to.id}`);
      } catch (error) {
        tell((error as Error).message, { grave: true });
      }
    },
    [client, go, tell],
  );
  const weigh = useCallback(
    async (added: readonly MixInfluence[]) => {
      try {
        const mixes = await client.fetchQuery({ queryKey: keys.mixes, queryFn: () => ask(api.GET('/api/v1/mixes')) });
        if (mixes.some((m) => !m.archived)) setAsked({ added, mixes });
        else await into(undefined, { added, mixes });
      } catch (error) {
        tell((error as Error).message, { grave: true });
      }
    },
    [client, into, tell],
  );
  const open = asked?.mixes.filter((m) => !m.archived) ?? [];
  const project = workingIn(client);
  const last = (open.find((m) => m.projectId === project) ?? open[0])?.id;
  return (
    <WeighContext.Provider value={weigh}>
      {children}
      {asked && (
        <MixDialog
          title="Weigh it in which mix?"
          onClose={() => setAsked(undefined)}
          mixes={asked.mixes}
          fresh="A new mix"
          first={last === DEMO ? undefined : last}
          onChoose={(mix) => void into(mix, asked)}
        />
      )}
    </WeighContext.Provider>
  );
}
