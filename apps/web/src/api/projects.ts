import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { may, roleInProject, type Permission, type ProjectRole } from '@urbild/core';
import { useEffect, useSyncExternalStore } from 'react';
import { useLocation } from 'react-router';
import { useNotice } from '../parts/notices';
import { api, ask, type Mix } from './client';
import type { Pile } from './collections';
import { keys } from './keys';
import { chooseProject, chosenProject, hearChoice, rememberPlace } from './projectChoice';
import { useMay, useMe } from './me';
import { useMixes } from './queries';

/** A book, a set of cards, a season of frames. */
export type Project = Schemas['ProjectDto'];

export const useProjects = () => useQuery({ queryKey: keys.projects, queryFn: () => ask(api.GET('/api/v1/projects')) });

/** The pictures that a project picked, as a pile. */
export const picksOf = ({ id, name }: Pick<Project, 'id' | 'name'>): Pile => ({ of: 'projects', id, name });

/**
 * The project that one works in: the one that was chosen, or the one whose mix was looked at last; before that the oldest in which
 * anything was made. Undefined while it is not known.
 */
export function useProject(): Project | undefined {
  const chosen = useSyncExternalStore(hearChoice, chosenProject);
  const { data: projects } = useProjects();
  const { data: mixes } = useMixes();
  return (
    projects?.find((p) => p.id === chosen) ??
    projects?.find((p) => mixes?.some((m) => m.projectId === p.id)) ??
    projects?.[0]
  );
}

/** True where one may do something in the project that one works in; by the table that the server goes by too. */
export function useMayHere(permission: Permission): boolean {
  const { data: me } = useMe();
  const project = useProject();
  const mayAnyhow = useMay(permission);
  if (!me?.person || !project) return mayAnyhow;
  const { id, role } = me.person;
  const member = project.members.find((m) => m.person === id)?.role;
  const here = roleInProject(role, { restricted: project.restricted, member });
  return here !== undefined && may({ ...me.person, role: here }, permission);
}

/** Something of a project is looked at: that is the project that one works in now, and this is one's place in it. */
export function useInProject(projectId: string | undefined): void {
  const { pathname, search } = useLocation();
  useEffect(() => {
    if (!projectId) return;
    rememberPlace(projectId, pathname + search);
    chooseProject(projectId);
  }, [projectId, pathname, search]);
}

/** The mixes of the project that one works in, the newest first; all of them while it is not known. */
export function useProjectMixes(): readonly Mix[] | undefined {
  const project = useProject();
  const { data: mixes } = useMixes();
  return project ? mixes?.filter((m) => m.projectId === project.id) : mixes;
}

/** Of looks or characters those that a project picked, all where it picked none; and whether any are left out. */
export function picked<T extends { readonly id: string }>(
  all: readonly T[],
  picks: readonly string[] = [],
): { readonly shown: readonly T[]; readonly left: number } {
  const shown = all.filter((one) => picks.includes(one.id));
  return shown.length ? { shown, left: all.length - shown.length } : { shown: all, left: 0 };
}

/** Makes and changes projects; what is refused is told, and the page reads again what is so. */
export function useProjectActs() {
  const client = useQueryClient();
  const tell = useNotice();
  const act = async (doing: Promise<Project>): Promise<Project | undefined> => {
    try {
      const project = await doing;
      client.setQueryData<Project[]>(keys.projects, (all = []) =>
        all.some((p) => p.id === project.id) ? all.map((p) => (p.id === project.id ? project : p)) : [...all, project],
      );
      return project;
    } catch (error) {
      tell((error as Error).message, { grave: true });
      await client.invalidateQueries({ queryKey: keys.projects });
      return undefined;
    }
  };
  return {
    make: (body: Schemas['NewProjectDto']) => act(ask(api.POST('/api/v1/projects', { body }))),
    /** Makes somebody a member, or gives a member another role; without a role they are a member no more. */
    setMember: ({ id }: Project, person: string, role: ProjectRole | undefined, approver?: boolean) => {
      const params = { path: { id, person } };
      const of = '/api/v1/projects/{id}/members/{person}' as const;
      return act(ask(role ? api.PUT(of, { params, body: { role, approver } }) : api.DELETE(of, { params })));
    },
    change: ({ id, version }: Project, change: Omit<Schemas['ChangeProjectDto'], 'version'>) =>
      act(ask(api.PATCH('/api/v1/projects/{id}', { params: { path: { id } }, body: { ...change, version } }))),
  };
}
