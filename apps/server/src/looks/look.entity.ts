import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** One picture of a look. */
export interface LookItem {
  readonly referenceId: string;
  /** 0..2, its part of the look. */
  readonly weight: number;
}

/** A named, weighted set of style pictures that is used as one reference. */
export const LookEntity = defineEntity({
  name: 'Look',
  tableName: 'look',
  properties: {
    id: p.string().primary(),
    name: p.string(),
    notes: p.text(),
    items: p.json<LookItem[]>(),
    /** The look that new mixes of the studio begin with. */
    isDefault: p.boolean(),
    /** What the sample plate is drawn from; a take of its own. */
    sampleTakeId: p.string().nullable(),
    createdAt: p.datetime(),
    updatedAt: p.datetime().index(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Look = InferEntity<typeof LookEntity>;
