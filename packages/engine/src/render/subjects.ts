import { REGION } from '../painter/scene/region';
import type { FigureRecord } from '../painter/scene/figureRecord';
import { figuresIn, headOf, maskOfItem, within } from '../painter/scene/figureMasks';
import { isFigure } from '../painter/scene/items';
import type { SceneSeen } from '../painter/scene/seen';
import type { Subject } from '../synthesis/holdSubject';

/** A figure of less than this part of the picture is a speck, of which no edges are held. */
const LEAST = 0.0004;
/** A head of fewer pixels has no edges of its own, nor have eyes of fewer. */
const LEAST_HEAD = 60;
const LEAST_EYES = 6;
/** How far edges reach, px of 512 at most, and in parts of the shorter side of what is small. */
const REACH = { figure: 6, head: 4, eyes: 8, part: 0.16 } as const;

/** Everybody in a scene who must be seen: whole figures, then the heads of people, then their eyes. */
export function subjectsOf(seen: SceneSeen, labels: Uint8Array): Subject[] {
  // a camera that looks at a part of a scene has no map of who is where
  if (seen.view) return [];
  const items = seen.items.filter(
    (item) => isFigure(item) && !item.held && item.box && item.pixels >= LEAST * seen.width * seen.height,
  );
  const figures = figuresIn(seen);
  const whole = items.map((item) => subject(maskOfItem(item, seen), item.box!, REACH.figure, seen));
  const near = items.flatMap((item, k) => {
    const figure = figures.find((f) => f?.item === item && item.kind === 'person');
    return figure ? partsOfHead(whole[k].mask, labels, figure.record, seen) : [];
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

function partsOfHead(mask: Uint8Array, labels: Uint8Array, record: FigureRecord, seen: SceneSeen): Subject[] {
  const { width } = seen;
  const head = headOf(mask, labels, record, width);
  const eyes = within(head, labels, [REGION.eye]);
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
