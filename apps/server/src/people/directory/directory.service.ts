import { EntityManager, type SqlEntityManager } from '@mikro-orm/better-sqlite';
import { Inject, Injectable, Logger } from '@nestjs/common';
import { together } from '../../platform/database/together';
import { Problem } from '../../platform/problems/problem';
import { InvitationsService } from '../invitations.service';
import { PersonEntity, type Person } from '../person.entity';
import { newToken } from '../secrets';
import { DIRECTORY, type Checks, type Directory, type Listed } from './directory';

/** A way in is good for so long, ms. */
const LASTS = 10 * 60_000;
/** Ways in that are open at a time; the oldest goes. */
const MOST = 1_000;

/** What somebody wants who goes through the directory. */
export interface WayIn {
  /** Where in the page they come back to. */
  readonly to: string;
  /** The link by which they are invited. */
  readonly join?: string;
  /** Who is in already, and wants to be known by the directory from now on. */
  readonly person?: string;
}

/** A way in that was begun. */
interface Begun extends WayIn {
  readonly checks: Checks;
  /** Where the directory sends the browser. */
  readonly back: string;
  /** Held by the browser that began it, and by no other. */
  readonly holder: string;
  readonly until: number;
}

/** Why somebody is not let in; the page has a sentence for each. */
export type Refusal = 'unknown' | 'taken' | 'failed' | 'away';

/** Where the browser goes, and what it has to hold until it comes back. */
export interface Beginning {
  readonly url: string;
  readonly holder: string;
}

/** What a way in led to. */
export type Arrived = { readonly to: string; readonly person: Person } | { readonly refused: Refusal };

/** Lets people in whom a directory knows: those it is known of who they are here, those who were invited, and those who are in. */
@Injectable()
export class DirectoryService {
  private readonly logger = new Logger('directory');
  /** By state. */
  private readonly open = new Map<string, Begun>();

  constructor(
    @Inject(DIRECTORY) private readonly directory: Directory | undefined,
    private readonly em: EntityManager,
    private readonly invitations: InvitationsService,
  ) {}

  /** What people call the directory; undefined without one. */
  get name(): string | undefined {
    return this.directory?.name;
  }

  /** Sends somebody to the directory; refused while it does not answer. Throws a not-found {@link Problem} where there is none. */
  async begin(way: WayIn, back: string): Promise<Beginning | { readonly refused: Refusal }> {
    if (!this.directory) throw Problem.notFound('This way in');
    const checks = { state: newToken(), nonce: newToken(), verifier: newToken() };
    const holder = newToken();
    let url: string;
    try {
      url = await this.directory.begin(checks, back);
    } catch (error) {
      this.logger.warn((error as Error).message);
      return { refused: 'away' };
    }
    this.open.set(checks.state, { ...way, checks, back, holder, until: Date.now() + LASTS });
    if (this.open.size > MOST) this.open.delete(this.open.keys().next().value!);
    return { url, holder };
  }

  /** Who came back. `search` is what the directory added to the address, `holder` what the browser holds. A way in is good once. */
  async arrive(search: URLSearchParams, holder: string | undefined): Promise<Arrived> {
    const begun = this.open.get(search.get('state') ?? '');
    if (!this.directory || !begun || begun.holder !== holder || begun.until < Date.now()) return { refused: 'failed' };
    this.open.delete(begun.checks.state);
    try {
      const answer = new URL(begun.back);
      answer.search = search.toString();
      return await this.letIn(await this.directory.redeem(begun.checks, answer), begun);
    } catch (error) {
      this.logger.warn((error as Error).message);
      return { refused: 'failed' };
    }
  }

  private async letIn(listed: Listed, { to, join, person: own }: WayIn): Promise<Arrived> {
    const known = await this.em.fork().findOne(PersonEntity, { directoryId: listed.id, deletedAt: null });
    if (own) {
      if (known && known.id !== own) return { refused: 'taken' };
      return { to, person: known ?? (await this.link(own, listed.id)) };
    }
    if (known) return { to, person: known };
    const invited = join === undefined ? undefined : await this.invite(join, listed);
    return invited ? { to: '/', person: invited } : { refused: 'unknown' };
  }

  private link(id: string, directoryId: string): Promise<Person> {
    return together(this.em.fork(), async (em) => {
      const person = await em.findOneOrFail(PersonEntity, { id, deletedAt: null });
      person.directoryId = directoryId;
      return person;
    });
  }

  /** Somebody new, by a link. Nobody knows their password, until an owner lets them make one. */
  private async invite(token: string, { id, name, login }: Listed): Promise<Person | undefined> {
    // a link for a new password is for somebody who is here
    if ((await this.invitations.read(token)).personId) return undefined;
    const free = await freeLogin(this.em.fork(), login);
    const fields = { name: name.slice(0, 60), login: free, password: newToken() };
    return this.invitations.accept(token, fields, id);
  }
}

/** What somebody goes by in the directory as a name to sign in by, with a number where somebody here has it. */
async function freeLogin(em: SqlEntityManager, wish: string): Promise<string> {
  const plain = wish
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}._@+-]+/gu, '')
    .replace(/^[^\p{L}\p{N}]+/u, '');
  const base = plain.slice(0, 50) || 'somebody';
  for (let k = 1; ; k++) {
    const login = k === 1 ? base : `${base}${k}`;
    if (!(await em.count(PersonEntity, { login }))) return login;
  }
}
