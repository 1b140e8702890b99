import { Injectable } from '@nestjs/common';
import { roleInProject, type ProjectRole, type Role } from '@urbild/core';
import type { Asker } from './asker';
import { EVERYWHERE, type Reach } from './reach';

/** Of a project, who may know of it. */
export interface ProjectMembers {
  readonly id: string;
  readonly restricted: boolean;
  /** By id of the person. */
  readonly members: ReadonlyMap<string, ProjectRole>;
}

/** What decides how far everybody sees. */
export interface Memberships {
  /** Everybody's role in the studio, by id. */
  readonly roles: ReadonlyMap<string, Role>;
  readonly projects: readonly ProjectMembers[];
}

/** How far each person sees. What it goes by is told by those above, kept in memory, and read again when somebody has changed it. */
@Injectable()
export class Reaches {
  private source?: () => Promise<Memberships>;
  private known?: Promise<Memberships>;

  /** Says where to learn who works where. */
  learnFrom(source: () => Promise<Memberships>): void {
    this.source = source;
  }

  /** To be called after people, projects or members have changed. */
  forget(): void {
    this.known = undefined;
  }

  /** How far somebody sees at this moment, by the role that they have now. */
  async of({ person, role }: Asker): Promise<Reach> {
    if (!person || !this.source) return EVERYWHERE;
    this.known ??= this.source();
    const reading = this.known;
    try {
      const { roles, projects } = await reading;
      return reachOf(person, roles.get(person) ?? role, projects);
    } catch (error) {
      if (this.known === reading) this.known = undefined;
      throw error;
    }
  }
}

function reachOf(person: string, studio: Role, projects: readonly ProjectMembers[]): Reach {
  if (studio === 'owner') return EVERYWHERE;
  const hidden: string[] = [];
  const roles = new Map<string, Role>();
  for (const { id, restricted, members } of projects) {
    const role = roleInProject(studio, { restricted, member: members.get(person) });
    if (!role) hidden.push(id);
    else if (role !== studio) roles.set(id, role);
  }
  return hidden.length || roles.size ? { hidden, roles } : EVERYWHERE;
}
