import { timingSafeEqual } from 'crypto';
import { Inject, Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';
import { EntityManager } from '@mikro-orm/better-sqlite';
import { ALONE, setAsker, setReach, type Asker } from '../platform/access/asker';
import { judge } from '../platform/access/judge';
import { neededBy } from '../platform/access/may';
import { isEverywhere } from '../platform/access/reach';
import { Reaches } from '../platform/access/reaches';
import { CONFIG, type Config } from '../platform/config';
import { FOLDER_HOLD } from '../platform/folder/folderRelease';
import type { Hold } from '../platform/folder/lock';
import { Problem } from '../platform/problems/problem';
import { requireMay } from '../platform/access/refusal';
import { tokenOf } from './cookie';
import { SessionsService } from './sessions.service';

/** A program that can read the data folder, and could do anything there without asking. */
const THIS_MACHINE: Asker = { ...ALONE, name: 'This machine' };

/** Asks of every request who sent it and whether they may. In a studio that is not shared nobody is asked. */
@Injectable()
export class AccessGuard implements CanActivate {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(FOLDER_HOLD) private readonly hold: Hold,
    private readonly sessions: SessionsService,
    private readonly reaches: Reaches,
    private readonly em: EntityManager,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const request = context.switchToHttp().getRequest<Request>();
    const needed = neededBy(context);
    const asker = this.config.share ? await this.whoAsks(request) : ALONE;
    if (asker) setAsker(request, asker);
    if (needed === 'anybody') return true;
    if (!asker)
      throw Problem.notIn('You are not signed in, or no longer. Sign in; what you were doing is kept in this page.');
    if (needed === undefined) throw Problem.forbidden('Nobody may use this.');
    requireMay(asker, needed);
    const reach = await this.reaches.of(asker);
    setReach(reach);
    if (!isEverywhere(reach)) await judge(this.em, request, { asker, reach, needed });
    return true;
  }

  private async whoAsks(request: Request): Promise<Asker | undefined> {
    if (this.isOfThisMachine(request.headers.authorization)) return THIS_MACHINE;
    const token = tokenOf(this.config, request);
    return token ? this.sessions.find(token) : undefined;
  }

  /** True for a request with the key of the data folder (RFC 6750). */
  private isOfThisMachine(authorization: string | undefined): boolean {
    const [given, right] = [authorization ?? '', `Bearer ${this.hold.key}`].map((text) => Buffer.from(text));
    return given.length === right.length && timingSafeEqual(given, right);
  }
}
