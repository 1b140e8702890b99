import { blurPlane, createPicture, resamplePlane, type Picture } from '@urbild/core';

/** What is wrong with a shape, if anything. */
export interface ShapeFaults {
  /** Part of the pixels that are neither dark nor light. */
  readonly grey: number;
  readonly touchesEdge: boolean;
  /** Part of the shape that is thinner than 2 px at the target size. */
  readonly hairlines: number;
}

/** The silhouette of a shape reference, fitted into w x h px without stretching: 1 inside, 0 on the ground. */
export function silhouette(reference: Picture, w: number, h: number): Float32Array {
  const k = Math.min(w / reference.width, h / reference.height);
  const [iw, ih] = [Math.max(1, Math.round(reference.width * k)), Math.max(1, Math.round(reference.height * k))];
  const L = resamplePlane(reference.planes[0], reference.width, reference.height, iw, ih);
  const out = new Float32Array(w * h);
  const [dx, dy] = [(w - iw) >> 1, (h - ih) >> 1];
  // light lettering on a dark ground is a shape as well: the ground is what the border shows
  let border = 0;
  let count = 0;
  for (let x = 0; x < iw; x++, count += 2) border += L[x] + L[(ih - 1) * iw + x];
  for (let y = 0; y < ih; y++, count += 2) border += L[y * iw] + L[y * iw + iw - 1];
  const dark = border / count > 0.5;
  for (let y = 0; y < ih; y++)
    for (let x = 0; x < iw; x++) {
      const tone = L[y * iw + x];
      const inside = dark ? (0.62 - tone) / 0.12 : (tone - 0.5) / 0.12;
      out[(y + dy) * w + x + dx] = Math.min(1, Math.max(0, inside));
    }
  return out;
}

/** Judges whether a reference can serve as a shape at a target size. */
export function shapeFaults(reference: Picture, w: number, h: number): ShapeFaults {
  const mask = silhouette(reference, w, h);
  const L = reference.planes[0];
  let grey = 0;
  for (let i = 0; i < L.length; i++) if (L[i] > 0.35 && L[i] < 0.85) grey++;
  let edge = 0;
  for (let x = 0; x < w; x++) edge += mask[x] + mask[(h - 1) * w + x];
  for (let y = 0; y < h; y++) edge += mask[y * w] + mask[y * w + w - 1];
  let inside = 0;
  let thin = 0;
  for (let y = 1; y < h - 1; y++)
    for (let x = 1; x < w - 1; x++) {
      const i = y * w + x;
      if (mask[i] < 0.5) continue;
      inside++;
      if ((mask[i - 1] < 0.5 && mask[i + 1] < 0.5) || (mask[i - w] < 0.5 && mask[i + w] < 0.5)) thin++;
    }
  return { grey: grey / L.length, touchesEdge: edge > 2, hairlines: inside ? thin / inside : 0 };
}

/**
 * Fills a silhouette with the picture of the words and takes the rest back to a plain ground of its own colours, as far as the
 * share goes (or the other way round, `around`). The tone of the ground stands off from what the silhouette holds.
 */
export function fillShape(stage: Picture, shape: Float32Array, share: number, around: boolean): Picture {
  const { width: w, height: h } = stage;
  const out = createPicture(w, h);
  const inside = around ? shape.map((v) => 1 - v) : shape;
  const tone = [0, 0, 0];
  let held = 0;
  for (let i = 0; i < inside.length; i++) held += inside[i];
  for (let c = 0; c < 3; c++)
    for (let i = 0; i < inside.length; i++) tone[c] += (inside[i] * stage.planes[c][i]) / Math.max(1, held);
  const light = tone[0] < 0.62;
  // a paper of the picture's own hue, light behind dark pictures and dark behind light ones
  const ground = [light ? 0.93 : 0.24, tone[1] * 0.25, tone[2] * 0.25];
  const push = light ? Math.min(0, 0.52 - tone[0]) : Math.max(0, 0.7 - tone[0]);
  const rim = blurPlane(inside, w, h, Math.max(1, Math.max(w, h) / 90));
  // an outline is seen long before it is whole: it comes late, so that it comes evenly
  const amount = share ** 1.4;
  for (let c = 0; c < 3; c++)
    for (let i = 0; i < inside.length; i++) {
      const own = stage.planes[c][i];
      const shade = c === 0 ? push * inside[i] - 0.06 * (1 - inside[i]) * rim[i] : 0;
      const wanted = inside[i] * own + (1 - inside[i]) * ground[c] + shade;
      out.planes[c][i] = own + amount * (wanted - own);
    }
  return out;
}
