import { EntityManager } from '@mikro-orm/better-sqlite';
import { Injectable } from '@nestjs/common';
import { Problem } from '../platform/problems/problem';
import { asLogin } from './people.service';
import { PersonEntity } from './person.entity';
import type { SignInDto } from './person.dto';
import { isPassword } from './secrets';
import { SessionsService } from './sessions.service';
import { Throttle } from './throttle';

/** The same for a name that nobody has and for a wrong password. */
const WRONG = 'Name and password do not belong together. Try again, or ask an owner of the studio for a new password.';

/** Where somebody tries to come in from. */
export interface From {
  readonly address: string;
  readonly browser: string;
}

/** Lets people in who know their name and password. */
@Injectable()
export class SignInService {
  private readonly throttle = new Throttle();

  constructor(
    private readonly em: EntityManager,
    private readonly sessions: SessionsService,
  ) {}

  /**
   * The token of a new session. Throws a 401 {@link Problem} for a wrong password or an unknown name, after the same time, and a 429 one
   * with the wait while too many were wrong.
   */
  async signIn({ login, password }: SignInDto, { address, browser }: From): Promise<string> {
    const keys = [`name ${asLogin(login)}`, `address ${address}`];
    const wait = this.throttle.wait(...keys);
    if (wait)
      throw Problem.busy(`Too many wrong passwords. Try again in ${inWords(wait)}.`, {
        retryAfter: Math.ceil(wait / 1000),
      });
    // counted before it is known to be wrong: many at the same time are many
    this.throttle.wrong(...keys);
    const person = await this.em.fork().findOne(PersonEntity, { login: asLogin(login), deletedAt: null });
    if (!(await isPassword(person?.password, password)) || !person) throw Problem.notIn(WRONG);
    this.throttle.right(...keys);
    return this.sessions.begin(person, browser);
  }
}

function inWords(ms: number): string {
  const seconds = Math.ceil(ms / 1000);
  return seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`;
}
