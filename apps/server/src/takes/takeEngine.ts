import type { Capabilities, RenderRequest } from '@urbild/engine';
import type { Running } from '../platform/workers/task';
import type { Take } from './take.entity';
import type { OutlineMask } from './tasks/outlines';
import type { RenderedTake, RenderProgressShown, RenderTask } from './tasks/render';

/** What draws takes, as far as the studio knows it: what it can do, and how a render is started. */
export interface TakeEngine {
  readonly capabilities: Capabilities;
  /**
   * Renders and measures one request; the same request gives the same pixels. Progress comes with a picture, and near its end with the
   * finished one. It ends with an error when the request cannot be rendered or when it is stopped.
   */
  start(work: EngineWork, onProgress: (progress: RenderProgressShown) => void): Running<RenderedTake>;
  /** What the picture of a request shows, by its outlines; absent where an engine does not know. */
  outlines?(request: RenderRequest): Promise<OutlineMask[]>;
}

/** What is rendered, and what it is measured against. */
export type EngineWork = Pick<RenderTask, 'request' | 'control' | 'controlPicture' | 'controlFigures' | 'references'>;

/** Which {@link TakeEngine} is injected: `@Inject(ENGINE) engine: TakeEngine`. */
export const ENGINE = Symbol('the engine that takes are rendered by');

/** An engine in one of its versions: together they decide the bytes of a picture. */
export type EngineVersion = Pick<Capabilities, 'name' | 'version'>;

/** How an engine is told of: "urbild 0.6.0". */
export const engineName = ({ name, version }: EngineVersion): string => `${name} ${version}`;

/** True for a take that `present`, the engine of today, would draw another way. That alone does not make it stale. */
export const byOlderEngine = ({ origin: { engine } }: Pick<Take, 'origin'>, present: EngineVersion): boolean =>
  engine.name !== present.name || engine.version !== present.version;
