import { useQueryClient } from '@tanstack/react-query';
import type { Mix, Reference } from '../api/client';
import { keys } from '../api/keys';
import { useStudio } from '../api/queries';
import type { Character, Look } from '../api/sheets';
import { useMe } from '../api/me';
import { useOwnRole } from './people/useOwnRole';
import { SaveStatus } from '../shared/save/SaveStatus';

/** What a person has to know whatever view is open: what is not saved, and whether the disk is full. */
export function StudioStatus() {
  const client = useQueryClient();
  const { data: studio } = useStudio();
  const { data: me } = useMe();
  useOwnRole();
  /** The name of a reference, look or character, or of what stands behind an influence of an open mix. */
  const nameOf = (id: string): string | undefined => {
    const influence = client
      .getQueryData<Mix[]>(keys.mixes)
      ?.flatMap((m) => m.influences)
      .find((i) => i.id === id);
    const source = influence?.referenceId ?? id;
    return (
      client.getQueryData<Reference | null>(keys.reference(source))?.title ??
      client.getQueryData<Look[]>(keys.looks)?.find((l) => l.id === source)?.name ??
      client.getQueryData<Character[]>(keys.cast)?.find((c) => c.id === source)?.name
    );
  };
  return (
    <>
      {studio?.waitsForRoom && (
        <p
          role="alert"
          className="fixed inset-x-0 top-12 z-40 mx-auto w-fit rounded-lg border border-cinnabar bg-blush px-4 py-2"
        >
          <strong>The disk is full.</strong> Nothing is lost; what is queued goes on by itself when there is room.
        </p>
      )}
      <SaveStatus nameOf={nameOf} shared={me?.alone === false} />
    </>
  );
}
