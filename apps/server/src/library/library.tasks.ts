import { workerTask } from '../platform/workers/task';
import type { crop } from './tasks/crop';
import type { proposeFocus } from './tasks/focus';
import type { gives } from './tasks/gives';
import type { ingest } from './tasks/ingest';
import type { oneMotif } from './tasks/oneMotif';
import type { prepare } from './tasks/prepare';
import type { traits } from './tasks/traits';

/** Cuts parts out of a picture; those of a collage when none are named. */
export const CROP = workerTask<typeof crop>('library/tasks/crop', 'crop');
/** Proposes the part of a picture that matters, by what stands out. */
export const PROPOSE_FOCUS = workerTask<typeof proposeFocus>('library/tasks/focus', 'proposeFocus');
/** Draws what a reference gives: lines, depth, areas, shape. */
export const GIVES = workerTask<typeof gives>('library/tasks/gives', 'gives');
/** Reads any picture file and measures it. */
export const INGEST = workerTask<typeof ingest>('library/tasks/ingest', 'ingest', { outside: true });
/** Finds out which picture a new one is one with, among a few. */
export const ONE_MOTIF = workerTask<typeof oneMotif>('library/tasks/oneMotif', 'oneMotif');
/** Makes what the engine gets of a source picture, and measures that. */
export const PREPARE = workerTask<typeof prepare>('library/tasks/prepare', 'prepare');
/** Reads the traits of whoever a picture shows. */
export const TRAITS = workerTask<typeof traits>('library/tasks/traits', 'traits');
