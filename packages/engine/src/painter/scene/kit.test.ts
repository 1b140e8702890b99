import { environmentFor } from '../light/environment';
import { Kit } from './kit';
import { labelMap } from './labels';
import { REGION } from './region';
import { Scene } from './scene';

const sceneAt = (time: 'noon' | 'night' = 'noon') => new Scene(100, 100, environmentFor(time, 'clear', 'summer'), 3);
const kitAt = (scene: Scene, options = {}) => new Kit(scene, 50, 90, 40, 0.1, options);
const extent = (labels: Uint8Array, region: number) => {
  const xs: number[] = [];
  const ys: number[] = [];
  labels.forEach((l, i) => {
    if (l !== region) return;
    xs.push(i % 100);
    ys.push(Math.floor(i / 100));
  });
  return {
    left: Math.min(...xs),
    right: Math.max(...xs),
    top: Math.min(...ys),
    bottom: Math.max(...ys),
    count: xs.length,
  };
};

test('its foot is (0, 0), u runs right, v up, 1 is its size', () => {
  const kit = kitAt(sceneAt());
  expect(kit.at(0, 0)).toEqual([50, 90]);
  expect(kit.at(1, 0)).toEqual([90, 90]);
  expect(kit.at(0, 1)).toEqual([50, 50]);
});

test('it can be mirrored and turned about its foot', () => {
  expect(kitAt(sceneAt(), { flip: true }).at(1, 0.5)).toEqual([10, 70]);
  const [x, y] = kitAt(sceneAt(), { turn: Math.PI / 2 }).at(0, 1);
  expect(x).toBeCloseTo(90, 6);
  expect(y).toBeCloseTo(90, 6);
});

test('a shape lies where its outline says, a clipped one inside it only', () => {
  const scene = sceneAt();
  const kit = kitAt(scene);
  const box = kit.poly(REGION.wood, '-.5,0 .5,0 .5,1 -.5,1', [0.5, 0.05, 60]);
  kit.inside(box, () => kit.disc(REGION.prop, 0.5, 0.5, 0.3, 0.3, [0.6, 0.1, 30]));
  const labels = labelMap(scene);
  const wood = extent(labels, REGION.wood);
  expect(Math.abs(wood.left - 30) + Math.abs(wood.top - 50) + Math.abs(wood.bottom - 89)).toBeLessThan(6);
  const disc = extent(labels, REGION.prop);
  expect(disc.right).toBeLessThan(73);
  expect(disc.left).toBeGreaterThan(55);
  expect(disc.count).toBeGreaterThan(60);
});

test('a stroke is at least a hair wide, however small the kit', () => {
  const scene = sceneAt();
  new Kit(scene, 50, 90, 3, 0.1).line(REGION.wood, '0,0 0,1', 0.001, [0.5, 0.05, 60]);
  expect(scene.root.children[0]).toMatchObject({ kind: 'line', width: 0.6 });
});

test('a lamp lights its surroundings where lamps are lit, and only there', () => {
  const [day, night] = [sceneAt('noon'), sceneAt('night')];
  for (const scene of [day, night]) kitAt(scene).lamp(0, 1, 2);
  expect(day.lamps).toEqual([]);
  expect(night.lamps).toEqual([{ x: 50, y: 50, radius: 80 }]);
});

test('an outline that cannot be read is named', () => {
  expect(() => kitAt(sceneAt()).shape(REGION.wood, '0,0 1;1', [0.5, 0, 0])).toThrow(/"1;1"/);
});
