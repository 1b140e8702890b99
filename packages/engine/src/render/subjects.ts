import { REGION } from '../painter/scene/region';
import type { FigureRecord } from '../painter/scene/figureRecord';
import type { SceneSeen, SeenItem } from '../painter/scene/seen';
import type { Subject } from '../synthesis/holdSubject';

/** A figure of less than this part of the picture is a speck, of which no edges are held. */
const LEAST = 0.0004;
/** A head of fewer pixels has no edges of its own, nor have eyes of fewer. */
const LEAST_HEAD = 60;
const LEAST_EYES = 6;
/** How far edges reach, px of 512 at most, and in parts of the shorter side of what is small. */
const REACH = { figure: 6, head: 4, eyes: 8, part: 0.16 } as const;

const HEAD: ReadonlySet<number> = new Set([REGION.skin, REGION.hair, REGION.eye, REGION.headwear]);

/** Everybody in a scene who must be seen: whole figures, then the heads of people, then their eyes. */
export function subjectsOf(seen: SceneSeen, labels: Uint8Array): Subject[] {
  // a camera that looks at a part of a scene has no map of who is where
  if (seen.view) return [];
  const items = seen.items.filter(
    ({ kind, held, pixels, box }) => kind !== 'thing' && !held && box && pixels >= LEAST * seen.width * seen.height,
  );
  const whole = items.map((item) => subject(maskOf(item, seen), item.box!, REACH.figure, seen));
  const near = items.flatMap((item, k) => {
    const record = item.kind === 'person' ? recordOf(item, seen.figures) : undefined;
    return record ? partsOfHead(whole[k].mask, labels, record, seen) : [];
  });
  return [...whole, ...near];
}

const subject = (
  mask: Uint8Array,
  box: Subject['box'],
  reach: number,
  { width, height }: Pick<SceneSeen, 'width' | 'height'>,
): Subject => {
  const small = (REACH.part * Math.min(box[2] - box[0], box[3] - box[1]) * 512) / Math.max(width, height);
  return { mask, box, reach: Math.min(reach, small) };
};

/** Eyes are moved whole, not at their edges only. */
const reachOfEyes = (box: Subject['box'], { width, height }: Pick<SceneSeen, 'width' | 'height'>): number =>
  Math.min(REACH.eyes, ((box[3] - box[1]) * 512) / Math.max(width, height));

function maskOf({ codes }: SeenItem, { map }: SceneSeen): Uint8Array {
  const own = new Uint8Array(256);
  for (const code of codes) own[code] = 1;
  return map.map((code) => own[code]);
}

/** The record of whoever lies most within the box of an item. */
function recordOf({ entity, box }: SeenItem, figures: readonly FigureRecord[]): FigureRecord | undefined {
  const common = (f: FigureRecord) => Math.min(f.box[2], box![2]) - Math.max(f.box[0], box![0]);
  return figures
    .filter((f) => f.entity === entity && f.kind === 'person' && common(f) > 0)
    .sort((a, b) => common(b) - common(a))[0];
}

function partsOfHead(mask: Uint8Array, labels: Uint8Array, record: FigureRecord, seen: SceneSeen): Subject[] {
  const { width } = seen;
  const bottom = record.box[1] + 1.15 * record.head;
  const rows = Math.min(mask.length, Math.ceil(bottom) * width);
  const head = new Uint8Array(mask.length);
  const eyes = new Uint8Array(mask.length);
  for (let i = 0; i < rows; i++) {
    if (!mask[i]) continue;
    if (HEAD.has(labels[i])) head[i] = 1;
    if (labels[i] === REGION.eye) eyes[i] = 1;
  }
  const [ofHead, ofEyes] = [extent(head, width), extent(eyes, width)];
  return [
    ...(ofHead.count >= LEAST_HEAD ? [subject(head, ofHead.box, REACH.head, seen)] : []),
    ...(ofEyes.count >= LEAST_EYES
      ? [{ mask: eyes, box: ofEyes.box, reach: reachOfEyes(ofEyes.box, seen), whole: true }]
      : []),
  ];
}

/** The pixels of a mask: how many, and the box around them. */
function extent(mask: Uint8Array, width: number): { readonly count: number; readonly box: Subject['box'] } {
  let [left, top, right, bottom, count] = [Infinity, Infinity, 0, 0, 0];
  for (let i = 0; i < mask.length; i++) {
    if (!mask[i]) continue;
    const [x, y] = [i % width, Math.floor(i / width)];
    left = Math.min(left, x);
    right = Math.max(right, x + 1);
    top = Math.min(top, y);
    bottom = Math.max(bottom, y + 1);
    count++;
  }
  return { count, box: [left, top, right, bottom] };
}
