import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { api, ask } from './client';
import { keys } from './keys';
import { useMay } from './me';
import { useTellingAct } from './useTellingAct';

/** Somebody who works in the studio. */
export type Person = Schemas['PersonDto'];
/** A link that lets somebody in once. */
export type Invitation = Schemas['InvitationDto'];

export const usePeople = () => useQuery({ queryKey: keys.people, queryFn: () => ask(api.GET('/api/v1/people')) });

/** Links that can still be used; asked for by owners only. */
export const useInvitations = () =>
  useQuery({
    queryKey: keys.invitations,
    queryFn: () => ask(api.GET('/api/v1/invitations')),
    enabled: useMay('manage'),
  });

/** The browsers by which one is in. */
export const useSessions = () =>
  useQuery({ queryKey: keys.sessions, queryFn: () => ask(api.GET('/api/v1/me/sessions')) });

export const useBackups = () =>
  useQuery({ queryKey: keys.backups, queryFn: () => ask(api.GET('/api/v1/backups')), enabled: useMay('manage') });

type PersonChange = Omit<Schemas['ChangePersonDto'], 'version'>;

/** The changes to people that are under way, one after the other. */
let changing: Promise<void> = Promise.resolve();

const changedIn =
  (id: string, change: Partial<Person>) =>
  (all: readonly Person[] | undefined): Person[] | undefined =>
    all?.map((p) => (p.id === id ? { ...p, ...change } : p));

/** What is done to people, links, sessions and backups: what is refused is told, and what is so is read again. */
export function usePeopleActs() {
  const client = useQueryClient();
  const act = useTellingAct();
  return {
    /** Shown at once; a second change waits for the first, so that each stands on what is there. */
    change: (id: string, change: PersonChange) => {
      client.setQueryData<Person[]>(keys.people, changedIn(id, change));
      return (changing = changing.then(async () => {
        const version = client.getQueryData<Person[]>(keys.people)?.find((p) => p.id === id)?.version;
        if (version === undefined) return;
        const body = { ...change, version };
        const changed = await act(ask(api.PATCH('/api/v1/people/{id}', { params: { path: { id } }, body })), keys.me);
        if (changed) client.setQueryData<Person[]>(keys.people, changedIn(id, { version: changed.version }));
        else await client.invalidateQueries({ queryKey: keys.people });
      }));
    },
    remove: (id: string) =>
      act(
        ask(api.DELETE('/api/v1/people/{id}', { params: { path: { id } } })).then(() => true),
        keys.people,
      ),
    reset: (id: string) =>
      act(ask(api.POST('/api/v1/people/{id}/reset', { params: { path: { id } } })), keys.invitations),
    invite: (body: Schemas['NewInvitationDto']) =>
      act(ask(api.POST('/api/v1/invitations', { body })), keys.invitations),
    takeBack: (id: string) =>
      act(ask(api.DELETE('/api/v1/invitations/{id}', { params: { path: { id } } })), keys.invitations),
    endSession: (id: string) =>
      act(ask(api.DELETE('/api/v1/me/sessions/{id}', { params: { path: { id } } })), keys.sessions),
    backUp: () => act(ask(api.POST('/api/v1/backups')), keys.backups),
  };
}
