import {
  blurPlane,
  CHROMA_GAIN,
  clonePicture,
  connected,
  resamplePlane,
  smoothstep,
  swatchesOf,
  type Picture,
} from '@urbild/core';

/** A stage that changes over to another picture, mass by mass of `masses`, as far as a share of 0..1 says. */
export function changedOver(stage: Picture, to: Picture, masses: Picture, share: number): Picture {
  const turns = turnsOf(masses, stage.width, stage.height);
  const out = clonePicture(stage);
  out.planes.forEach((plane, c) => {
    const other = to.planes[c];
    for (let i = 0; i < plane.length; i++) {
      const at = smoothstep(0, 1, (share * (1 + EASE) - turns[i]) / EASE);
      plane[i] += at * (other[i] - plane[i]);
    }
  });
  return out;
}

/** How long, in parts of the share, a mass takes to change over. */
const EASE = 0.3;

/**
 * When each pixel changes over, 0 first .. 1 last: mass by mass, the large ones first, so that at a middling share some masses
 * are there whole instead of all of them half transparent.
 */
function turnsOf(masses: Picture, w: number, h: number): Float32Array {
  const { width: mw, height: mh, planes } = masses;
  const centres = swatchesOf(masses, 7).map((s) => s.lab);
  const nearest = Uint8Array.from({ length: mw * mh }, (_, i) => {
    let best = 0;
    let least = Infinity;
    centres.forEach((lab, k) => {
      const d =
        (planes[0][i] - lab[0]) ** 2 +
        (planes[1][i] / CHROMA_GAIN - lab[1]) ** 2 +
        (planes[2][i] / CHROMA_GAIN - lab[2]) ** 2;
      if (d < least) {
        least = d;
        best = k;
      }
    });
    return best;
  });
  const { part, areas } = connected(nearest, mw, mh);
  const order = areas
    .map((area, k) => ({ area, k }))
    .sort((a, b) => b.area - a.area)
    .map(({ k }) => k);
  const rank = new Float32Array(areas.length);
  let seen = 0;
  for (const k of order) {
    rank[k] = (seen + areas[k] / 2) / (mw * mh);
    seen += areas[k];
  }
  const turn = Float32Array.from(part, (k) => rank[k]);
  return resamplePlane(blurPlane(turn, mw, mh, 1), mw, mh, w, h);
}
