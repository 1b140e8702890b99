import type { Conflict } from '@urbild/core';
import { useSyncExternalStore } from 'react';
import { Button } from '../../parts/Button';
import { valueText, wordsFor } from './conflictWords';
import { troubledDocuments, watchDocuments, type Trouble } from './documents';

interface Props {
  /** What stands behind an id in a path, by its name. */
  readonly nameOf: (id: string) => string | undefined;
  /** Others work in the studio too: it need not have been another window of one's own. */
  readonly shared: boolean;
}

/** Tells what is not saved yet and why, and asks about fields that two have changed. Nothing is shown while all is well. */
export function SaveStatus({ nameOf, shared }: Props) {
  const troubles = useSyncExternalStore(watchDocuments, troubledDocuments);
  const withheld = troubles.filter((t) => t.withheld);
  const problem = troubles.find((t) => t.problem && !t.withheld)?.problem;
  const conflicts = troubles.flatMap((t) => t.conflicts.map((conflict) => ({ trouble: t, conflict })));
  if (!problem && !withheld.length && !conflicts.length) return null;
  return (
    <div className="fixed inset-x-0 top-13 z-50 mx-auto flex w-[30rem] flex-col gap-2" role="alert">
      {problem && (
        <p className="rounded-lg border border-cinnabar bg-blush px-4 py-2 shadow-lg">
          <strong>Not saved yet.</strong> {problem} Your changes are kept in this browser and are sent as soon as it
          answers.
        </p>
      )}
      {withheld.length > 0 && (
        <div className="rounded-lg border border-cinnabar bg-blush px-4 py-2 shadow-lg">
          <p>
            <strong>Not saved.</strong> {withheld[0].problem} Your changes are kept in this browser and are saved when
            you may make them.
          </p>
          <Button className="mt-2" onClick={() => withheld.forEach(({ queue }) => queue.giveUp())}>
            Give them up
          </Button>
        </div>
      )}
      {conflicts.map(({ trouble, conflict }) => (
        <Question
          key={`${trouble.name} ${conflict.path.join(' ')}`}
          trouble={trouble}
          conflict={conflict}
          nameOf={nameOf}
          shared={shared}
        />
      ))}
    </div>
  );
}

function Question({ trouble, conflict, nameOf, shared }: Props & { trouble: Trouble; conflict: Conflict }) {
  const decide = (take: 'mine' | 'theirs') => trouble.queue.decide(conflict, take);
  return (
    <section className="rounded-lg border border-edge bg-card px-4 py-2 shadow-lg" aria-label="Changed twice">
      <p>
        The <strong>{wordsFor(conflict.path, nameOf)}</strong> was changed{' '}
        {shared ? 'by somebody else' : 'in another window'} too: {valueText(conflict.theirs)} there,{' '}
        {valueText(conflict.mine)} here. Saving waits until you choose.
      </p>
      <div className="mt-2 flex gap-2">
        <Button onClick={() => decide('mine')}>Keep mine</Button>
        <Button onClick={() => decide('theirs')}>Take theirs</Button>
      </div>
    </section>
  );
}
