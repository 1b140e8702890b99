import { understand } from '@urbild/core';
import { paintStage } from '../painter/paint';
import { isFigure, REGION } from '../painter/scene/region';
import { figureFaults } from './figureFaults';

const [W, H] = [240, 160];
const brief = understand('Ilse with Brom in the meadow');
const { figures, labels } = paintStage(brief, { width: W, height: H, seed: 3 });

test('everybody is there and whole', () => {
  expect(figureFaults(brief, figures, labels, W, H)).toEqual([]);
});

test('who is covered or was never drawn is missing, by name', () => {
  const covered = labels.map((l) => (isFigure(l) ? REGION.foliage : l));
  expect(figureFaults(brief, figures, covered, W, H).map((f) => [f.kind, f.who])).toEqual([
    ['missing', 'Ilse'],
    ['missing', 'Brom'],
  ]);
  const [first] = figures;
  expect(figureFaults(brief, [first], labels, W, H).map((f) => f.kind)).toEqual(['missing']);
});

test('a head that runs out of the picture is cut off, and where is told', () => {
  const ilse = figures.find((f) => f.kind === 'person')!;
  const [x] = ilse.joints.head;
  const up = { ...ilse, joints: { ...ilse.joints, head: [x, 0.2 * ilse.head] as const } };
  const [fault] = figureFaults(brief, [up, ...figures.filter((f) => f !== ilse)], labels, W, H);
  expect(fault).toMatchObject({ kind: 'cropped', who: 'Ilse' });
  expect(fault.box.right).toBeGreaterThan(fault.box.left);
});
