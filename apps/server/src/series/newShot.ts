import type { EntityManager } from '@mikro-orm/core';
import { randomUUID } from 'crypto';
import type { NewShotDto } from './series.dto';
import { ShotEntity, type Shot } from './series.entity';

/** A new shot; does not flush. Its seed is made from its place when none is given. */
export const newShot = (
  em: EntityManager,
  seriesId: string,
  position: number,
  { title, prompt, notes, seed }: NewShotDto,
): Shot =>
  em.create(ShotEntity, {
    id: randomUUID(),
    seriesId,
    position,
    title,
    prompt,
    notes: notes ?? '',
    seed: seed ?? 1000 + position,
    skipped: false,
    own: {},
    createdAt: new Date(),
    version: 1,
  });
