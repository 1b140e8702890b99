import { EntityManager } from '@mikro-orm/better-sqlite';
import { Injectable, type OnModuleInit } from '@nestjs/common';
import { PeopleService } from '../people/people.service';
import { personAsking } from '../platform/access/asker';
import { Reaches, type Memberships } from '../platform/access/reaches';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import { Problem } from '../platform/problems/problem';
import type { MembershipDto, ProjectDto } from './project.dto';
import { MemberEntity, ProjectEntity } from './project.entity';
import { ProjectsService } from './projects.service';

/** Who works in which project, and with which role. */
@Injectable()
export class MembersService implements OnModuleInit {
  constructor(
    private readonly em: EntityManager,
    private readonly people: PeopleService,
    private readonly projects: ProjectsService,
    private readonly reaches: Reaches,
    private readonly events: EventsService,
  ) {}

  onModuleInit(): void {
    this.reaches.learnFrom(() => this.memberships());
  }

  /** Makes somebody a member, or gives a member another role. Throws a not-found {@link Problem} for an unknown project or person. */
  async put(projectId: string, personId: string, { role, approver }: MembershipDto): Promise<ProjectDto> {
    await this.people.get(personId);
    await together(this.em, async (em) => {
      await requireProject(em, projectId);
      const member = await em.findOne(MemberEntity, { projectId, personId });
      if (member) Object.assign(member, { role, approver: approver ?? member.approver });
      else
        em.create(MemberEntity, {
          id: `${projectId} ${personId}`,
          projectId,
          personId,
          role,
          approver: approver ?? false,
          createdAt: new Date(),
        });
    });
    return this.told(projectId);
  }

  /** Throws a not-found {@link Problem} for somebody who is no member. */
  async remove(projectId: string, personId: string): Promise<ProjectDto> {
    await together(this.em, async (em) => {
      await requireProject(em, projectId);
      const member = await em.findOne(MemberEntity, { projectId, personId });
      if (!member) throw Problem.notFound('This member');
      em.remove(member);
    });
    return this.told(projectId);
  }

  /** Throws a forbidden {@link Problem} unless whoever asks approves in a project, or is an owner, or works alone. */
  async requireApprover(projectId: string | undefined): Promise<void> {
    const personId = personAsking();
    if (!personId || (await this.people.get(personId)).role === 'owner') return;
    const approvers = await this.em.find(MemberEntity, { projectId: projectId ?? '', approver: true });
    if (approvers.some((m) => m.personId === personId)) return;
    const people = (await this.people.list()).filter(
      (p) => p.role === 'owner' || approvers.some((m) => m.personId === p.id),
    );
    const names = people.map((p) => p.name).join(', ');
    throw Problem.forbidden(`Only those who approve in this project can do that: ${names}.`);
  }

  private told(projectId: string): Promise<ProjectDto> {
    this.reaches.forget();
    this.events.publish({ type: 'project', id: projectId });
    this.events.publish({ type: 'access' });
    return this.projects.get(projectId);
  }

  private async memberships(): Promise<Memberships> {
    const em = this.em.fork();
    const [people, projects, members] = [
      await this.people.list(),
      // deleted ones too: what was in them stays theirs
      await em.find(ProjectEntity, {}, { filters: false, fields: ['id', 'restricted'] }),
      await em.find(MemberEntity, {}),
    ];
    return {
      roles: new Map(people.map((p) => [p.id, p.role])),
      projects: projects.map(({ id, restricted }) => ({
        id,
        restricted,
        members: new Map(members.filter((m) => m.projectId === id).map((m) => [m.personId, m.role])),
      })),
    };
  }
}

async function requireProject(em: Pick<EntityManager, 'count'>, id: string): Promise<void> {
  if (!(await em.count(ProjectEntity, { id, deletedAt: null }))) throw Problem.notFound('This project');
}
