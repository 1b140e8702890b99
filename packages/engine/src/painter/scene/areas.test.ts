import { environmentFor } from '../light/environment';
import { rectangle } from '../geometry/point';
import { areaMap, bytesOf } from './areas';
import { depthMap, labelMap } from './labels';
import { REGION } from './region';
import { Scene } from './scene';

const SIDE = 20;
const empty = () => new Scene(SIDE, SIDE, environmentFor('noon', 'clear', 'summer'), 1);
const at = (x: number, y: number) => y * SIDE + x;

test('what is painted later covers what was there, and blank paper belongs to nothing', () => {
  const scene = empty();
  scene.pen({ region: REGION.ground, depth: 0.8 }).shape(rectangle(0, 0, 12, 20), [0.5, 0, 0]);
  scene.pen({ region: REGION.prop, depth: 0.2 }).shape(rectangle(8, 5, 8, 8), [0.5, 0, 0]);
  const areas = areaMap(scene);
  expect(areas.nodes.map((n) => n.region)).toEqual([REGION.ground, REGION.prop]);
  expect([areas.index[at(2, 2)], areas.index[at(10, 8)], areas.index[at(18, 18)]]).toEqual([1, 2, 0]);
  const labels = labelMap(scene, areas);
  expect([labels[at(2, 2)], labels[at(10, 8)], labels[at(18, 18)]]).toEqual([REGION.ground, REGION.prop, REGION.none]);
  const depth = depthMap(scene, areas);
  expect([depth[at(2, 2)], depth[at(10, 8)]]).toEqual([204, 51]);
});

test('what can be seen through, or is a thin line, covers nothing', () => {
  const scene = empty();
  const pen = scene.pen({ region: REGION.prop, depth: 0 });
  pen.shape(rectangle(0, 0, 20, 20), [0.5, 0, 0], { alpha: 0.3 });
  pen.line(
    [
      [0, 10],
      [20, 10],
    ],
    1,
    [0.5, 0, 0],
  );
  scene.pen({ region: REGION.none, depth: 0 }).shape(rectangle(0, 0, 20, 20), [0.5, 0, 0]);
  expect(areaMap(scene).nodes).toEqual([]);
  pen.line(
    [
      [0, 10],
      [20, 10],
    ],
    6,
    [0.5, 0, 0],
  );
  expect(labelMap(scene)[at(10, 10)]).toBe(REGION.prop);
  expect(labelMap(scene)[at(10, 2)]).toBe(REGION.none);
});

test('what is drawn inside of a shape ends with it, also inside of what is inside', () => {
  const scene = empty();
  const pen = scene.pen({ region: REGION.garment, depth: 0 });
  const body = pen.shape(rectangle(4, 4, 8, 8), [0.5, 0, 0]);
  scene.inside(body, () => {
    const band = scene.pen({ region: REGION.prop, depth: 0 }).shape(rectangle(0, 6, 20, 3), [0.5, 0, 0]);
    scene.inside(band, () => scene.pen({ region: REGION.skin, depth: 0 }).shape(rectangle(6, 0, 2, 20), [0.5, 0, 0]));
  });
  const labels = labelMap(scene);
  expect(labels[at(5, 7)]).toBe(REGION.prop);
  expect(labels[at(14, 7)]).toBe(REGION.none);
  expect(labels[at(6, 7)]).toBe(REGION.skin);
  expect(labels[at(6, 11)]).toBe(REGION.garment);
});

test('any byte of a node can be asked for', () => {
  const scene = empty();
  scene.pen({ region: REGION.ground, depth: 0 }).shape(rectangle(0, 0, 20, 10), [0.5, 0, 0]);
  const bytes = bytesOf(areaMap(scene), ({ id }) => 40 + id);
  expect([bytes[at(3, 3)], bytes[at(3, 15)]]).toEqual([41, 0]);
});
