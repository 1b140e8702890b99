/** The built-in engine of Urbild: painter and synthesis. */
export { mapsOf, paintStage, type PaintOptions, type Stage, type StageMaps } from './painter/paint';
export type { FigureRecord } from './painter/figures/record';
export { PALETTES } from './painter/media';
export { REGION, isFigure, skyOf, type Region } from './painter/stage/region';
export * from './engine';
export * from './request';
export type { InfluenceRemark } from './influences/staging';
export { namedTraits } from './painter/figures/fromTraits';
export { figureDistances, figureFor, toldSheet, type RenderedFigure } from './render/figures';
export { cameraWindow } from './frames/seenStage';
export { factsOfRender, meanSharesOf, type KnownRender } from './render/shotFacts';
export { shapeFaults, type ShapeFaults } from './influences/shape';
export { planSynthesis, type ReadInfluence, type ShareRecord, type SynthesisPlan } from './synthesis/plan';
export { frameOfBox, frameOfMesh, type FaceFrame } from './traits/frame';
export { readTraits, type ReadTraits } from './traits/readTraits';
export { traitTruth, type TraitTruth } from './traits/truth';
