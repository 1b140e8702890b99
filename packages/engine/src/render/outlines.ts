import { figuresIn, headOf, maskOfItem, within, type SeenFigure } from '../painter/scene/figureMasks';
import { REGION, type Region } from '../painter/scene/region';
import type { SceneSeen } from '../painter/scene/seen';
import type { Outline, OutlineOf } from '../contract/result';

const R = REGION;
const CLOTHES: readonly Region[] = [R.garment, R.legwear, R.footwear];
/** What a picture has besides its figures. */
const GROUNDS: Readonly<Record<Exclude<OutlineOf, 'figure' | 'head' | 'clothes'>, readonly Region[]>> = {
  sky: [R.sky, R.cloud, R.sun],
  water: [R.water],
  ground: [R.ground, R.hill, R.rock],
  plants: [R.foliage],
  buildings: [R.building, R.roof, R.window],
};
/** Less of a picture than this is not offered as a ground; a part of a figure needs so many pixels. */
const LEAST_GROUND = 0.01;
const LEAST_PIXELS = 40;

/** What a picture shows, with the outlines that it was painted in: figures in their order, their heads and clothes, then the grounds. */
export function outlinesOf(seen: SceneSeen, labels: Uint8Array): Outline[] {
  // a camera that looks at a part of a scene has no map of who is where
  const figures = seen.view
    ? []
    : figuresIn(seen).flatMap((figure, k) => (figure ? partsOf(figure, k, seen, labels) : []));
  const grounds = (Object.keys(GROUNDS) as (keyof typeof GROUNDS)[]).flatMap((of): Outline[] => {
    const regions: readonly number[] = GROUNDS[of];
    const mask = white(labels.map((label) => (regions.includes(label) ? 1 : 0)));
    return count(mask) < LEAST_GROUND * mask.length ? [] : [{ of, mask }];
  });
  return [...figures, ...grounds];
}

const count = (mask: Uint8Array): number => mask.reduce((n, v) => n + (v ? 1 : 0), 0);

function partsOf({ record, item }: SeenFigure, figure: number, seen: SceneSeen, labels: Uint8Array): Outline[] {
  const whole = maskOfItem(item, seen);
  const parts: Outline[] = [{ of: 'figure', figure, mask: whole }];
  if (record.kind === 'person')
    parts.push(
      { of: 'head', figure, mask: headOf(whole, labels, record, seen.width) },
      { of: 'clothes', figure, mask: within(whole, labels, CLOTHES) },
    );
  return parts.filter(({ mask }) => count(mask) >= LEAST_PIXELS).map((part) => ({ ...part, mask: white(part.mask) }));
}

const white = (mask: Uint8Array): Uint8Array => mask.map((v) => (v ? 255 : 0));
