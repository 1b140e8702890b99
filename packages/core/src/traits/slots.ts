import { mainFace, type FoundFace } from '../checks/faces';

/** What a picture on a model sheet shows. */
export const SLOTS = ['front', 'three-quarter', 'side', 'back', 'full figure', 'expression', 'outfit'] as const;
export type Slot = (typeof SLOTS)[number];

/** Reported turns up to which a face is seen from the front, and as three-quarter, degrees. */
const TURN = { front: 12.5, threeQuarter: 40 } as const;
/** A face that is no higher than this part of the picture is the face of a whole figure, where the ankles are seen too. */
const SMALL = 0.16;
/** So many joints are somebody who is seen whole. */
const WHOLE = 12;
const SOME = 5;

/** What is seen of whoever a picture shows. */
export interface SeenFigure {
  readonly faces: readonly FoundFace[];
  readonly joints: readonly { readonly name: string }[];
}

/**
 * The slot that a picture suits, by the view of its face and by how much of the figure is seen: a whole one with a small face is a full
 * figure; a whole one without a face is seen from behind, a part of one from the side. Undefined where nobody is seen.
 */
export function slotOf({ faces, joints }: SeenFigure): Slot | undefined {
  const face = mainFace(faces);
  const ankles = joints.filter(({ name }) => /ankle$/i.test(name)).length;
  if (!face) return joints.length >= WHOLE ? 'back' : joints.length >= SOME ? 'side' : undefined;
  if (ankles === 2 && face.box.bottom - face.box.top < SMALL) return 'full figure';
  const turn = Math.abs(face.yaw ?? 0);
  return turn < TURN.front ? 'front' : turn < TURN.threeQuarter ? 'three-quarter' : 'side';
}
