import { EntityManager, type EntityManager as Manager } from '@mikro-orm/core';
import { Injectable } from '@nestjs/common';
import { CharacterEntity } from '../cast/character.entity';
import { ReferenceEntity } from '../library/reference.entity';
import { LookEntity } from '../looks/look.entity';
import type { MixInfluence } from './mix.entity';

/** A picture that stands behind an influence. */
export interface SourcePicture {
  readonly referenceId: string;
  /** Its part of the influence's weight. */
  readonly weight: number;
  readonly pictureHash: string;
  readonly descriptorsHash: string;
  /** Where a person put the horizon, 0..1. */
  readonly horizon?: number;
}

/** The pictures of every influence, by the id of the influence; influences without any are left out. */
export type Sources = ReadonlyMap<string, readonly SourcePicture[]>;

/** Finds the pictures behind influences: a reference's own, those of a look with their weights, those of a character. */
@Injectable()
export class SourcesService {
  constructor(private readonly em: EntityManager) {}

  async of(influences: readonly MixInfluence[], em: Manager = this.em): Promise<Sources> {
    const ids = (of: NonNullable<MixInfluence['of']>) =>
      influences.filter((i) => (i.of ?? 'reference') === of).map((i) => i.referenceId);
    const parts = new Map<string, { referenceId: string; weight: number }[]>();
    for (const id of ids('reference')) parts.set(id, [{ referenceId: id, weight: 1 }]);
    for (const look of await em.find(LookEntity, { id: { $in: ids('look') } })) parts.set(look.id, look.items);
    for (const c of await em.find(CharacterEntity, { id: { $in: ids('character') } }))
      parts.set(
        c.id,
        c.items.map(({ referenceId }) => ({ referenceId, weight: 1 })),
      );
    const wanted = [...new Set([...parts.values()].flat().map((p) => p.referenceId))];
    const references = new Map(
      (await em.find(ReferenceEntity, { id: { $in: wanted } })).map((r) => [r.id, r] as const),
    );
    const out = new Map<string, SourcePicture[]>();
    for (const i of influences) {
      const pictures = (parts.get(i.referenceId) ?? []).flatMap(({ referenceId, weight }) => {
        const r = references.get(referenceId);
        return r && weight > 0
          ? [
              {
                referenceId,
                weight,
                pictureHash: r.pictureHash,
                descriptorsHash: r.descriptorsHash,
                ...(r.corrections.horizon === undefined ? {} : { horizon: r.corrections.horizon }),
              },
            ]
          : [];
      });
      if (pictures.length) out.set(i.id, pictures);
    }
    return out;
  }
}
