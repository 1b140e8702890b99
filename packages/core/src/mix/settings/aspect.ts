import { needed } from '../setting';

/** Sides of a plate: width to height. */
export const ASPECTS = ['3:2', '2:3', '1:1', '4:3', '3:4', '16:9', '2:1'] as const;
export type Aspect = (typeof ASPECTS)[number];

export const aspect = needed<Aspect>({
  label: 'Plate',
  title: 'Aspect of the plate',
  says: 'Width to height of the picture',
  form: { kind: 'choice', values: ASPECTS },
  usual: '3:2',
  request: 'otherwise',
  stage: true,
  differences: (before, after) => (before === after || !before || !after ? [] : [`plate ${before} → ${after}`]),
});
