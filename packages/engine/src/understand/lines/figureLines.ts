import type { Joints } from '@urbild/core';
import type { StickFigure } from './stickFigures';

type XY = readonly [x: number, y: number];

/** The lines of a figure: its head, its trunk and its limbs, px. */
export function outlineOfFigure({ head, radius, joints: j }: StickFigure): XY[][] {
  const circle = Array.from({ length: 41 }, (_, k): XY => {
    const a = (k / 20) * Math.PI;
    return [head[0] + radius * Math.cos(a), head[1] + radius * Math.sin(a)];
  });
  const shoulder: XY | undefined = j.neck &&
    j.hip && [j.neck[0] + (j.hip[0] - j.neck[0]) * 0.2, j.neck[1] + (j.hip[1] - j.neck[1]) * 0.2];
  const lines = [
    [j.neck, j.hip],
    [shoulder, j.leftElbow, j.leftHand],
    [shoulder, j.rightElbow, j.rightHand],
    [j.hip, j.leftKnee, j.leftFoot],
    [j.hip, j.rightKnee, j.rightFoot],
  ].map((line) => line.filter((p) => p !== undefined));
  return [circle, ...lines.filter((line) => line.length > 1)];
}

/** Takes a figure out of a skeleton, so that its limbs close no areas. Changes `skeleton`. */
export function eraseFigure(skeleton: Uint8Array, w: number, h: number, figure: StickFigure): void {
  const dot = ([x, y]: XY) => {
    for (let dy = -2; dy <= 2; dy++)
      for (let dx = -2; dx <= 2; dx++) {
        const [px, py] = [Math.round(x) + dx, Math.round(y) + dy];
        if (px >= 0 && py >= 0 && px < w && py < h) skeleton[py * w + px] = 0;
      }
  };
  for (const line of outlineOfFigure(figure))
    for (let k = 1; k < line.length; k++) {
      const [a, b] = [line[k - 1], line[k]];
      const n = Math.ceil(Math.hypot(a[0] - b[0], a[1] - b[1])) || 1;
      for (let i = 0; i <= n; i++) dot([a[0] + ((b[0] - a[0]) * i) / n, a[1] + ((b[1] - a[1]) * i) / n]);
    }
}

/** Where shoulders and hips lie beside the trunk, in radii of the head, and shoulders along it, in parts of its length. */
const SHOULDER = { aside: 0.75, down: 0.12 } as const;
const HIP_ASIDE = 0.35;

/** The joints of a figure that looks at the viewer, in parts of its picture: its own left is on the right. */
export function jointsOfFigure({ head, radius, joints: j }: StickFigure, w: number, h: number): Joints {
  const part = ([x, y]: XY): XY => [x / w, y / h];
  const { neck, hip } = j;
  if (!neck || !hip) return {};
  const [dx, dy] = [hip[0] - neck[0], hip[1] - neck[1]];
  const length = Math.hypot(dx, dy) || 1;
  const beside = (at: XY, by: number): XY => part([at[0] + (dy / length) * by, at[1] - (dx / length) * by]);
  const shoulders: XY = [neck[0] + dx * SHOULDER.down, neck[1] + dy * SHOULDER.down];
  const limb = (name: string, at: XY | undefined) => (at ? { [name]: part(at) } : {});
  return {
    nose: part(head),
    leftShoulder: beside(shoulders, SHOULDER.aside * radius),
    rightShoulder: beside(shoulders, -SHOULDER.aside * radius),
    leftHip: beside(hip, HIP_ASIDE * radius),
    rightHip: beside(hip, -HIP_ASIDE * radius),
    ...limb('rightElbow', j.leftElbow),
    ...limb('rightWrist', j.leftHand),
    ...limb('rightKnee', j.leftKnee),
    ...limb('rightAnkle', j.leftFoot),
    ...limb('leftElbow', j.rightElbow),
    ...limb('leftWrist', j.rightHand),
    ...limb('leftKnee', j.rightKnee),
    ...limb('leftAnkle', j.rightFoot),
  };
}
