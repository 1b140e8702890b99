import { table } from '@urbild/core';
import type { HairStyle } from '../person';

/** The hair line: height on the head by angle from the midline (degrees, 0..180). */
type BaseStyle = 'plait' | 'short' | 'bowl' | 'curly' | 'bun' | 'long';
const HAIR_LINE_BASE: Readonly<Record<BaseStyle, (angle: number) => number>> = {
  plait: (angle) => {
    const q = Math.abs(angle - 8);
    return q < 4
      ? -0.335
      : table([
          [4, -0.325],
          [22, -0.275],
          [42, -0.16],
          [60, -0.05],
          [74, 0.03],
          [86, 0.045],
          [100, 0.1],
          [114, 0.2],
          [150, 0.3],
          [190, 0.36],
        ])(q);
  },
  short: (angle) =>
    table([
      [0, -0.34],
      [28, -0.27],
      [48, -0.2],
      [62, -0.05],
      [76, 0.06],
      [90, 0.04],
      [104, 0.16],
      [140, 0.24],
      [190, 0.27],
    ])(Math.abs(angle)),
  bowl: (angle) =>
    table([
      [0, -0.135],
      [35, -0.125],
      [58, -0.09],
      [72, 0.03],
      [84, 0.1],
      [100, 0.16],
      [140, 0.24],
      [190, 0.26],
    ])(Math.abs(angle)),
  curly: (angle) =>
    table([
      [0, -0.27],
      [30, -0.245],
      [52, -0.16],
      [66, -0.02],
      [78, 0.12],
      [95, 0.2],
      [140, 0.28],
      [190, 0.3],
    ])(Math.abs(angle)),
  bun: (angle) =>
    table([
      [0, -0.31],
      [40, -0.24],
      [62, -0.08],
      [78, 0.06],
      [95, 0.1],
      [140, 0.24],
      [190, 0.27],
    ])(Math.abs(angle)),
  long: (angle) =>
    table([
      [0, -0.3],
      [36, -0.22],
      [56, -0.06],
      [70, 0.16],
      [84, 0.36],
      [190, 0.4],
    ])(Math.abs(angle)),
};

const LINES: Readonly<Partial<Record<HairStyle, (angle: number) => number>>> = {
  'two plaits': (angle) => HAIR_LINE_BASE.plait(Math.abs(angle) + 8),
  ponytail: (angle) => HAIR_LINE_BASE.bun(angle),
  wavy: (angle) => HAIR_LINE_BASE.long(angle),
  tousled: (angle) => HAIR_LINE_BASE.short(angle) + 0.03 * Math.sin(angle * 0.9),
};
/** The hair line of a style: height on the head at an angle from the midline (degrees). */
export const hairLineAt = (style: HairStyle, angle: number): number =>
  (LINES[style] ?? HAIR_LINE_BASE[style as BaseStyle] ?? HAIR_LINE_BASE.short)(angle);
