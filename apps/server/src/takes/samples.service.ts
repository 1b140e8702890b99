import { EntityManager } from '@mikro-orm/better-sqlite';
import { Injectable } from '@nestjs/common';
import type { MixState } from '@urbild/core';
import { LooksService } from '../looks/looks.service';
import { together } from '../platform/database/together';
import { Problem } from '../platform/problems/problem';
import type { TakeDto } from './take.dto';
import { TakesService } from './takes.service';

/** What the sample plate of every look shows, so that looks can be compared. */
export const SAMPLE_PROMPT = 'Ilse walking along the harbour in the morning with Brom';

const mixOf = (lookId: string): MixState => ({
  prompt: SAMPLE_PROMPT,
  avoid: '',
  settings: { aspect: '3:2', seed: 7, balance: 1 },
  influences: [
    {
      id: 'look',
      of: 'look',
      referenceId: lookId,
      gives: 'look',
      weight: 1,
      from: 0,
      to: 1,
      reading: 'normal',
      on: true,
    },
  ],
});

/** Sample plates: what a look does, the same for every look, so that looks can be compared. */
@Injectable()
export class SamplesService {
  constructor(
    private readonly em: EntityManager,
    private readonly looks: LooksService,
    private readonly takes: TakesService,
  ) {}

  /** Asks for the sample plate of a look. */
  async ask(lookId: string): Promise<TakeDto> {
    const { items } = await this.looks.find(lookId);
    if (!items.length) throw Problem.invalid([{ field: 'items', message: 'a look without pictures draws nothing' }]);
    return together(this.em, async () => {
      const asked = await this.takes.askFor(mixOf(lookId), 'proof');
      await this.looks.sampled(lookId, asked.id);
      return asked;
    });
  }
}
