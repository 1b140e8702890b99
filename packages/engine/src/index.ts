/** The built-in engine of Urbild: painter and synthesis. */
export { paintStage, type PaintOptions, type Stage } from './painter/paint';
export { LINOCUT_INKS } from './painter/media';
export { REGION, isFigure, type Region } from './painter/stage/region';
