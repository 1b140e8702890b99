import { EntityManager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { randomUUID } from 'crypto';
import type { MixState } from '@urbild/core';
import type { MixVersionDto } from './mix.dto';
import { MixVersionEntity, type Mix } from './mix.entity';

/** How many versions of a mix are kept. */
const KEPT = 100;

/** The states that a mix has had, as far as takes were asked of them. */
@Injectable()
export class MixVersionsService {
  constructor(private readonly em: EntityManager) {}

  /** Notes the present state of a mix as a version, unless the last version is just that. Does not flush. */
  async note(mix: Mix): Promise<void> {
    const { prompt, avoid, settings, influences } = mix;
    const state: MixState = { prompt, avoid, settings, influences };
    const last = await this.em.findOne(MixVersionEntity, { mixId: mix.id }, { orderBy: { number: 'desc' } });
    if (last && JSON.stringify(last.state) === JSON.stringify(state)) return;
    const number = (last?.number ?? 0) + 1;
    this.em.create(MixVersionEntity, { id: randomUUID(), mixId: mix.id, number, state, createdAt: new Date() });
    if (number > KEPT) await this.em.nativeDelete(MixVersionEntity, { mixId: mix.id, number: { $lte: number - KEPT } });
  }

  /** The versions of a mix, newest first. */
  async list(mixId: string): Promise<MixVersionDto[]> {
    const all = await this.em.find(MixVersionEntity, { mixId }, { orderBy: { number: 'desc' } });
    return all.map(({ id, number, state, createdAt }) => ({
      id,
      number,
      ...state,
      influences: [...state.influences],
      createdAt: createdAt.toISOString(),
    }));
  }
}
