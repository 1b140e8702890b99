import type { Seen } from '../platform/vision/vision.worker';
import type { Kind } from './reference.entity';

/** Parts of the picture's height that a face has in a reference of a face, and in one of somebody whole. */
const FACE = 0.22;
const CHARACTER = 0.1;
/** Without a face: so many joints, over this part of the height, are somebody seen from behind or without features. */
const BODY = { joints: 10, span: 0.4 } as const;

/** What is known of a picture besides what the models see. */
export interface Sight extends Pick<Seen, 'faces' | 'joints'> {
  readonly plainBackground: boolean;
}

/**
 * What a picture is a reference of, by whom it shows: a face that fills much of it, somebody, a picture with somebody small in it; without
 * people a thing on a plain ground is an image, and anything else a style.
 */
export function kindBySight({ faces, joints, plainBackground }: Sight): Kind {
  const tallest = Math.max(0, ...faces.map(({ box }) => box[3]));
  if (tallest >= FACE) return 'face';
  if (tallest >= CHARACTER) return 'character';
  if (tallest > 0) return 'image';
  const heights = joints.map(({ y }) => y);
  const body = joints.length >= BODY.joints && Math.max(...heights) - Math.min(...heights) >= BODY.span;
  if (body) return 'character';
  return plainBackground ? 'image' : 'style';
}
