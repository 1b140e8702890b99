import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { belongsToProjects, ofItsSeries } from '../platform/access/belonging';
import { ofItsMixOrShot } from '../takes/take.entity';

/** What can be commented on. */
export const COMMENTED = ['take', 'shot', 'mix', 'reference'] as const;
export type Commented = (typeof COMMENTED)[number];

/** A point of a picture: parts of its width and height, 0..1 from its upper left corner. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** The project of what is commented on; null for references, which belong to the studio, and for what is no longer there. */
const ofItsThing = (c: string): string =>
  `(case ${c}.kind
      when 'take' then (select ${ofItsMixOrShot('a')} from take a where a.id = ${c}.thing_id)
      when 'shot' then (select ${ofItsSeries('a')} from shot a where a.id = ${c}.thing_id)
      when 'mix' then (select a.project_id from mix a where a.id = ${c}.thing_id) end)`;

/** Something that somebody says about a picture, a shot or a mix. The first of a thread can be pinned to a point, and resolved. */
export const CommentEntity = defineEntity({
  name: 'Comment',
  tableName: 'comment',
  filters: belongsToProjects({
    table: 'comment',
    path: 'comments',
    called: 'This comment',
    project: ofItsThing,
    // where a thing is gone for good, nobody can say who might know of it
    shown: (c) => `(${c}.kind = 'reference' or ${ofItsThing(c)} is not null)`,
  }),
  properties: {
    id: p.string().primary(),
    kind: p.string().$type<Commented>(),
    thingId: p.string().index(),
    /** The first comment of its thread; of that one its own id. */
    threadId: p.string().index(),
    /** Who wrote it; null for whoever worked alone. */
    personId: p.string().nullable().index(),
    text: p.text(),
    point: p.json<Point>().nullable(),
    /** Ids of the people whom it names. */
    mentioned: p.json<string[]>(),
    resolvedAt: p.datetime().nullable(),
    /** Who resolved it; null also for whoever worked alone. */
    resolvedBy: p.string().nullable(),
    createdAt: p.datetime().index(),
    /** When its text was changed last. */
    editedAt: p.datetime().nullable(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Comment = InferEntity<typeof CommentEntity>;

/** How far somebody has read a thread. */
export const ThreadReadEntity = defineEntity({
  name: 'ThreadRead',
  tableName: 'thread_read',
  properties: {
    /** The ids of the person and of the thread, with a space between them. */
    id: p.string().primary(),
    personId: p.string().index(),
    threadId: p.string(),
    /** When the newest comment that they have read was written. */
    until: p.datetime(),
  },
});
export type ThreadRead = InferEntity<typeof ThreadReadEntity>;
