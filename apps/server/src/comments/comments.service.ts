import { EntityManager, type SqlEntityManager } from '@mikro-orm/better-sqlite';
import { Injectable, type OnModuleInit } from '@nestjs/common';
import { mentionsIn } from '@urbild/core';
import { randomUUID } from 'crypto';
import { ReferenceEntity } from '../library/reference.entity';
import { MixEntity } from '../mixes/mix.entity';
import { PeopleService } from '../people/people.service';
import { personAsking } from '../platform/access/asker';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import { Problem } from '../platform/problems/problem';
import { requireVersion } from '../platform/versions';
import { ShotEntity } from '../series/series.entity';
import { TakeEntity } from '../takes/take.entity';
import { TakesService } from '../takes/takes.service';
import { COMMENTED, CommentEntity, type Comment, type Commented } from './comment.entity';
import { toCommentDto, type ChangeCommentDto, type CommentDto, type NewCommentDto, type ThingDto } from './comment.dto';

/** Comments that one thing can have, with the answers. */
const MOST = 500;

/** Something that is commented on. */
interface Thing {
  readonly kind: Commented;
  readonly id: string;
}

/** Comments: writing, answering, resolving and taking them back. */
@Injectable()
export class CommentsService implements OnModuleInit {
  constructor(
    private readonly em: EntityManager,
    private readonly people: PeopleService,
    private readonly takes: TakesService,
    private readonly events: EventsService,
  ) {}

  onModuleInit(): void {
    this.takes.spare((mixId) => this.commentedTakes(mixId));
  }

  /** What is said about something, the oldest first; of a mix and of a shot also what is said about their takes. */
  async list(of: ThingDto): Promise<CommentDto[]> {
    const thing = onlyThing(of);
    await requireThing(this.em, thing);
    const takes = await this.takesOf(thing);
    const all = await this.em.find(
      CommentEntity,
      {
        $or: [
          { kind: thing.kind, thingId: thing.id },
          { kind: 'take', thingId: { $in: takes } },
        ],
      },
      { orderBy: { createdAt: 'asc', id: 'asc' }, limit: 2 * MOST },
    );
    const answered = new Set(all.filter((c) => !c.deletedAt).map((c) => c.threadId));
    return all.filter((c) => !c.deletedAt || (c.id === c.threadId && answered.has(c.id))).map(toCommentDto);
  }

  /** Begins a thread. */
  async write({ text, point, ...of }: NewCommentDto): Promise<CommentDto> {
    const thing = onlyThing(of);
    const id = randomUUID();
    return this.add(
      { id, threadId: id, kind: thing.kind, thingId: thing.id, point: point ? { ...point } : null },
      text,
    );
  }

  /** Answers a comment: in its thread, after all others. An answer opens what was resolved. */
  async answer(id: string, text: string): Promise<CommentDto> {
    const { kind, thingId, threadId } = await find(this.em, id);
    return this.add({ id: randomUUID(), threadId, kind, thingId, point: null }, text);
  }

  /** Changes a text of one's own, or says of a thread whether it is dealt with. */
  async change(id: string, { version, text, resolved }: ChangeCommentDto): Promise<CommentDto> {
    const comment = await find(this.em, id);
    requireVersion(comment, version, toCommentDto);
    if (text !== undefined) {
      if (comment.personId !== (personAsking() ?? null))
        throw Problem.forbidden('Only whoever wrote a comment can change it. You can answer it.');
      comment.text = text;
      comment.mentioned = await this.mentioned(text);
      comment.editedAt = new Date();
    }
    if (resolved !== undefined) {
      if (comment.threadId !== comment.id)
        throw Problem.conflict('Only a whole thread can be resolved, by its first comment.');
      comment.resolvedAt = resolved ? (comment.resolvedAt ?? new Date()) : null;
      comment.resolvedBy = resolved ? (comment.resolvedBy ?? personAsking() ?? null) : null;
    }
    await this.em.flush();
    return this.told(comment);
  }

  /** Deletes a comment of one's own, or with `anybodys` that of anybody; it can be brought back. */
  async remove(id: string, anybodys: boolean): Promise<void> {
    await this.setDeleted(await find(this.em, id), anybodys, new Date());
  }

  /** Brings back what was deleted. Throws a not-found {@link Problem} for a comment that never was. */
  async restore(id: string, anybodys: boolean): Promise<CommentDto> {
    const comment = await this.em.findOne(CommentEntity, { id });
    if (!comment) throw Problem.notFound('This comment');
    return this.setDeleted(comment, anybodys, null);
  }

  private async setDeleted(comment: Comment, anybodys: boolean, at: Date | null): Promise<CommentDto> {
    if (!anybodys && comment.personId !== (personAsking() ?? null))
      throw Problem.forbidden('Only whoever wrote a comment, or an owner of the studio, can delete it.');
    comment.deletedAt = at;
    await this.em.flush();
    return this.told(comment);
  }

  private async add(
    fields: Pick<Comment, 'id' | 'threadId' | 'kind' | 'thingId' | 'point'>,
    text: string,
  ): Promise<CommentDto> {
    const mentioned = await this.mentioned(text);
    const made = await together(this.em, async (em) => {
      const { kind, thingId } = fields;
      await requireThing(em, { kind, id: thingId });
      if ((await em.count(CommentEntity, { kind, thingId, deletedAt: null })) >= MOST)
        throw Problem.busy(`There are ${MOST} comments here already. Delete some first.`);
      const first = await em.findOne(CommentEntity, { id: fields.threadId });
      if (first?.resolvedAt) Object.assign(first, { resolvedAt: null, resolvedBy: null });
      return em.create(CommentEntity, {
        ...fields,
        personId: personAsking() ?? null,
        text,
        mentioned,
        resolvedAt: null,
        resolvedBy: null,
        createdAt: new Date(),
        editedAt: null,
        deletedAt: null,
      });
    });
    return this.told(made);
  }

  /** Ids of those whom a text names; nobody names themselves. */
  private async mentioned(text: string): Promise<string[]> {
    if (!text.includes('@')) return [];
    const me = personAsking();
    return [...new Set(mentionsIn(text, await this.people.list()).map((m) => m.person))].filter((id) => id !== me);
  }

  private told(comment: Comment): CommentDto {
    const { id, kind, thingId } = comment;
    this.events.publish({ type: 'comment', id, kind, thingId });
    return toCommentDto(comment);
  }

  private async takesOf({ kind, id }: Thing): Promise<string[]> {
    if (kind !== 'mix' && kind !== 'shot') return [];
    const takes = await this.em.execute<{ id: string }[]>(
      `select distinct t.id from take t join comment c on c.kind = 'take' and c.thing_id = t.id
       where t.${kind === 'mix' ? 'mix_id' : 'shot_id'} = ? and t.deleted_at is null`,
      [id],
    );
    return takes.map((t) => t.id);
  }

  private async commentedTakes(mixId: string): Promise<ReadonlySet<string>> {
    return new Set(await this.takesOf({ kind: 'mix', id: mixId }));
  }
}

/** Throws an invalid {@link Problem} unless exactly one thing is named. */
function onlyThing(of: ThingDto): Thing {
  const named = COMMENTED.flatMap((kind): Thing[] => {
    const id = of[`${kind}Id`];
    return id ? [{ kind, id }] : [];
  });
  if (named.length === 1) return named[0];
  const message = 'say what it is about: one of takeId, shotId, mixId and referenceId';
  throw Problem.invalid([{ field: 'takeId', message }]);
}

const CALLED: Readonly<Record<Commented, string>> = {
  take: 'This take',
  shot: 'This shot',
  mix: 'This mix',
  reference: 'This reference',
};

/** Throws a not-found {@link Problem} for what is not there, or hidden from whoever asks; a conflict for a take without a picture. */
async function requireThing(em: SqlEntityManager, { kind, id }: Thing): Promise<void> {
  const where = { id, deletedAt: null };
  const there = {
    take: () => em.count(TakeEntity, where),
    shot: () => em.count(ShotEntity, where),
    mix: () => em.count(MixEntity, where),
    reference: () => em.count(ReferenceEntity, where),
  };
  if (!(await there[kind]())) throw Problem.notFound(CALLED[kind]);
  if (kind === 'take' && !(await em.count(TakeEntity, { ...where, status: 'done' })))
    throw Problem.conflict('This take has no picture yet. Comment on it when it is there.');
}

async function find(em: SqlEntityManager, id: string): Promise<Comment> {
  const comment = await em.findOne(CommentEntity, { id, deletedAt: null });
  if (!comment) throw Problem.notFound('This comment');
  return comment;
}
