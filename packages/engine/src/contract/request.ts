import type {
  InfluenceSettings,
  Joints,
  KnownName,
  LayoutMap,
  NamedPlace,
  Mask,
  RequestedSettings,
  TraitSheet,
} from '@urbild/core';
import type { RequestFrame, RequestHold } from '../frames/frame';
import type { FaceFrame } from '../traits/frame';

/** One picture of an influence: its content hash (or a path, for the command line) and its part of the weight. */
export interface RequestPicture {
  readonly content: string;
  readonly weight: number;
  /** Where a person put its horizon, 0 top .. 1 bottom; read from the picture when absent. */
  readonly horizon?: number;
  /** Where its face lies, found by a model or drawn by a person; without it a picture tells colours of a subject only. */
  readonly face?: FaceFrame;
  /** Joints of its main figure; without them a picture gives no pose. */
  readonly joints?: Joints;
  /** How it is drawn when it is a map of an arrangement, not a picture of it. */
  readonly layout?: LayoutMap;
  /** What a person said that some of its areas show; read from the picture where absent. */
  readonly areas?: readonly NamedPlace[];
  /** Traits of whoever it shows; read from the picture when absent. */
  readonly traits?: TraitSheet;
}

/** One influence of a request: the settings of an influence of a mix, and the pictures that stand behind it. */
export interface RequestInfluence extends Omit<InfluenceSettings, 'except'> {
  readonly id: string;
  /** What is known of the character that it shows; goes before what its pictures say. */
  readonly traits?: TraitSheet;
  readonly pictures: readonly RequestPicture[];
}

/** A picture to start from. */
export interface RequestStart {
  readonly content: string;
  /** 0 the picture itself .. 1 nothing of it. */
  readonly change: number;
}

/** What is to be rendered: plain JSON; docs/formats/render-request.md describes it field by field. */
export interface RenderRequest extends RequestedSettings {
  readonly prompt: string;
  readonly avoid: string;
  /** px */
  readonly width: number;
  readonly height: number;
  /** People and creatures whom the studio knows by name. */
  readonly names?: readonly KnownName[];
  readonly start?: RequestStart;
  /** Only there the start picture changes. */
  readonly mask?: Mask;
  /** Which frame of a sequence it is; a picture of its own when absent. */
  readonly frame?: RequestFrame;
  /** A finished frame of the same sequence that this one is held by. */
  readonly hold?: RequestHold;
  readonly influences: readonly RequestInfluence[];
}

/** The sides that the engine renders, in px. */
export const MIN_SIDE = 64;
export const MAX_SIDE = 2048;
