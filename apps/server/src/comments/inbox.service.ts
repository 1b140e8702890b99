import { EntityManager, type SqlEntityManager } from '@mikro-orm/better-sqlite';
import { Injectable } from '@nestjs/common';
import { personAsking } from '../platform/access/asker';
import { shownNow } from '../platform/access/belonging';
import { blobUrl } from '../platform/blobs/blobUrl';
import { together } from '../platform/database/together';
import { CommentEntity, ThreadReadEntity, type Comment } from './comment.entity';
import { toCommentDto, type InboxCommentDto, type InboxDto } from './comment.dto';

/** Comments of an inbox, at most; the newest. */
const MOST = 100;

/** A comment of others, and how it concerns somebody. */
interface Row {
  readonly id: string;
  readonly forMe: number;
  readonly unread: number;
}

/** What is known of the thing of a comment. */
interface About {
  readonly id: string;
  readonly name: string;
  readonly shot: string | null;
  readonly thumbnail: string | null;
  readonly seriesId: string | null;
  readonly mixId: string | null;
}

/** What others have said, for whoever asks: what names them, and what goes on in threads in which they take part. */
@Injectable()
export class InboxService {
  constructor(private readonly em: EntityManager) {}

  /** The newest comments of others: those for whoever asks, or with `all` every one. Whoever works alone gets none. */
  async of(all: boolean): Promise<InboxDto> {
    const me = personAsking();
    if (!me) return { comments: [], unread: 0 };
    const rows = await this.rows(me);
    const shown = rows.filter((r) => all || r.forMe).slice(0, MOST);
    const found = await this.em.find(CommentEntity, { id: { $in: shown.map((r) => r.id) } });
    const byId = new Map(found.map((c) => [c.id, c]));
    const about = await aboutOf(this.em, found);
    return {
      comments: shown.flatMap((row) => {
        const comment = byId.get(row.id);
        return comment ? [incoming(comment, row, about.get(comment.id))] : [];
      }),
      unread: rows.filter((r) => r.forMe && r.unread).length,
    };
  }

  /** Notes that comments were read, and all those before them in their threads. */
  async read(ids: readonly string[]): Promise<void> {
    const me = personAsking();
    if (!me) return;
    await together(this.em, async (em) => {
      for (const { threadId, createdAt } of await em.find(CommentEntity, { id: { $in: [...ids] } }))
        await readUntil(em, me, { threadId, createdAt });
    });
  }

  /** Notes that everything for whoever asks was read. */
  async readAll(): Promise<void> {
    const me = personAsking();
    if (!me) return;
    const unread = (await this.rows(me)).filter((r) => r.forMe && r.unread);
    await this.read(unread.map((r) => r.id));
  }

  /** All comments of others that somebody may see, the newest first. */
  private rows(me: string): Promise<Row[]> {
    const seen = shownNow('comment', 'c');
    return this.em.execute<Row[]>(
      `with mine as (
         select thread_id from comment where person_id = ? and deleted_at is null
         union select c.thread_id from comment c, json_each(c.mentioned) e where e.value = ? and c.deleted_at is null
       )
       select c.id, c.thread_id in (select thread_id from mine) as forMe, c.created_at > coalesce(r.until, 0) as unread
       from comment c left join thread_read r on r.person_id = ? and r.thread_id = c.thread_id
       where c.deleted_at is null and coalesce(c.person_id, '') <> ? and ${seen.sql}
       order by c.created_at desc, c.id limit 5000`,
      [me, me, me, me, ...seen.parameters],
    );
  }
}

async function readUntil(
  em: SqlEntityManager,
  personId: string,
  { threadId, createdAt: until }: Pick<Comment, 'threadId' | 'createdAt'>,
): Promise<void> {
  const id = `${personId} ${threadId}`;
  const known = await em.findOne(ThreadReadEntity, { id });
  if (!known) em.create(ThreadReadEntity, { id, personId, threadId, until });
  else if (known.until < until) known.until = until;
  await em.flush();
}

const incoming = (comment: Comment, { forMe, unread }: Row, about: About | undefined): InboxCommentDto => ({
  ...toCommentDto(comment),
  forMe: !!forMe,
  unread: !!forMe && !!unread,
  about: about ? (about.shot ? `${about.name}, ${about.shot}` : about.name) : 'something that is gone',
  thumbnailUrl: about?.thumbnail ? blobUrl(about.thumbnail) : undefined,
  seriesId: about?.seriesId ?? undefined,
  mixId: about?.mixId ?? undefined,
});

/** For each kind of thing: what it is called, its picture and where it stands, with the id of the comment. */
const ABOUT = `
  select c.id, coalesce(s.name, m.name, 'A take') as name, h.title as shot, t.thumbnail_hash as thumbnail, s.id as seriesId, m.id as mixId
    from comment c join take t on t.id = c.thing_id left join mix m on m.id = coalesce(t.mix_id, t.beside_mix_id)
    left join shot h on h.id = t.shot_id left join series s on s.id = h.series_id where c.kind = 'take'
  union all
  select c.id, s.name, h.title, (select thumbnail_hash from take where shot_id = h.id and deleted_at is null and thumbnail_hash is not null
      order by keeper desc, created_at desc limit 1), s.id, s.mix_id
    from comment c join shot h on h.id = c.thing_id join series s on s.id = h.series_id where c.kind = 'shot'
  union all
  select c.id, m.name, null, (select thumbnail_hash from take where mix_id = m.id and deleted_at is null and thumbnail_hash is not null
      order by keeper desc, created_at desc limit 1), null, m.id
    from comment c join mix m on m.id = c.thing_id where c.kind = 'mix'
  union all
  select c.id, r.title, null, r.thumbnail_hash, null, null
    from comment c join reference r on r.id = c.thing_id where c.kind = 'reference'`;

async function aboutOf(em: SqlEntityManager, comments: readonly Comment[]): Promise<Map<string, About>> {
  if (!comments.length) return new Map();
  const ids = comments.map((c) => c.id);
  const rows = await em.execute<About[]>(
    `select * from (${ABOUT}) where id in (${ids.map(() => '?').join(', ')})`,
    ids,
  );
  return new Map(rows.map((row) => [row.id, row]));
}
