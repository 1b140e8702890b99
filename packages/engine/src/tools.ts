/** What trainers, sheets and tests need of the engine's inside, and nothing that runs beside a studio does. */
export { schemaText, withTables } from './contract/formats';
export { PALETTES } from './painter/media';
export { personFrom } from './painter/people/fromWords';
export type { Person } from './painter/people/person';
export { paintStage } from './painter/paint';
export { peopleBeyond } from './painter/witness';
export { looksOf } from './render/foundAgain';
export { wordsFound } from './render/wordsFound';
export { regionFeatures } from './understand/regions/features';
export { kindOf, REGION_KINDS } from './understand/regions/kinds';
export { evened, faceFeatures, mirrorMap, type FaceFeatures } from './traits/features';
export { faceOfRecord, type FaceFrame } from './traits/frame';
export { CAUTION, FACE_NUMBERS, inSpreads, SEEN_HATS, SEEN_STYLES, seenStyle } from './traits/kinds';
export { subjectAlpha, subjectOf } from './understand/subject';
export { numbersOf } from './traits/truth';
export { influence, request } from './testing';
