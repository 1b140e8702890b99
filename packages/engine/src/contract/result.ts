import type {
  Channel,
  FoundWord,
  IdentityPart,
  Joints,
  KnownOutfit,
  NotDrawn,
  RemarkKind,
  TextSpan,
  TraitSheet,
  Unasked,
  UnderstoodSpan,
} from '@urbild/core';
import type { FaceFrame } from '../traits/frame';

/** Shares that were used for one channel over one part of the course. */
export interface ShareRecord {
  readonly channel: Channel;
  readonly from: number;
  readonly to: number;
  /** Whose identity, and which part of it; absent for what is decided for the whole picture. */
  readonly subject?: string;
  readonly part?: IdentityPart;
  /** One per influence, in the mix's order. */
  readonly influences: readonly number[];
  readonly words: number;
  readonly over: number;
}

/** A share at the moment in which it acted on a picture: what was really done, not what was planned. */
export interface AppliedShare {
  readonly channel: Channel;
  /** Index into the request's influences. */
  readonly influence: number;
  /** 0..1; with several pictures of an influence, that of one of them. */
  readonly share: number;
  /** The part of the course, 0..1. */
  readonly from: number;
  readonly to: number;
}

/** Somebody in a rendered picture; places in parts of width and height. */
export interface RenderedFigure {
  readonly kind: 'person' | 'creature';
  /** As the words call them. */
  readonly name?: string;
  /** Left, top, right, bottom. */
  readonly box: readonly [number, number, number, number];
  readonly face?: FaceFrame;
  readonly joints: Joints;
  /** The outfit that the words call, with what is known of it. */
  readonly outfit?: KnownOutfit;
  /** What the finished picture shows of them: what pictures in one look are compared by. */
  readonly traits: TraitSheet;
  /** The same without what a look did to all colours alike: what is compared with a sheet. Absent where no look lies over the picture. */
  readonly unlooked?: TraitSheet;
}

/** Something found out about an influence. */
export interface InfluenceRemark {
  readonly influence: string;
  readonly kind: RemarkKind;
}

/** 8-bit sRGB, opaque, 4 bytes a pixel. */
export interface Raster {
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray;
}

/** How far a render is. */
export interface RenderProgress {
  /** 0..1 */
  readonly fraction: number;
  readonly step: string;
  /** The picture so far, at most 192 px on its longer side; made when it is asked for, which is while it is told of. */
  readonly preview: Raster;
}

export interface RenderResult extends Raster {
  /** Region codes of the stage, one a pixel. */
  readonly labels: Uint8Array;
  /** The shares that were used, by channel and part of the course. */
  readonly shares: readonly ShareRecord[];
  /** Shares as they acted on the picture, outside of regions. */
  readonly applied: readonly AppliedShare[];
  /** Words that the stage shows: parsed, and seen in the scene. */
  readonly understood: readonly UnderstoodSpan[];
  /** Words that have a meaning which the stage does not show, and why. */
  readonly notDrawn: readonly NotDrawn[];
  /** Who and what of the words was looked for in the finished picture. */
  readonly words: readonly FoundWord[];
  readonly unheard: readonly TextSpan[];
  /** What was found out about influences: that they did nothing, that a shape is no silhouette, and the like. */
  readonly remarks: readonly InfluenceRemark[];
  /** Who of the words is not to be seen, and whose head is cut off. */
  readonly faults: readonly Unasked[];
  /** Who is in the picture, where, and with which traits. */
  readonly figures: readonly RenderedFigure[];
  /** What is known of whoever the influences show, by id. */
  readonly sheets: Readonly<Record<string, TraitSheet>>;
  /** Milliseconds per step. */
  readonly timings: Readonly<Record<string, number>>;
}

/** What an outline is one of: a figure, its head, its clothes, or a ground. */
export type OutlineOf = 'figure' | 'head' | 'clothes' | 'sky' | 'water' | 'ground' | 'plants' | 'buildings';

/** Something that a picture shows, by its true outline. */
export interface Outline {
  readonly of: OutlineOf;
  /** Index of the figure in the result's `figures`; absent for grounds. */
  readonly figure?: number;
  /** 255 where it is, 0 elsewhere; one byte a pixel of the request's size. */
  readonly mask: Uint8Array;
}
