import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type {
  Check,
  FoundFace,
  LayoutMap,
  NamedPlace,
  PictureReading,
  Preparation,
  Swatch,
  TraitSheet,
} from '@urbild/core';
import { NAMES_BLOB, NAMES_BLOBS_INSIDE, NO_BLOB } from '../platform/blobs/blobFields';

/** What a reference is a picture of. */
export const KINDS = ['style', 'character', 'face', 'image'] as const;
export type Kind = (typeof KINDS)[number];

/** What may be done with a picture. */
export const RIGHTS = ['own work', 'licensed', 'supplied by client', 'personal use only', 'not cleared'] as const;
export type RightsKind = (typeof RIGHTS)[number];

/** Whose a picture is. */
export interface Rights {
  readonly kind: RightsKind;
  /** The last day of a licence, as YYYY-MM-DD. */
  readonly until?: string;
  readonly credit?: string;
  readonly source?: string;
}

/** What the file said of itself: EXIF, IPTC and XMP. */
export interface Metadata {
  readonly title?: string;
  readonly creator?: string;
  readonly credit?: string;
  readonly rights?: string;
  readonly taken?: string;
  /** IPTC digital source type, when it says how the picture was made. */
  readonly aiSource?: string;
}

/** A joint of a body, as parts of the picture. */
export interface Joint {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly score: number;
}

/** What the vision models saw. */
export interface Vision {
  readonly model: string;
  readonly faces: readonly FoundFace[];
  readonly joints: readonly Joint[];
  /** Of its main person or creature. */
  readonly traits?: TraitSheet;
  /** Hash of a picture of its head with what was taken for skin, hair and clothes. */
  readonly head?: string;
  /** Hash of a grey picture of what was taken for figure (white), of the whole source. */
  readonly matte?: string;
}

/** What a person set right by hand; it goes before what was read. */
export interface Corrections {
  readonly faces?: readonly FoundFace[];
  readonly joints?: readonly Joint[];
  readonly horizon?: number;
  readonly swatches?: readonly Swatch[];
  /** How it is drawn when it is a map of an arrangement. */
  readonly layout?: LayoutMap;
  /** What some of its areas show, at places of what the engine gets. */
  readonly areas?: readonly NamedPlace[];
  /** Hash of a painted mask of the whole source: white is figure, black is ground. */
  readonly matte?: string;
}

/** One state of a reference that can be gone back to. */
export interface ReferenceVersion {
  readonly number: number;
  readonly at: string;
  readonly why: 'brought in' | 'prepared' | 'redrawn' | 'went back';
  readonly originalHash: string;
  readonly sourceHash: string;
  readonly pictureHash: string;
  readonly thumbnailHash: string;
  readonly preparation: Preparation;
}

export type CheckState = 'fine' | 'warning' | 'serious';
/** Whether the vision models have looked at it; needs-box: they found no face where one is wanted. */
export type VisionState = 'waiting' | 'done' | 'needs-box' | 'unavailable';

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
    rating: p.integer(),
    favourite: p.boolean(),
    rights: p.json<Rights>(),
    /** The file as it came and the upright sRGB picture made of it. */
    originalHash: p.string().index().comment(NAMES_BLOB),
    sourceHash: p.string().comment(NAMES_BLOB),
    /** What the engine gets: the source after its preparation; its small version and its measurements. */
    pictureHash: p.string().comment(NAMES_BLOB),
    thumbnailHash: p.string().comment(NAMES_BLOB),
    descriptorsHash: p.string().comment(NAMES_BLOB),
    preparation: p.json<Preparation>(),
    history: p.json<ReferenceVersion[]>().comment(NAMES_BLOBS_INSIDE),
    corrections: p.json<Corrections>().comment(NAMES_BLOBS_INSIDE),
    format: p.string(),
    width: p.integer(),
    height: p.integer(),
    /** Part of the original that is transparent, 0..1. */
    transparent: p.double().$type<number>(),
    swatches: p.json<Swatch[]>(),
    perceptualHash: p.string().comment(NO_BLOB),
    metadata: p.json<Metadata>(),
    checks: p.json<Check[]>(),
    checkState: p.string().$type<CheckState>(),
    reading: p.json<PictureReading>().nullable(),
    vision: p.json<Vision>().nullable().comment(NAMES_BLOBS_INSIDE),
    visionState: p.string().$type<VisionState>(),
    /** Mesh and identity vector of the main face, as JSON bytes. */
    faceHash: p.string().nullable().comment(NAMES_BLOB),
    /** What the picture is in words, for finding it. */
    derivedWords: p.text(),
    /** Which picture of the demo studio this is, if it is one. */
    demoKey: p.string().nullable().unique(),
    createdAt: p.datetime().index(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
});
export type Reference = InferEntity<typeof ReferenceEntity>;

/** Vectors of a reference for "like this", 8 bits a number. */
export const VectorEntity = defineEntity({
  name: 'ReferenceVector',
  tableName: 'reference_vector',
  properties: {
    id: p.string().primary(),
    likeness: p.blob(),
    mirrored: p.blob(),
    style: p.blob(),
  },
});
