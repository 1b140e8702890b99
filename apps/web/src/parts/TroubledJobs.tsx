import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { Popover } from 'radix-ui';
import { api, ask } from '../api/client';
import { keys } from '../api/keys';
import { Button } from './Button';
import { useNotice } from './notices';

type Troubled = Schemas['TroubledJobDto'];

const NAMES: Readonly<Record<string, string>> = {
  take: 'A take',
  import: 'A picture that was added',
  'look-at': 'Looking at a picture',
  solve: 'A search for weights',
  demo: 'A part of the demo studio',
};

/** Work that did not get done, with its reason, and trying it again. Nothing is shown while there is none. */
export function TroubledJobs() {
  const client = useQueryClient();
  const tell = useNotice();
  const { data: jobs } = useQuery({
    queryKey: keys.troubled,
    queryFn: () => ask(api.GET('/api/v1/jobs/troubled')),
  });
  const again = (job: Troubled) =>
    void ask(api.POST('/api/v1/jobs/{id}/retry', { params: { path: { id: job.id } } }))
      .then(() => client.invalidateQueries())
      .catch((e: Error) => tell(e.message, { grave: true }));
  if (!jobs?.length) return null;
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <button type="button" className="figures rounded-full border border-cinnabar bg-blush px-3 py-1 text-sm">
          {jobs.length} not done
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={8}
          aria-label="Not done"
          className="z-40 max-h-96 w-96 overflow-auto rounded-xl border border-line bg-paper p-3 shadow-xl"
        >
          <ul className="flex flex-col gap-2">
            {jobs.map((job) => (
              <li key={job.id} className="flex items-start gap-3 rounded-lg border border-line bg-card px-3 py-2">
                <div className="min-w-0 flex-1">
                  <strong>{NAMES[job.kind] ?? job.kind}</strong>
                  {job.setAside && <span className="text-muted"> · set aside</span>}
                  <p className="text-sm">{job.reason}</p>
                </div>
                <Button onClick={() => again(job)}>Try again</Button>
              </li>
            ))}
          </ul>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
