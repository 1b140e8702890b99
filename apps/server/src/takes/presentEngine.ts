import { BuiltInEngine } from '@urbild/engine';
import type { Take } from './take.entity';

/** The engine that takes are rendered by. */
export const ENGINE = new BuiltInEngine().capabilities();

/** How an engine is told of: "urbild 0.6.0". */
export const engineName = ({ name, version }: { readonly name: string; readonly version: string }): string =>
  `${name} ${version}`;

/** True for a take that the engine would draw another way today. That alone does not make it stale. */
export const byOlderEngine = ({ origin: { engine } }: Pick<Take, 'origin'>): boolean =>
  engine.name !== ENGINE.name || engine.version !== ENGINE.version;
