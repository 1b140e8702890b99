import { EntityManager, type SqlEntityManager } from '@mikro-orm/better-sqlite';
import { Injectable } from '@nestjs/common';
import { arrange, type SharedSettings } from '@urbild/core';
import { randomUUID } from 'crypto';
import { CharacterEntity } from '../cast/character.entity';
import { MOST_ITEMS, type ArrangementDto } from '../library/collections/collection.dto';
import { ReferenceEntity } from '../library/reference.entity';
import { LookEntity } from '../looks/look.entity';
import { Reaches } from '../platform/access/reaches';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import { Problem } from '../platform/problems/problem';
import { requireVersion } from '../platform/versions';
import {
  toProjectDto,
  type ArrangedProjectDto,
  type ChangeProjectDto,
  type NewProjectDto,
  type ProjectDto,
} from './project.dto';
import { FIRST_PROJECT, MemberEntity, ProjectEntity, type Member, type Project } from './project.entity';

/** Projects that a studio may have. */
const MOST = 200;

/** What the new mixes of a project begin with. */
export interface ProjectUsual {
  readonly projectId: string;
  readonly lookId?: string;
  readonly settings: Partial<SharedSettings>;
}

/** Projects: making and changing them, picking what of the library they work with. */
@Injectable()
export class ProjectsService {
  constructor(
    private readonly em: EntityManager,
    private readonly events: EventsService,
    private readonly reaches: Reaches,
  ) {}

  async list(): Promise<ProjectDto[]> {
    const all = await this.em.find(ProjectEntity, { deletedAt: null }, { orderBy: { createdAt: 'asc', id: 'asc' } });
    const members = await membersOf(this.em, all);
    return all.map((project) => toProjectDto(project, members));
  }

  async get(id: string): Promise<ProjectDto> {
    return present(this.em, await find(this.em, id));
  }

  /** What a new mix of a project begins with; of the first one where none is named. Throws a not-found {@link Problem}. */
  async usual(id: string = FIRST_PROJECT): Promise<ProjectUsual> {
    const { lookId, settings } = await find(this.em, id);
    return { projectId: id, lookId: lookId ?? undefined, settings };
  }

  async create(fields: NewProjectDto, id: string = randomUUID()): Promise<ProjectDto> {
    const made = await together(this.em, async (em) => {
      if ((await em.count(ProjectEntity, { deletedAt: null })) >= MOST)
        throw Problem.busy(`There are ${MOST} projects already. Delete one first.`);
      await requirePicks(em, fields);
      const now = new Date();
      return em.create(ProjectEntity, {
        id,
        name: fields.name,
        lookId: fields.lookId ?? null,
        settings: { ...fields.settings },
        pictures: [],
        looks: [...new Set(fields.looks)],
        cast: [...new Set(fields.cast)],
        archived: false,
        restricted: false,
        createdAt: now,
        updatedAt: now,
        version: 1,
      });
    });
    return this.told(made);
  }

  async change(id: string, { version, ...fields }: ChangeProjectDto): Promise<ProjectDto> {
    const changed = await together(this.em, async (em) => {
      const project = await find(em, id);
      const members = await membersOf(em, [project]);
      requireVersion(project, version, (p) => toProjectDto(p, members));
      await requirePicks(em, fields);
      const { name, lookId, settings, looks, cast, archived, restricted } = fields;
      if (name !== undefined) project.name = name;
      if (lookId !== undefined) project.lookId = lookId || null;
      if (settings !== undefined) project.settings = { ...settings };
      if (looks !== undefined) project.looks = [...new Set(looks)];
      if (cast !== undefined) project.cast = [...new Set(cast)];
      if (archived !== undefined) project.archived = archived;
      if (restricted !== undefined) project.restricted = restricted;
      project.updatedAt = new Date();
      return project;
    });
    const told = await this.told(changed);
    if (fields.restricted !== undefined) this.events.publish({ type: 'access' });
    return told;
  }

  /** Picks pictures, leaves some, moves some: by their neighbours, so that two people can do so at the same time. */
  async arrange(id: string, arrangement: ArrangementDto): Promise<ArrangedProjectDto> {
    const { changed, back } = await together(this.em, async (em) => {
      const changed = await find(em, id);
      await requireAll(em, ReferenceEntity, { field: 'place', ids: (arrangement.place ?? []).map((p) => p.id) });
      const { items, back } = arrange(changed.pictures, arrangement);
      if (items.length > MOST_ITEMS)
        throw Problem.invalid([{ field: 'place', message: `place: a project picks at most ${MOST_ITEMS} pictures` }]);
      changed.pictures = [...items];
      changed.updatedAt = new Date();
      return { changed, back: back as ArrangementDto };
    });
    return { project: await this.told(changed), back };
  }

  private told(project: Project): Promise<ProjectDto> {
    this.reaches.forget();
    this.events.publish({ type: 'project', id: project.id });
    return present(this.em, project);
  }
}

/** Throws a not-found {@link Problem} for an unknown or deleted project. */
async function find(em: Pick<SqlEntityManager, 'findOne'>, id: string): Promise<Project> {
  const project = await em.findOne(ProjectEntity, { id, deletedAt: null });
  if (!project) throw Problem.notFound('This project');
  return project;
}

/** The members of some projects, in the order in which they came. */
const membersOf = (em: Pick<SqlEntityManager, 'find'>, projects: readonly Project[]): Promise<Member[]> =>
  em.find(
    MemberEntity,
    { projectId: { $in: projects.map((p) => p.id) } },
    { orderBy: { createdAt: 'asc', personId: 'asc' } },
  );

const present = async (em: Pick<SqlEntityManager, 'find'>, project: Project): Promise<ProjectDto> =>
  toProjectDto(project, await membersOf(em, [project]));

/** Throws a {@link Problem} unless what a project picks is in the studio. */
async function requirePicks(
  em: SqlEntityManager,
  { lookId, looks = [], cast = [] }: Pick<ChangeProjectDto, 'lookId' | 'looks' | 'cast'>,
): Promise<void> {
  await requireAll(em, LookEntity, { field: 'lookId', ids: lookId ? [lookId] : [] });
  await requireAll(em, LookEntity, { field: 'looks', ids: looks });
  await requireAll(em, CharacterEntity, { field: 'cast', ids: cast });
}

async function requireAll(
  em: SqlEntityManager,
  entity: typeof ReferenceEntity | typeof LookEntity | typeof CharacterEntity,
  { field, ids }: { readonly field: string; readonly ids: readonly string[] },
): Promise<void> {
  const wanted = [...new Set(ids)];
  const known = await em.count(entity as typeof ReferenceEntity, { id: { $in: wanted } });
  if (known !== wanted.length)
    throw Problem.invalid([{ field, message: `${field}: ${wanted.length - known} of these are not in the studio` }]);
}
