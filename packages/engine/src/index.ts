/** The built-in engine of Urbild: painter and synthesis. */
export { paintStage, type PaintOptions, type Stage } from './painter/paint';
export { LINOCUT_INKS } from './painter/media';
export { REGION, isFigure, type Region } from './painter/stage/region';
export * from './engine';
export * from './request';
export { planSynthesis, type ReadInfluence, type ShareRecord, type SynthesisPlan } from './synthesis/plan';
