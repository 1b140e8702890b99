import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { EntityManager } from '@mikro-orm/better-sqlite';
import { reachNow, type Asker } from '../platform/access/asker';
import { projectOfAny } from '../platform/access/belonging';
import { Endings } from '../platform/access/endings';
import { EventsService } from '../platform/events/events.service';
import { PeopleService } from './people.service';
import type { HereDto, PlaceDto } from './presence.dto';

/** A window that has said nothing for so long is closed, ms; pages say where they are more often. */
export const FORGOTTEN = 50_000;
const LOOKED_AFTER = 10_000;
/** Windows of one session that count; the one heard of least lately goes. */
const MOST_WINDOWS = 20;

interface Kept extends HereDto {
  readonly person: string;
  seen: number;
}

/** Who is where in the studio just now: kept in memory, told to everybody, and gone with a restart, after which pages tell it again. */
@Injectable()
export class PresenceService implements OnModuleDestroy {
  /** Windows by session. */
  private readonly sessions = new Map<string, Map<string, Kept>>();
  private readonly clock = setInterval(() => this.forget(Date.now()), LOOKED_AFTER).unref();
  private readonly endings;

  constructor(
    endings: Endings,
    private readonly events: EventsService,
    private readonly people: PeopleService,
    private readonly em: EntityManager,
  ) {
    this.endings = endings.all.subscribe((session) => {
      if (this.sessions.delete(session)) this.tell();
    });
  }

  /** A window of somebody is somewhere. Whoever works alone is seen by nobody. */
  be({ person, session }: Asker, window: string, { at, holds }: HereDto): void {
    if (!person || !session) return;
    const windows = this.sessions.get(session) ?? new Map<string, Kept>();
    this.sessions.set(session, windows);
    const before = windows.get(window);
    // the one heard of last stands last
    windows.delete(window);
    windows.set(window, { person, at, holds, seen: Date.now() });
    if (windows.size > MOST_WINDOWS) windows.delete(windows.keys().next().value!);
    if (before?.at !== at || before?.holds !== holds) this.tell();
  }

  /** A window is closed. */
  leave({ session }: Asker, window: string): void {
    if (session && this.sessions.get(session)?.delete(window)) this.tell();
  }

  /** Everybody's windows that whoever asks may know of, by name. */
  async list(): Promise<PlaceDto[]> {
    const people = new Map((await this.people.list()).map((p) => [p.id, p]));
    const windows = [...this.sessions.values()].flatMap((of) => [...of.values()]);
    const shown = await Promise.all(windows.map(({ at }) => this.isShown(at)));
    return windows
      .filter((_, k) => shown[k])
      .flatMap(({ person: id, at, holds }) => {
        const person = people.get(id);
        return person ? [{ person: id, name: person.name, hue: person.hue, at, ...(holds && { holds }) }] : [];
      })
      .sort((a, b) => a.name.localeCompare(b.name));
  }

  /** False for a place in a project of which whoever asks may not know. */
  private async isShown(at: string): Promise<boolean> {
    const { hidden } = reachNow();
    if (!hidden.length) return true;
    const projects = await Promise.all(at.split('/').map((part) => part && projectOfAny(this.em.fork(), part)));
    return !projects.some((project) => project && hidden.includes(project));
  }

  /** Forgets windows that have said nothing for too long; `now` in ms. */
  forget(now: number): void {
    let gone = false;
    for (const [session, windows] of this.sessions) {
      for (const [id, { seen }] of windows) if (now - seen > FORGOTTEN) gone = windows.delete(id);
      if (!windows.size) this.sessions.delete(session);
    }
    if (gone) this.tell();
  }

  private tell(): void {
    this.events.publish({ type: 'presence' });
  }

  onModuleDestroy(): void {
    clearInterval(this.clock);
    this.endings.unsubscribe();
  }
}
