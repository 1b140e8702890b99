import { nameOf, type SceneBrief, type Unasked } from '@urbild/core';
import type { FigureRecord } from '../painter/scene/figureRecord';
import { isFigure } from '../painter/scene/region';

/** Of the box of a figure, at least this part shows some figure. */
const SEEN = 0.03;
/** A head may be cut off by this part of its height. */
const CUT = 0.12;

/** Who of the words cannot be found in a picture, and whose head it cuts off. Places in parts of width and height. */
export function figureFaults(
  brief: SceneBrief,
  figures: readonly FigureRecord[],
  labels: Uint8Array,
  w: number,
  h: number,
): Unasked[] {
  const out: Unasked[] = [];
  brief.entities.forEach((entity, k) => {
    if (entity.kind === 'thing') return;
    const own = figures.filter((f) => f.entity === k);
    const who = nameOf(entity);
    if (!own.some((f) => visible(f, labels, w, h)))
      out.push({ kind: 'missing', box: { left: 0, top: 0, right: 1, bottom: 1 }, ...(who ? { who } : {}) });
  });
  for (const f of figures) {
    const who = brief.entities[f.entity] && nameOf(brief.entities[f.entity]);
    const top = f.joints.head?.[1];
    if (f.kind !== 'person' || top === undefined) continue;
    const [x, y] = f.joints.head;
    // the head's joint is its middle
    const out_ = Math.max(f.head / 2 - y, y + f.head / 2 - h, f.head / 2 - x, x + f.head / 2 - w);
    if (out_ > CUT * f.head) out.push({ kind: 'cropped', box: boxAround(f, w, h), ...(who ? { who } : {}) });
  }
  return out;
}

function visible({ box }: FigureRecord, labels: Uint8Array, w: number, h: number): boolean {
  const [left, top, right, bottom] = box;
  let seen = 0;
  for (let y = Math.max(0, Math.floor(top)); y < Math.min(h, bottom); y++)
    for (let x = Math.max(0, Math.floor(left)); x < Math.min(w, right); x++) if (isFigure(labels[y * w + x])) seen++;
  return seen > SEEN * Math.max(1, (right - left) * (bottom - top));
}

const part = (v: number) => Math.min(1, Math.max(0, v));
const boxAround = ({ box: [left, top, right, bottom] }: FigureRecord, w: number, h: number) => ({
  left: part(left / w),
  top: part(top / h),
  right: part(right / w),
  bottom: part(bottom / h),
});
