import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { Swatch } from '@urbild/core';

/** What a reference is a picture of. */
export const KINDS = ['style', 'character', 'face', 'image'] as const;
export type Kind = (typeof KINDS)[number];

/** A picture in the library. */
export const ReferenceEntity = defineEntity({
  name: 'Reference',
  tableName: 'reference',
  properties: {
    id: p.string().primary(),
    kind: p.string().$type<Kind>().index(),
    title: p.string(),
    tags: p.json<string[]>(),
    notes: p.text(),
    /** The file as it came, the upright sRGB picture, its small version and its measurements. */
    originalHash: p.string().index(),
    pictureHash: p.string(),
    thumbnailHash: p.string(),
    descriptorsHash: p.string(),
    format: p.string(),
    width: p.integer(),
    height: p.integer(),
    swatches: p.json<Swatch[]>(),
    /** Which picture of the demo studio this is, if it is one. */
    demoKey: p.string().nullable().unique(),
    createdAt: p.datetime().index(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Reference = InferEntity<typeof ReferenceEntity>;
