import { adjustLch, Random, type Lch } from '@urbild/core';
import { ribbon } from '../../geometry/curve';
import { ellipse, type Point } from '../../geometry/point';
import { REGION, type Region } from '../../scene/region';
import type { FigureFrame } from '../figure';
import type { Cloth } from '../person';

const WHITE: Lch = [0.93, 0.025, 85];

/** The part of the figure that a pattern covers, in figure units. */
interface Area {
  readonly width: number;
  readonly top: number;
  readonly bottom: number;
}

/** The second colour of a pattern: the one named, or light on dark and dark on light. */
export const secondOf = (cloth: Cloth): Lch =>
  cloth.second ?? (cloth.colour[0] < 0.75 ? WHITE : adjustLch(cloth.colour, -0.35, 1.2));

/** Paints the pattern of a cloth; to be called inside the garment's shape. */
export function paintPattern(f: FigureFrame, cloth: Cloth, area: Area, region: Region = REGION.garment): void {
  const second = secondOf(cloth);
  const style = { texture: 0.6, rim: 0, shade: 0 };
  const rows = (gap: number, width: number, colour: Lch, alpha?: number) => {
    for (let y = area.top + 0.08; y < area.bottom; y += gap) {
      const row: Point[] = [];
      for (let x = -area.width; x <= area.width; x += 0.1) row.push([x, y + 0.05 * (1 - x * x)]);
      f.flat(
        region,
        ribbon(
          row,
          row.map(() => width),
          0.05,
        ),
        colour,
        { ...style, alpha },
      );
    }
  };
  const spots = (gap: number, draw: (x: number, y: number, odd: boolean) => void) => {
    let line = 0;
    for (let y = area.top; y < area.bottom; y += gap, line++)
      for (let x = -area.width + (line % 2) * gap * 0.5; x < area.width; x += gap) draw(x, y, line % 2 === 1);
  };
  switch (cloth.pattern) {
    case undefined:
      return;
    case 'stripes':
      return rows(0.24, 0.1, second);
    case 'checks':
      rows(0.26, 0.08, second, 0.75);
      for (let x = -area.width; x < area.width; x += 0.24)
        f.flat(
          region,
          ribbon(
            [
              [x, area.top - 0.2],
              [x, area.bottom],
            ],
            [0.07, 0.07],
            0.1,
          ),
          second,
          { ...style, alpha: 0.55 },
        );
      return;
    case 'dots':
      return spots(0.24, (x, y) => f.flat(region, ellipse(x, y, 0.055, 0.055, 0, 9), second, { plain: true }));
    case 'flowers': {
      const r = new Random(5);
      return spots(0.3, (x, y, odd) => {
        const [dx, dy] = [r.bell() * 0.04, r.bell() * 0.04];
        const petal = odd ? second : adjustLch(second, -0.1, 3, 40);
        for (let i = 0; i < 5; i++) {
          const a = (i / 5) * 6.283;
          f.flat(region, ellipse(x + dx + Math.cos(a) * 0.05, y + dy + Math.sin(a) * 0.05, 0.035, 0.035, 0, 7), petal, {
            plain: true,
          });
        }
        f.flat(region, ellipse(x + dx, y + dy, 0.025, 0.025, 0, 7), [0.82, 0.14, 88], { plain: true });
      });
    }
    case 'patches': {
      const r = new Random(9);
      for (let i = 0; i < 6; i++) {
        const [x, y, s] = [r.range(-0.5, 0.5), r.range(area.top, area.bottom), r.range(0.1, 0.17)];
        f.flat(
          region,
          [
            [x - s, y - s],
            [x + s, y - s * 0.8],
            [x + s * 0.9, y + s],
            [x - s * 0.9, y + s * 0.9],
          ],
          i % 2 ? second : adjustLch(cloth.colour, -0.14),
          style,
        );
      }
    }
  }
}
