import type { Medium, TextSpan, UnderstoodSpan, Arrival, Swatch } from '@urbild/core';
import type { RenderRequest, ShareRecord } from '@urbild/engine';
import type { MessagePort } from 'worker_threads';

/** A picture as the library keeps it, made by a worker from any file. */
export interface IngestResult {
  readonly format: string;
  readonly width: number;
  readonly height: number;
  /** sRGB PNG, upright, at most 2048 px on its longer side; alpha kept. */
  readonly picture: Uint8Array;
  /** WebP, at most 512 px on its longer side, laid over white. */
  readonly thumbnail: Uint8Array;
  readonly descriptors: Uint8Array;
  readonly swatches: readonly Swatch[];
  readonly horizon: number;
}

export interface IngestTask {
  readonly kind: 'ingest';
  readonly file: string;
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
  readonly descriptors: string;
  readonly weight: number;
}

export interface RenderTask {
  readonly kind: 'render';
  readonly request: RenderRequest;
  readonly blobDir: string;
  /** Hash of the control's descriptors; absent for a control itself. */
  readonly control?: string;
  readonly references: readonly MeasuredReference[];
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
  readonly arrivals: Readonly<Record<string, Arrival>>;
  readonly wordsKept?: number;
}

/** What comes through the progress port. */
export interface WorkerProgress {
  readonly fraction: number;
  readonly step: string;
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray;
}

/** Errors cross the thread border as plain objects. */
export interface TaskFailure {
  readonly failure: 'unreadable' | 'too-large' | 'stopped';
  readonly message: string;
}

export type Task = IngestTask | PaintTask | RenderTask;
export type TaskResult<T extends Task> = T extends RenderTask
  ? RenderTaskResult
  : T extends PaintTask
    ? { png: Uint8Array }
    : IngestResult;
