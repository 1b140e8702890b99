import type { Lch } from '@urbild/core';
import { environmentFor, isSnowy } from '../light/environment';
import { rectangle } from '../geometry/point';
import { seenBy } from './camera';
import { boundsOfNode, type GroupNode, type Node, type ShapeNode } from './displayList';
import { labelMap } from './labels';
import { isFigure, REGION } from './region';
import { Scene } from './scene';

const scene = (weather: 'clear' | 'snow' = 'clear', time: 'noon' | 'night' = 'noon') =>
  new Scene(64, 48, environmentFor(time, weather, 'summer'), 1);
const RED: Lch = [0.5, 0.15, 30];

test('a pen grades colours by light and depth; a raw pen does not', () => {
  const s = scene('clear', 'night');
  const near = s.pen({ region: REGION.prop, depth: 0 }).colour(RED);
  const far = s.pen({ region: REGION.prop, depth: 0.9 }).colour(RED);
  expect(s.pen({ region: REGION.prop, depth: 0, raw: true }).colour(RED)).toEqual(RED);
  expect(near[0]).toBeLessThan(RED[0]);
  const toHaze = (c: Lch) => Math.abs(c[0] - s.light.haze[0]) + Math.abs(c[1] - s.light.haze[1]);
  expect(toHaze(far)).toBeLessThan(toHaze(near));
  const kept = s.pen({ region: REGION.garment, depth: 0, keep: 0.5 }).colour(RED);
  expect(kept[1]).toBeGreaterThan(near[1]);
});

test('snow lies on the ground, not on people', () => {
  const s = scene('snow');
  expect(isSnowy(s.light)).toBe(true);
  const green: Lch = [0.5, 0.1, 130];
  expect(s.pen({ region: REGION.ground, depth: 0 }).colour(green)[0]).toBeGreaterThan(0.75);
  expect(s.pen({ region: REGION.garment, depth: 0 }).colour(green)[0]).toBeLessThan(0.7);
});

test('shapes go where they are drawn: at the top, inside a shape, or in a group', () => {
  const s = scene();
  const pen = s.pen({ region: REGION.sky, depth: 1 });
  const sky = pen.shape(rectangle(0, 0, 64, 24), RED);
  s.inside(sky, () => pen.shape(rectangle(4, 4, 8, 8), RED));
  s.group({ y: 30 }, () =>
    pen.line(
      [
        [0, 0],
        [9, 9],
      ],
      2,
      RED,
    ),
  );
  pen.glow(1, 1, 5, RED, 0.5);
  pen.mist(0, 0, 9, 9, RED, 0.2);
  pen.blades([{ path: rectangle(0, 0, 1, 5), colour: RED }]);
  expect(s.root.children.map((n) => n.kind)).toEqual(['shape', 'group', 'glow', 'mist', 'blades']);
  expect(sky.children).toHaveLength(1);
  expect((s.root.children[1] as GroupNode).children).toHaveLength(1);
  const ids = s.root.children.flatMap((n) => ('id' in n ? [n.id] : []));
  expect(new Set(ids).size).toBe(ids.length);
});

test('the bounds of a group hold what is solid in it, not its lights', () => {
  const s = scene();
  const pen = s.pen({ region: REGION.prop, depth: 0 });
  pen.shape(rectangle(10, 12, 6, 4), RED);
  pen.glow(60, 40, 300, RED, 1);
  expect(boundsOfNode(s.root)).toEqual([4, 6, 22, 22]);
});

test('labels come from the same shapes: later ones above, clipped ones inside, faint ones not at all', () => {
  const s = scene();
  s.pen({ region: REGION.sky, depth: 1 }).shape(rectangle(-5, -5, 80, 60), RED);
  const house = s.pen({ region: REGION.building, depth: 0 }).shape(rectangle(10, 10, 20, 20), RED);
  s.inside(house, () => s.pen({ region: REGION.window, depth: 0 }).shape(rectangle(25, 15, 20, 4), RED));
  s.pen({ region: REGION.cloud, depth: 0 }).shape(rectangle(40, 30, 10, 10), RED, { alpha: 0.3 });
  const labels = labelMap(s);
  const at = (x: number, y: number) => labels[y * 64 + x];
  expect([at(2, 2), at(15, 12), at(27, 16), at(35, 16), at(45, 35)]).toEqual([
    REGION.sky,
    REGION.building,
    REGION.window,
    REGION.sky,
    REGION.sky,
  ]);
});

test('a camera moves and veils copies, and leaves the list as it was', () => {
  const s = scene();
  const pen = s.pen({ region: REGION.water, depth: 0.5, raw: true });
  pen.shape(rectangle(0, 10, 20, 10), RED, {
    gradient: {
      line: [0, 10, 0, 20],
      stops: [
        [0, RED],
        [1, RED],
      ],
    },
  });
  s.group({ y: 20 }, () =>
    pen.line(
      [
        [0, 0],
        [4, 0],
      ],
      2,
      RED,
    ),
  );
  pen.glow(10, 10, 5, RED, 0.5);
  pen.mist(1, 2, 3, 4, RED, 0.5);
  pen.blades([{ path: rectangle(0, 0, 1, 1), colour: RED }]);
  const before = JSON.stringify(s.root);
  const [shape, group, glow, mist, blades] = seenBy(
    { scale: 2, dx: 1, dy: -3, haze: [1, 0, 0], veil: 0.5 },
    s.root.children,
  ) as Node[];
  expect(JSON.stringify(s.root)).toBe(before);
  expect((shape as ShapeNode).path[0]).toEqual([1, 17]);
  expect((shape as ShapeNode).gradient!.line).toEqual([1, 17, 1, 37]);
  expect((shape as ShapeNode).colour[0]).toBeCloseTo(0.75, 6);
  expect(group).toMatchObject({ reflection: { y: 37 }, children: [{ kind: 'line', width: 4 }] });
  expect(glow).toMatchObject({ x: 21, y: 17, radius: 10 });
  expect(mist).toMatchObject({ x: 3, y: 1, width: 6, height: 8 });
  expect(blades).toMatchObject({
    blades: [
      {
        path: [
          [1, -3],
          [3, -3],
          [3, -1],
          [1, -1],
        ],
      },
    ],
  });
});

test('the three axes of light are separate: each changes something and leaves the others', () => {
  const base = environmentFor('dusk', 'clear', 'summer');
  expect(environmentFor('dusk', 'fog', 'summer').fog).toBeGreaterThan(2 * base.fog);
  expect(environmentFor('dusk', 'fog', 'summer').time).toBe('dusk');
  expect(environmentFor('dusk', 'rain', 'summer').sun).toBeUndefined();
  expect(environmentFor('night', 'clear', 'summer').stars).toBe(1);
  expect(environmentFor('night', 'cloudy', 'summer').stars).toBe(0);
  expect(environmentFor('night', 'storm', 'summer').sky[0][0]).toBeLessThan(
    environmentFor('noon', 'storm', 'summer').sky[0][0],
  );
  const autumn = environmentFor('dusk', 'clear', 'autumn');
  expect(autumn.tint).not.toEqual(base.tint);
  expect(autumn.sky).toEqual(base.sky);
  expect([environmentFor('noon', 'clear', 'winter').chroma < environmentFor('noon', 'clear', 'summer').chroma]).toEqual(
    [true],
  );
});

test('people and creatures are figures, places are not', () => {
  expect([REGION.skin, REGION.hair, REGION.garment, REGION.animal, REGION.eye].every(isFigure)).toBe(true);
  expect([REGION.sky, REGION.water, REGION.building, REGION.none].some(isFigure)).toBe(false);
});
