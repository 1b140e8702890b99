import { EntityManager } from '@mikro-orm/better-sqlite';
import { Injectable } from '@nestjs/common';
import { personAsking } from '../platform/access/asker';
import { projectOf } from '../platform/access/belonging';
import { together } from '../platform/database/together';
import { EventsService } from '../platform/events/events.service';
import { Problem } from '../platform/problems/problem';
import { MembersService } from '../projects/members.service';
import type { TakeDto } from './take.dto';
import { takeEvent } from './takeEvent';
import { TakesService } from './takes.service';

/** Approving keepers, by those who approve in the project. */
@Injectable()
export class ApprovalService {
  constructor(
    private readonly em: EntityManager,
    private readonly members: MembersService,
    private readonly takes: TakesService,
    private readonly events: EventsService,
  ) {}

  /** Approves a keeper: from now on it stays one. Throws a conflict {@link Problem} for what is no keeper. */
  approve(id: string): Promise<TakeDto> {
    return this.set(id, true);
  }

  /** Takes an approval back. */
  withdraw(id: string): Promise<TakeDto> {
    return this.set(id, false);
  }

  private async set(id: string, approved: boolean): Promise<TakeDto> {
    await this.takes.find(id);
    await this.members.requireApprover(await projectOf(this.em, 'take', id));
    const take = await together(this.em, async (em) => {
      const found = await this.takes.find(id);
      if (approved && !found.keeper) throw Problem.conflict('Only keepers are approved. Keep this take first.');
      // who approved it first did
      if (approved !== !!found.approvedAt)
        Object.assign(found, {
          approvedAt: approved ? new Date() : null,
          approvedBy: approved ? (personAsking() ?? null) : null,
        });
      await em.flush();
      return found;
    });
    this.events.publish(takeEvent(take));
    return this.takes.get(id);
  }
}
