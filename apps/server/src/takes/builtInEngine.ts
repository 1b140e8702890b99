import { Injectable } from '@nestjs/common';
import { BuiltInEngine, type RenderRequest } from '@urbild/engine';
import { BlobStore } from '../platform/blobs/blobStore';
import type { Running } from '../platform/workers/task';
import { WorkersService } from '../platform/workers/workers.service';
import type { EngineWork, TakeEngine } from './takeEngine';
import { OUTLINES, RENDER } from './takes.tasks';
import type { OutlineMask } from './tasks/outlines';
import type { RenderedTake, RenderProgressShown } from './tasks/render';

/** The engine that comes with the studio, in worker threads. */
@Injectable()
export class BuiltInTakeEngine implements TakeEngine {
  readonly capabilities = new BuiltInEngine().capabilities();

  constructor(
    private readonly workers: WorkersService,
    private readonly blobs: BlobStore,
  ) {}

  start(work: EngineWork, onProgress: (progress: RenderProgressShown) => void): Running<RenderedTake> {
    return this.workers.start(RENDER, { ...work, blobDir: this.blobs.dir }, onProgress);
  }

  outlines(request: RenderRequest): Promise<OutlineMask[]> {
    return this.workers.run(OUTLINES, { request, blobDir: this.blobs.dir });
  }
}
