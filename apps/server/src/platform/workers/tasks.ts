import type {
  Arrival,
  Box,
  Coherence,
  Medium,
  NamedArea,
  Preparation,
  TextSpan,
  Unasked,
  UnderstoodSpan,
} from '@urbild/core';
import type { Kind, Metadata } from '../../library/reference.entity';
import type { KnownOfPicture, ReferenceDescription } from './describeReference';
import type { FaceFrame, InfluenceRemark, RenderedFigure, RenderRequest, ShareRecord } from '@urbild/engine';
import type { MessagePort } from 'worker_threads';
import type { ConsistencyTask } from './consistencyTask';
import type { SequenceExportTask, SteadinessTask } from './sequenceTasks';
import type { SeriesExportTask } from './seriesExport';

/** A picture as the library keeps it, made by a worker from any file. */
export interface IngestResult extends ReferenceDescription {
  readonly format: string;
  readonly width: number;
  readonly height: number;
  /** Upright sRGB picture, at most 2048 px on its longer side, alpha kept; absent when the file itself is just that. */
  readonly picture?: Uint8Array;
  /** WebP, at most 512 px on its longer side, laid over white. */
  readonly thumbnail: Uint8Array;
  /** Part of the pixels that let something through, 0..1. */
  readonly transparent: number;
  readonly metadata: Metadata;
  /** The file is damaged: the picture is what could be read of it. */
  readonly repaired: boolean;
}

export interface IngestTask {
  readonly kind: 'ingest';
  readonly file: string;
  readonly of?: Kind;
}

/** Makes what the engine gets of a source picture, and measures that. */
export interface PrepareTask {
  readonly kind: 'prepare';
  /** Path of the source picture. */
  readonly source: string;
  readonly preparation: Preparation;
  readonly known: KnownOfPicture;
}

export interface PrepareResult extends ReferenceDescription {
  /** Absent when the source needs no change. */
  readonly picture?: Uint8Array;
  readonly thumbnail: Uint8Array;
}

/** The pictures that stand for what a reference gives, on demand. */
export interface GivesTask {
  readonly kind: 'gives';
  readonly picture: string;
}

export interface GivesResult {
  /** PNG each. */
  readonly lines: Uint8Array;
  readonly depth: Uint8Array;
  readonly masses: Uint8Array;
  readonly shape: Uint8Array;
  /** The picture is a line drawing already, so its lines are taken as they are. */
  readonly isLineDrawing: boolean;
  /** Two-valued enough to be a shape. */
  readonly isShape: boolean;
  readonly horizon: { readonly at: number; readonly confidence: number };
  /** Part that lies in flat colours, and these with what they most likely stand for. */
  readonly flat: number;
  readonly planColours: readonly (NamedArea & { readonly part: number })[];
}

/** Proposes a focus where no face was found, and tells the size of what the engine gets. */
export interface FocusTask {
  readonly kind: 'focus';
  readonly source: string;
  readonly picture: string;
}

export interface FocusResult {
  readonly focus: Box;
  readonly sourceWidth: number;
  readonly sourceHeight: number;
  readonly width: number;
  readonly height: number;
}

/** Reads the traits of whoever a picture shows. */
export interface TraitsTask {
  readonly kind: 'traits';
  readonly picture: string;
  readonly face?: FaceFrame;
}

/** Crops parts out of a picture: PNG files. */
export interface CropTask {
  readonly kind: 'crop';
  readonly picture: string;
  /** The parts of a collage when absent. */
  readonly boxes?: readonly Box[];
}

/** Compares the pictures of a look. */
export interface CoherenceTask {
  readonly kind: 'coherence';
  /** Paths of pictures. */
  readonly pictures: readonly string[];
}

export type CoherenceResult = Coherence;

/** Reads a painted mask. */
export interface MaskTask {
  readonly kind: 'mask';
  readonly file: string;
}

export interface MaskResult {
  /** Grey PNG. */
  readonly png: Uint8Array;
  /** Part of the picture that is white, 0..1. */
  readonly covers: number;
}

/** Paints a plate from words alone; for the demo studio. */
export interface PaintTask {
  readonly kind: 'paint';
  readonly prompt: string;
  readonly medium: Medium;
  /** A palette of the medium by name. */
  readonly palette?: string;
  readonly width: number;
  readonly height: number;
  readonly seed: number;
}

/** A reference as it is measured against. */
export interface MeasuredReference {
  readonly influence: string;
  /** Hashes of the descriptors of its pictures, with their parts of the weight. */
  readonly pictures: readonly { readonly descriptors: string; readonly weight: number }[];
}

export interface RenderTask {
  readonly kind: 'render';
  readonly request: RenderRequest;
  readonly blobDir: string;
  /** Hash of the control's descriptors; absent for a control itself. */
  readonly control?: string;
  /** Hash of the control's picture; absent where nobody wants to know what came unasked. */
  readonly controlPicture?: string;
  /** Who was in the control. */
  readonly controlFigures?: readonly RenderedFigure[];
  readonly references: readonly MeasuredReference[];
  /** No other render waits or runs, and there is another core: the picture may be split over two threads. */
  readonly alone: boolean;
  /** One Int32; not 0 stops the render. */
  readonly stop: SharedArrayBuffer;
  readonly progress: MessagePort;
}

export interface RenderTaskResult {
  readonly picture: Uint8Array;
  readonly thumbnail: Uint8Array;
  readonly descriptors: Uint8Array;
  readonly shares: readonly ShareRecord[];
  readonly understood: readonly UnderstoodSpan[];
  readonly unheard: readonly TextSpan[];
  readonly timings: Readonly<Record<string, number>>;
  readonly figures: readonly RenderedFigure[];
  readonly remarks: readonly InfluenceRemark[];
  readonly arrivals: Readonly<Record<string, Arrival>>;
  readonly wordsKept?: number;
  readonly unasked: readonly Unasked[];
}

/** What comes through the progress port. */
export interface WorkerProgress {
  readonly fraction: number;
  readonly step: string;
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray;
  /** The finished picture as PNG, before it is measured. */
  readonly finished?: Uint8Array;
}

/** Errors cross the thread border as plain objects. */
export interface TaskFailure {
  readonly failure: 'unreadable' | 'too-large' | 'too-slow' | 'stopped';
  readonly message: string;
}

export type Task =
  | IngestTask
  | PrepareTask
  | GivesTask
  | FocusTask
  | TraitsTask
  | CropTask
  | CoherenceTask
  | ConsistencyTask
  | SeriesExportTask
  | SteadinessTask
  | SequenceExportTask
  | MaskTask
  | PaintTask
  | RenderTask;
