import type { Kind, Vision } from './reference.entity';
import { NO_MODEL, visionStateOf } from './visionState';

const seen = (model: string, faces = 0) =>
  ({ model, faces: new Array(faces).fill({}), joints: [] }) as unknown as Vision;

test.each([
  ['nobody has looked', null, false, 'face', 'waiting'],
  ['there was no model', seen(NO_MODEL), false, 'face', 'unavailable'],
  ['no face where one is wanted', seen('m'), false, 'face', 'needs-box'],
  ['no face where none is wanted', seen('m'), false, 'style', 'done'],
  ['a face', seen('m', 1), false, 'face', 'done'],
  ['a face by hand, whatever was seen', seen(NO_MODEL), true, 'face', 'done'],
] as const)('%s', (_, vision, byHand, kind, state) => {
  expect(visionStateOf(vision, byHand, kind as Kind)).toBe(state);
});
