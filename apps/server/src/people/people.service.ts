import { EntityManager, type SqlEntityManager } from '@mikro-orm/better-sqlite';
import { Injectable } from '@nestjs/common';
import { randomUUID } from 'crypto';
import { Reaches } from '../platform/access/reaches';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import { Problem } from '../platform/problems/problem';
import { requireVersion } from '../platform/versions';
import { PersonEntity, type Person } from './person.entity';
import { toPersonDto, type ChangePersonDto, type NewPersonDto } from './person.dto';
import { hashPassword, isPassword } from './secrets';
import { SessionsService } from './sessions.service';

/** People that a studio may have. */
const MOST = 1_000;
/** Marks of people who come one after the other differ by so much, degrees: the golden angle. */
const HUE_STEP = 137.5;

/** Somebody's wish for another password. */
export interface PasswordChange {
  readonly id: string;
  /** The session that stays. */
  readonly session?: string;
  readonly now: string;
  readonly then: string;
}

/** The people of the studio: who they are and which role they have. */
@Injectable()
export class PeopleService {
  constructor(
    private readonly em: EntityManager,
    private readonly events: EventsService,
    private readonly sessions: SessionsService,
    private readonly reaches: Reaches,
  ) {}

  /** Everybody, in the order in which they came. */
  list(): Promise<Person[]> {
    return this.em.fork().find(PersonEntity, { deletedAt: null }, { orderBy: { createdAt: 'asc', id: 'asc' } });
  }

  /** Throws a not-found {@link Problem} for somebody who is not there. */
  get(id: string): Promise<Person> {
    return find(this.em.fork(), id);
  }

  async hasOwner(): Promise<boolean> {
    return (await owners(this.em.fork())) > 0;
  }

  /** Makes the one who may let others in. Throws a conflict {@link Problem} where there is an owner already. */
  async makeFirstOwner(fields: NewPersonDto): Promise<Person> {
    return this.add(fields, { role: 'owner', mayExport: true }, async (em) => {
      if (await owners(em)) throw Problem.conflict('This studio has an owner already, who can invite you.');
    });
  }

  /** Adds somebody; `first` is done in the same transaction and may refuse. */
  async add(
    { name, login, password, directoryId }: NewPersonDto & { readonly directoryId?: string },
    { role, mayExport }: Pick<Person, 'role' | 'mayExport'>,
    first: (em: SqlEntityManager) => Promise<void>,
  ): Promise<Person> {
    const kept = await hashPassword(password);
    const made = await together(this.em.fork(), async (em) => {
      await first(em);
      const there = await em.count(PersonEntity, {});
      if (there >= MOST) throw Problem.busy(`There are ${MOST} people already.`);
      await requireFree(em, login);
      return em.create(PersonEntity, {
        id: randomUUID(),
        name,
        login: asLogin(login),
        password: kept,
        directoryId: directoryId ?? null,
        hue: Math.round(25 + there * HUE_STEP) % 360,
        role,
        mayExport,
        createdAt: new Date(),
        version: 1,
      });
    });
    this.reaches.forget();
    this.events.publish({ type: 'person', id: made.id });
    return made;
  }

  /** Changes a role, a name or what somebody may. The last owner stays one: nobody else could make another. */
  async change(id: string, { version, name, role, mayExport }: ChangePersonDto): Promise<Person> {
    const changed = await together(this.em.fork(), async (em) => {
      const person = await find(em, id);
      requireVersion(person, version, toPersonDto);
      if (role !== undefined && role !== 'owner') await requireAnotherOwner(em, person);
      if (name !== undefined) person.name = name;
      if (role !== undefined) person.role = role;
      if (mayExport !== undefined) person.mayExport = mayExport;
      return person;
    });
    this.sessions.forget(id);
    this.reaches.forget();
    this.events.publish({ type: 'person', id });
    return changed;
  }

  /** Takes somebody out of the studio; what they made stays. */
  async remove(id: string): Promise<void> {
    await together(this.em.fork(), async (em) => {
      const person = await find(em, id);
      await requireAnotherOwner(em, person);
      person.deletedAt = new Date();
      // somebody else may come by the same name
      person.login = `${person.login} ${person.id}`;
      person.directoryId = null;
    });
    await this.sessions.endOthers(id);
    this.sessions.forget(id);
    this.reaches.forget();
    this.events.publish({ type: 'person', id });
  }

  /** Changes one's own password, and ends all other sessions. Throws a {@link Problem} unless the present one is right. */
  async changePassword({ id, session, now, then }: PasswordChange): Promise<void> {
    const person = await this.get(id);
    if (!(await isPassword(person.password, now)))
      throw Problem.invalid([{ field: 'now', message: 'now: this is not your present password' }]);
    await this.setPassword(id, then);
    await this.sessions.endOthers(id, session);
  }

  /** Gives somebody a password; whoever calls has seen that they may. `first` is done in the same transaction and may refuse. */
  async setPassword(id: string, password: string, first?: (em: SqlEntityManager) => Promise<void>): Promise<void> {
    const kept = await hashPassword(password);
    await together(this.em.fork(), async (em) => {
      await first?.(em);
      (await find(em, id)).password = kept;
    });
  }
}

/** A name as it is typed to come in, the same however it is written. */
export const asLogin = (login: string): string => login.trim().normalize('NFKC').toLowerCase();

async function find(em: Pick<SqlEntityManager, 'findOne'>, id: string): Promise<Person> {
  const person = await em.findOne(PersonEntity, { id, deletedAt: null });
  if (!person) throw Problem.notFound('This person');
  return person;
}

const owners = (em: SqlEntityManager): Promise<number> => em.count(PersonEntity, { role: 'owner', deletedAt: null });

async function requireAnotherOwner(em: SqlEntityManager, { role }: Person): Promise<void> {
  if (role === 'owner' && (await owners(em)) < 2)
    throw Problem.conflict('This is the only owner. Make somebody else an owner first.');
}

async function requireFree(em: SqlEntityManager, login: string): Promise<void> {
  if (await em.count(PersonEntity, { login: asLogin(login) }))
    throw Problem.invalid([{ field: 'login', message: 'login: somebody here has this name already; take another' }]);
}
