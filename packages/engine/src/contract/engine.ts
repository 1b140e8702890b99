import type { Gives, Picture } from '@urbild/core';
import type { RenderRequest } from './request';
import type { Outline, RenderProgress, RenderResult } from './result';

/** What an engine can do, for the interface and for warnings. */
export interface Capabilities {
  readonly name: string;
  /** Part of what makes a picture: a new version may give other bytes. */
  readonly version: string;
  readonly gives: readonly Gives[];
  readonly maxSide: number;
}

/** Polled while rendering; an AbortSignal fits. */
export interface StopSignal {
  readonly aborted: boolean;
}

/** Thrown when a render was stopped by its signal. */
export class RenderStopped extends Error {
  override readonly name = 'RenderStopped';
  constructor() {
    super('The render was stopped');
  }
}

/** Gives the picture of a content hash. Throws when there is none. */
export type PictureSource = (content: string) => Promise<Picture>;

/** The contract between the studio and whatever renders. */
export interface Engine {
  capabilities(): Capabilities;
  /** Renders; the same request gives the same pixels. Throws {@link RenderStopped} within 100 ms of a stop. */
  render(
    request: RenderRequest,
    pictures: PictureSource,
    onProgress?: (progress: RenderProgress) => void,
    signal?: StopSignal,
  ): Promise<RenderResult>;
  /** What the picture of a request shows, by its outlines; absent where an engine does not know. */
  outlines?(request: RenderRequest, pictures: PictureSource): Promise<readonly Outline[]>;
}
