import { JOINTS, mainFace, type Box, type Joints } from '@urbild/core';
import { frameOfBox, type FaceFrame, type RequestPicture } from '@urbild/engine';
import type { Reference } from '../library/reference.entity';

/** What is known of a picture beyond its pixels, as the engine takes it: places in parts of the prepared picture. */
export type PictureFacts = Pick<RequestPicture, 'horizon' | 'face' | 'joints' | 'layout' | 'areas' | 'traits'>;

const round = (v: number) => Math.round(v * 1e4) / 1e4;

/** A place of the source picture in the part of it that the engine gets. */
const inside = (focus: Box | undefined, [x, y]: readonly [number, number]): [number, number] =>
  focus
    ? [round((x - focus.left) / (focus.right - focus.left)), round((y - focus.top) / (focus.bottom - focus.top))]
    : [round(x), round(y)];

/** What a person said of a reference goes before what was read in it; what a crop left out is not told. */
export function factsOf(r: Pick<Reference, 'corrections' | 'vision' | 'preparation'>): PictureFacts {
  const { corrections, vision, preparation } = r;
  const { focus } = preparation;
  const byHand = corrections.faces?.[0];
  const face = byHand ?? (vision && mainFace(vision.faces));
  const seen = face && visible(face.box, focus);
  const frame = seen ? frameIn(frameOfBox(face.box), face.yaw ?? 0, focus) : undefined;
  const joints = jointsIn(corrections.joints ?? vision?.joints ?? [], focus);
  return {
    ...(corrections.horizon === undefined ? {} : { horizon: corrections.horizon }),
    ...(frame ? { face: frame } : {}),
    ...(joints ? { joints } : {}),
    ...(corrections.layout ? { layout: corrections.layout } : {}),
    ...(corrections.areas ? { areas: corrections.areas } : {}),
    // traits are those of the main face: a crop that cuts it off shows somebody else
    ...(vision?.traits && (!face || seen) ? { traits: vision.traits } : {}),
  };
}

/** True when the middle of a face lies in the part that the engine gets. */
function visible(box: Box, focus: Box | undefined): boolean {
  if (!focus) return true;
  const x = (box.left + box.right) / 2;
  const y = (box.top + box.bottom) / 2;
  return x > focus.left && x < focus.right && y > focus.top && y < focus.bottom;
}

const frameIn = ({ eyes, chin }: FaceFrame, yaw: number, focus: Box | undefined): FaceFrame => ({
  eyes: inside(focus, eyes),
  chin: inside(focus, chin),
  yaw: Math.round(Math.max(-180, Math.min(180, yaw))),
});

function jointsIn(
  found: readonly { readonly name: string; readonly x: number; readonly y: number }[],
  focus: Box | undefined,
): Joints | undefined {
  const limit = (v: number) => Math.max(-1, Math.min(2, v));
  const out: Record<string, [number, number]> = {};
  for (const { name, x, y } of found)
    if ((JOINTS as readonly string[]).includes(name)) {
      const [u, v] = inside(focus, [x, y]);
      out[name] = [limit(u), limit(v)];
    }
  return Object.keys(out).length >= 4 ? out : undefined;
}
