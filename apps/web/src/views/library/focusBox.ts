import type { Box } from '../../api/references';

export type { Box };
/** All of a picture. */
export const WHOLE: Box = { left: 0, top: 0, right: 1, bottom: 1 };

/** What of a box is moved: a corner, a side, or all of it. */
export type Grip = 'all' | 'nw' | 'n' | 'ne' | 'e' | 'se' | 's' | 'sw' | 'w';

/** The handles, with their places on the box (0..1). */
export const GRIPS: readonly { readonly grip: Grip; readonly x: number; readonly y: number; readonly name: string }[] =
  [
    { grip: 'nw', x: 0, y: 0, name: 'upper left corner' },
    { grip: 'n', x: 0.5, y: 0, name: 'upper edge' },
    { grip: 'ne', x: 1, y: 0, name: 'upper right corner' },
    { grip: 'e', x: 1, y: 0.5, name: 'right edge' },
    { grip: 'se', x: 1, y: 1, name: 'lower right corner' },
    { grip: 's', x: 0.5, y: 1, name: 'lower edge' },
    { grip: 'sw', x: 0, y: 1, name: 'lower left corner' },
    { grip: 'w', x: 0, y: 0.5, name: 'left edge' },
  ];

const LEAST = 0.04;
const limit = (v: number, low: number, high: number) => Math.min(high, Math.max(low, v));

/**
 * Moves a handle of a box by parts of the picture; the box stays inside and does not turn over. With `aspect` (width / height
 * of the picture) it stays or becomes square in pixels.
 */
export function moveBox(from: Box, grip: Grip, dx: number, dy: number, aspect?: number): Box {
  if (grip === 'all') {
    const x = limit(dx, -from.left, 1 - from.right);
    const y = limit(dy, -from.top, 1 - from.bottom);
    return { left: from.left + x, top: from.top + y, right: from.right + x, bottom: from.bottom + y };
  }
  const box = {
    left: grip.includes('w') ? limit(from.left + dx, 0, from.right - LEAST) : from.left,
    right: grip.includes('e') ? limit(from.right + dx, from.left + LEAST, 1) : from.right,
    top: grip.includes('n') ? limit(from.top + dy, 0, from.bottom - LEAST) : from.top,
    bottom: grip.includes('s') ? limit(from.bottom + dy, from.top + LEAST, 1) : from.bottom,
  };
  return aspect === undefined ? box : squared(box, grip, aspect);
}

/** Makes a box square in pixels by the side that was moved; the opposite corner or edge stays where it is. */
function squared(box: Box, grip: Grip, aspect: number): Box {
  const bySide =
    grip === 'e' || grip === 'w' || (grip.length === 2 && (box.right - box.left) * aspect >= box.bottom - box.top);
  const side = bySide ? (box.right - box.left) * aspect : box.bottom - box.top;
  const roomX = grip.includes('w') ? box.right : 1 - box.left;
  const roomY = grip.includes('n') ? box.bottom : 1 - box.top;
  const s = Math.min(side, roomX * aspect, roomY);
  const left = grip.includes('w') ? box.right - s / aspect : box.left;
  const top = grip.includes('n') ? box.bottom - s : box.top;
  return { left, top, right: left + s / aspect, bottom: top + s };
}

/** Size of a box in pixels. */
export const pixelsOf = (box: Box, width: number, height: number): [width: number, height: number] => [
  Math.max(1, Math.round((box.right - box.left) * width)),
  Math.max(1, Math.round((box.bottom - box.top) * height)),
];
