/** What tests and benches need of the tools: references that no painter of ours drew, and painted people of whom everything is known. */
export * from './foreign';
export * from './foreign/arrangements';
export {
  CLOTH_PATTERNS,
  DRESSED,
  PATTERNED,
  FAMILIES,
  PEOPLE_FAMILIES,
  SCENE_FAMILIES,
  type FamilyPicture,
  type FamilyTruth,
  type ForeignFamily,
  type PersonTruth,
} from './foreign/families';
export * from './foreign/looks';
export { DANCER, DRAWN_FACE, drawnFace, redKettle, stickDancer } from './foreign/subjects';
export type { ForeignPicture } from './foreign/sheet';
export { describeSomebody, paintPersonFrom, type PaintedPerson } from './trainers/people';
export type { TraitSample } from './trainers/sample';
