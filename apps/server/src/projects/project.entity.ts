import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { ProjectRole, SharedSettings } from '@urbild/core';
import { belongsToProjects } from '../platform/access/belonging';

/** The project that every studio has from the start; mixes that name none belong to it. */
export const FIRST_PROJECT = 'first';

/** A book, a set of cards, a season of frames: its mixes and series, and what of the library it works with. */
export const ProjectEntity = defineEntity({
  name: 'Project',
  tableName: 'project',
  filters: belongsToProjects({
    table: 'project',
    path: 'projects',
    called: 'This project',
    project: (project) => `${project}.id`,
  }),
  properties: {
    id: p.string().primary(),
    name: p.string(),
    /** The look that its new mixes begin with; that of the studio when null. */
    lookId: p.string().nullable(),
    /** What its new mixes say instead of what is usual. */
    settings: p.json<Partial<SharedSettings>>(),
    /** Ids of the references, in an order, the looks and the characters that it picked; none picked is all. */
    pictures: p.json<string[]>(),
    looks: p.json<string[]>(),
    cast: p.json<string[]>(),
    /** Only its members, and owners of the studio, know of it. */
    restricted: p.boolean().default(false),
    /** Done with. */
    archived: p.boolean().default(false),
    createdAt: p.datetime(),
    updatedAt: p.datetime(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Project = InferEntity<typeof ProjectEntity>;

/** Somebody who works in a project. */
export const MemberEntity = defineEntity({
  name: 'Member',
  tableName: 'member',
  properties: {
    /** The ids of the project and of the person, with a space between them. */
    id: p.string().primary(),
    projectId: p.string().index(),
    personId: p.string().index(),
    /** At most what the studio lets them do. */
    role: p.string().$type<ProjectRole>(),
    /** Approves keepers of the project. */
    approver: p.boolean().default(false),
    createdAt: p.datetime(),
  },
});
export type Member = InferEntity<typeof MemberEntity>;
