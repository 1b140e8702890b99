import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import type { MixDto } from '../mixes/mix.dto';
import { ASPECTS, MixEntity, type Aspect } from '../mixes/mix.entity';
import { MixesService } from '../mixes/mixes.service';
import { plateSize } from './renderPlan';
import { TakesService } from './takes.service';

/** Going on from what worked: a take becomes a mix of its own. */
@Injectable()
export class GoOnService {
  constructor(
    private readonly em: EntityManager,
    private readonly takes: TakesService,
    private readonly mixes: MixesService,
  ) {}

  /** A new mix with the words, seed, settings and influences of a take; what was deleted since is left out. */
  async mixOf(id: string): Promise<MixDto> {
    const take = await this.takes.find(id);
    const { request, influences } = take.origin;
    const from = take.mixId ? await this.em.findOne(MixEntity, { id: take.mixId }) : null;
    const { width, height } = request;
    const fits = (aspect: Aspect) => {
      const size = plateSize(aspect, take.quality);
      return size.width === width && size.height === height;
    };
    return this.mixes.create({
      name: `${from?.name ?? 'A keeper'}, on from a take`.slice(0, 120),
      prompt: request.prompt,
      avoid: request.avoid,
      settings: {
        aspect: ASPECTS.find(fits) ?? '3:2',
        seed: request.seed,
        balance: request.balance,
        spread: request.spread,
      },
      influences: await this.mixes.present(influences),
    });
  }
}
