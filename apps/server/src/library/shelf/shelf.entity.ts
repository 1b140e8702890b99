import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** Small things that a studio keeps: a phrase for prompts. */
export const SHELF_KINDS = ['phrase'] as const;
export type ShelfKind = (typeof SHELF_KINDS)[number];

export const ShelfItemEntity = defineEntity({
  name: 'ShelfItem',
  tableName: 'shelf_item',
  properties: {
    id: p.string().primary(),
    kind: p.string().$type<ShelfKind>().index(),
    name: p.string(),
    /** The words of a phrase. */
    text: p.text(),
    createdAt: p.datetime(),
  },
});
export type ShelfItem = InferEntity<typeof ShelfItemEntity>;
