import { boxPlane } from '../picture/filter';
import type { Picture } from '../picture/picture';
import { levelOf } from '../picture/resample';

interface Stroke {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** Connected pieces of the size and fullness of letters. */
function letters(mask: Uint8Array, w: number, h: number): Stroke[] {
  const seen = new Uint8Array(mask.length);
  const found: Stroke[] = [];
  const open = new Int32Array(mask.length);
  let waiting = 0;
  const enter = (i: number) => {
    if (mask[i] !== 1 || seen[i]) return;
    seen[i] = 1;
    open[waiting++] = i;
  };
  for (let start = 0; start < mask.length; start++) {
    if (!mask[start] || seen[start]) continue;
    enter(start);
    let area = 0;
    const s: Stroke = { left: w, right: 0, top: h, bottom: 0 };
    while (waiting) {
      const i = open[--waiting];
      const x = i % w;
      const y = (i / w) | 0;
      area++;
      if (x < s.left) s.left = x;
      if (x > s.right) s.right = x;
      if (y < s.top) s.top = y;
      if (y > s.bottom) s.bottom = y;
      if (x > 0) enter(i - 1);
      if (x < w - 1) enter(i + 1);
      enter(i - w);
      enter(i + w);
    }
    const bw = s.right - s.left + 1;
    const bh = s.bottom - s.top + 1;
    const full = area / (bw * bh);
    if (bh >= 5 && bh <= 60 && bw < bh * 2.2 && bw > bh * 0.12 && full > 0.18 && full < 0.92) found.push(s);
  }
  return found;
}

/** The longest chain of pieces that stand beside each other on one line, of one height and evenly spaced. */
function longestChain(pieces: Stroke[]): number {
  pieces.sort((a, b) => a.left - b.left);
  let best = 0;
  for (let i = 0; i < pieces.length; i++) {
    let chain = 1;
    let last = pieces[i];
    for (let j = i + 1; j < pieces.length; j++) {
      const next = pieces[j];
      const height = last.bottom - last.top + 1;
      if (next.left - last.right > height * 1.1) continue;
      if (next.left < last.right - 1) continue;
      const sameLine = Math.abs(next.bottom - last.bottom) < height * 0.28;
      const sameHeight = Math.abs(next.bottom - next.top + 1 - height) < height * 0.45;
      if (sameLine && sameHeight) {
        chain++;
        last = next;
      }
    }
    best = Math.max(best, chain);
  }
  return best;
}

/** How many letters stand in the longest line of writing that the picture seems to have; read at 320 px. */
export function writingIn(picture: Picture): number {
  const { width: w, height: h, planes } = levelOf(picture, 320);
  const mean = boxPlane(planes[0], w, h, 9);
  let best = 0;
  const mask = new Uint8Array(w * h);
  for (const sign of [1, -1]) {
    for (let i = 0; i < mask.length; i++) mask[i] = sign * (mean[i] - planes[0][i]) > 0.085 ? 1 : 0;
    best = Math.max(best, longestChain(letters(mask, w, h)));
  }
  return best;
}
