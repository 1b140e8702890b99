import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { Problem } from '../platform/problems/problem';
import { ShotEntity } from '../series/series.entity';
import type { TrialShots } from './trial.entity';

/** The shots of a series over which something is tried. */
@Injectable()
export class TrialShotsService {
  constructor(private readonly em: EntityManager) {}

  /** The shots as they are now, in their order; null when none are asked for. Throws a {@link Problem} for shots that are not there. */
  async of(seriesId: string | undefined, shotIds: readonly string[] | undefined): Promise<TrialShots | null> {
    if (!seriesId || !shotIds?.length) return null;
    const found = await this.em.find(
      ShotEntity,
      { seriesId, id: { $in: [...shotIds] }, deletedAt: null },
      { orderBy: { position: 'asc' } },
    );
    if (found.length !== new Set(shotIds).size)
      throw Problem.invalid([{ field: 'shotIds', message: 'Some of these shots are not in the series any more.' }]);
    return {
      seriesId,
      shots: found.map(({ id, title, prompt, seed, own }) => ({ id, title, prompt, seed, own })),
    };
  }
}
