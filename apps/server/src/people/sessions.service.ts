import { EntityManager } from '@mikro-orm/better-sqlite';
import { Injectable } from '@nestjs/common';
import { randomUUID } from 'crypto';
import type { Asker } from '../platform/access/asker';
import { Endings } from '../platform/access/endings';
import { Problem } from '../platform/problems/problem';
import { PersonEntity, SessionEntity, type Person, type Session } from './person.entity';
import { newToken, tokenHash } from './secrets';

const DAY = 86_400_000;
/** Who has not been seen for so long has to come in again. */
const LASTS = 30 * DAY;
/** When somebody was seen is written down at most so often. */
const SEEN_EVERY = 5 * 60_000;
/** Browsers by which one person is in at most; the one unseen for longest goes. */
const MOST_EACH = 20;
const LONGEST_BROWSER = 200;

/** Who is in, and by which browsers. Found by what the browser holds, from memory after the first time: every request asks. */
@Injectable()
export class SessionsService {
  private readonly known = new Map<string, { readonly asker: Asker; expires: number; seen: number }>();

  constructor(
    private readonly em: EntityManager,
    private readonly endings: Endings,
  ) {}

  /** Lets somebody in; the token is told once, to the browser. */
  async begin(person: Pick<Person, 'id'>, browser: string): Promise<string> {
    const em = this.em.fork();
    const [token, now] = [newToken(), Date.now()];
    const before = await em.find(SessionEntity, { personId: person.id }, { orderBy: { seenAt: 'desc' } });
    await this.endAll(before.slice(MOST_EACH - 1));
    em.create(SessionEntity, {
      id: randomUUID(),
      tokenHash: tokenHash(token),
      personId: person.id,
      browser: browser.slice(0, LONGEST_BROWSER),
      createdAt: new Date(now),
      seenAt: new Date(now),
      expiresAt: new Date(now + LASTS),
    });
    await em.flush();
    return token;
  }

  /** Whose a token is; undefined for one that is unknown, forged, ended or too old. */
  async find(token: string): Promise<Asker | undefined> {
    const [key, now] = [tokenHash(token), Date.now()];
    const known = this.known.get(key) ?? (await this.look(key));
    if (!known || known.expires <= now) return undefined;
    if (now - known.seen > SEEN_EVERY) {
      known.seen = now;
      known.expires = now + LASTS;
      await this.em
        .fork()
        .nativeUpdate(SessionEntity, { tokenHash: key }, { seenAt: new Date(now), expiresAt: new Date(known.expires) });
    }
    return known.asker;
  }

  private async look(key: string) {
    const em = this.em.fork();
    const session = await em.findOne(SessionEntity, { tokenHash: key });
    const person = session && (await em.findOne(PersonEntity, { id: session.personId, deletedAt: null }));
    if (!session || !person) return undefined;
    const { id, name, role, mayExport } = person;
    const entry = {
      asker: { person: id, name, role, mayExport, session: session.id },
      expires: session.expiresAt.getTime(),
      seen: session.seenAt.getTime(),
    };
    this.known.set(key, entry);
    return entry;
  }

  /** The browsers by which a person is in, the one seen last first. */
  of(personId: string): Promise<Session[]> {
    const now = new Date();
    return this.em
      .fork()
      .find(SessionEntity, { personId, expiresAt: { $gt: now } }, { orderBy: { seenAt: 'desc', id: 'asc' } });
  }

  /** Ends one session of a person. Throws a not-found {@link Problem} for one that is not theirs. */
  async end(personId: string, id: string): Promise<void> {
    const session = await this.em.fork().findOne(SessionEntity, { id, personId });
    if (!session) throw Problem.notFound('This session');
    await this.endAll([session]);
  }

  /** Ends all sessions of a person, but for one. */
  async endOthers(personId: string, stays?: string): Promise<void> {
    const all = await this.em.fork().find(SessionEntity, { personId });
    await this.endAll(all.filter(({ id }) => id !== stays));
  }

  private async endAll(sessions: readonly Session[]): Promise<void> {
    if (!sessions.length) return;
    await this.em.fork().nativeDelete(SessionEntity, { id: { $in: sessions.map(({ id }) => id) } });
    for (const { id, tokenHash: key } of sessions) {
      this.known.delete(key);
      this.endings.end(id);
    }
  }

  /** Reads a person anew for the next request: their role or name has changed. */
  forget(personId: string): void {
    for (const [key, { asker }] of this.known) if (asker.person === personId) this.known.delete(key);
  }
}
