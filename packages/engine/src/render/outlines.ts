import type { FigureRecord } from '../painter/scene/figureRecord';
import { REGION, type Region } from '../painter/scene/region';
import type { SceneSeen } from '../painter/scene/seen';
import type { Outline, OutlineOf } from '../contract/result';

const R = REGION;
const HEAD: readonly Region[] = [R.skin, R.hair, R.eye, R.headwear];
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
  const figures = seen.view ? [] : seen.figures.flatMap((record, k) => partsOf(record, k, seen, labels));
  const grounds = (Object.keys(GROUNDS) as (keyof typeof GROUNDS)[]).flatMap((of): Outline[] => {
    const regions: readonly number[] = GROUNDS[of];
    const mask = labels.map((label) => (regions.includes(label) ? 255 : 0));
    return count(mask) < LEAST_GROUND * mask.length ? [] : [{ of, mask }];
  });
  return [...figures, ...grounds];
}

const count = (mask: Uint8Array): number => mask.reduce((n, v) => n + (v ? 1 : 0), 0);

function partsOf(record: FigureRecord, figure: number, seen: SceneSeen, labels: Uint8Array): Outline[] {
  const own = codesOf(record, seen);
  if (!own) return [];
  const whole = seen.map.map((code) => (own[code] ? 255 : 0));
  const within = (regions: readonly number[], bottom = Infinity) =>
    whole.map((v, i) => (v && regions.includes(labels[i]) && Math.floor(i / seen.width) < bottom ? 255 : 0));
  const parts: Outline[] = [{ of: 'figure', figure, mask: whole }];
  if (record.kind === 'person')
    parts.push(
      { of: 'head', figure, mask: within(HEAD, record.box[1] + 1.15 * record.head) },
      { of: 'clothes', figure, mask: within(CLOTHES) },
    );
  return parts.filter(({ mask }) => count(mask) >= LEAST_PIXELS);
}

/** The codes of the item that a record tells of: the one of its entity whose box lies most over the record's. */
function codesOf({ entity, kind, box }: FigureRecord, { items }: SceneSeen): Uint8Array | undefined {
  const common = (other: readonly number[]) =>
    Math.max(0, Math.min(box[2], other[2]) - Math.max(box[0], other[0])) *
    Math.max(0, Math.min(box[3], other[3]) - Math.max(box[1], other[1]));
  const [best] = items
    .filter((item) => item.entity === entity && item.kind === kind && !item.held && item.box)
    .sort((a, b) => common(b.box!) - common(a.box!));
  if (!best || !common(best.box!)) return undefined;
  const own = new Uint8Array(256);
  for (const code of best.codes) own[code] = 1;
  return own;
}
