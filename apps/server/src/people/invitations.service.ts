import { EntityManager, type SqlEntityManager } from '@mikro-orm/better-sqlite';
import { Injectable } from '@nestjs/common';
import { randomUUID } from 'crypto';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import { Problem } from '../platform/problems/problem';
import { PeopleService } from './people.service';
import { InvitationEntity, type Invitation, type Person } from './person.entity';
import type { NewInvitationDto, NewPersonDto } from './person.dto';
import { newToken, tokenHash } from './secrets';
import { SessionsService } from './sessions.service';

/** How long a link can be used, ms. */
const LASTS = 7 * 86_400_000;
/** Links that may be open at a time. */
const MOST = 200;

/** A link that was just made; its token is told this once. */
export interface MadeInvitation {
  readonly invitation: Invitation;
  readonly token: string;
}

/** Links that let somebody in once: somebody new, or somebody with a new password. */
@Injectable()
export class InvitationsService {
  constructor(
    private readonly em: EntityManager,
    private readonly events: EventsService,
    private readonly people: PeopleService,
    private readonly sessions: SessionsService,
  ) {}

  /** Links that can still be used, the newest first. */
  open(): Promise<Invitation[]> {
    return this.em.fork().find(InvitationEntity, OPEN(), { orderBy: { createdAt: 'desc', id: 'asc' } });
  }

  invite({ role, note = '', mayExport = false }: NewInvitationDto): Promise<MadeInvitation> {
    return this.make({ personId: null, role, note, mayExport });
  }

  /** A link by which somebody who forgot their password gives themselves another; a former one for them is gone. */
  async reset(personId: string): Promise<MadeInvitation> {
    const { name, role, mayExport } = await this.people.get(personId);
    await this.em.fork().nativeDelete(InvitationEntity, { personId, usedAt: null });
    return this.make({ personId, role, note: name, mayExport });
  }

  private async make(
    fields: Pick<Invitation, 'personId' | 'role' | 'note'> & { mayExport: boolean },
  ): Promise<MadeInvitation> {
    const token = newToken();
    const invitation = await together(this.em.fork(), async (em) => {
      if ((await em.count(InvitationEntity, OPEN())) >= MOST)
        throw Problem.busy(`${MOST} links are open already. Take some back first.`);
      const now = Date.now();
      return em.create(InvitationEntity, {
        ...fields,
        id: randomUUID(),
        tokenHash: tokenHash(token),
        createdAt: new Date(now),
        expiresAt: new Date(now + LASTS),
      });
    });
    this.events.publish({ type: 'person', id: invitation.id });
    return { invitation, token };
  }

  /** Makes a link useless. */
  async takeBack(id: string): Promise<void> {
    if (!(await this.em.fork().nativeDelete(InvitationEntity, { id, usedAt: null })))
      throw Problem.notFound('This link');
    this.events.publish({ type: 'person', id });
  }

  /** What a link is for. Throws a not-found {@link Problem} for one that is unknown, used, taken back or too old. */
  read(token: string): Promise<Invitation> {
    return find(this.em.fork(), token);
  }

  /** Uses a link: somebody new is in the studio, whom a directory knows by an id if it does; or somebody has a new password. */
  async accept(token: string, fields: NewPersonDto, directoryId?: string): Promise<Person> {
    const invitation = await this.read(token);
    const id = invitation.personId;
    if (!id) return this.people.add({ ...fields, directoryId }, invitation, (em) => use(em, token));
    await this.people.setPassword(id, fields.password, (em) => use(em, token));
    await this.sessions.endOthers(id);
    return this.people.get(id);
  }
}

const OPEN = () => ({ usedAt: null, expiresAt: { $gt: new Date() } });

async function find(em: SqlEntityManager, token: string): Promise<Invitation> {
  const invitation = await em.findOne(InvitationEntity, { tokenHash: tokenHash(token), ...OPEN() });
  if (!invitation)
    throw Problem.gone('This link is used up, was taken back or is too old. Ask whoever sent it for another one.');
  return invitation;
}

/** Uses a link up: of two who use one at the same time, one is refused. */
async function use(em: SqlEntityManager, token: string): Promise<void> {
  (await find(em, token)).usedAt = new Date();
}
