import type { Box } from '@urbild/core';
import type { SeenPicture } from './readPicture';

/** The box around the largest person of a picture, in parts of it: a stick figure, or areas that are somebody; undefined where there is none. */
export function somebodyIn({ figures, forms, kinds, width: w, height: h }: SeenPicture): Box | undefined {
  const [figure] = [...figures].sort((a, b) => b.radius - a.radius);
  if (figure) {
    const points = Object.values(figure.joints);
    const xs = points.map((p) => p[0]);
    return {
      left: Math.min(figure.head[0] - figure.radius, ...xs) / w,
      right: Math.max(figure.head[0] + figure.radius, ...xs) / w,
      top: (figure.head[1] - figure.radius) / h,
      bottom: Math.max(...points.map((p) => p[1])) / h,
    };
  }
  const parts = forms.flatMap((form, k) => (form && kinds.get(k)?.kind === 'person' ? [form] : []));
  if (!parts.length) return undefined;
  return {
    left: Math.min(...parts.map((f) => f.left)) / w,
    right: Math.max(...parts.map((f) => f.right)) / w,
    top: Math.min(...parts.map((f) => f.top)) / h,
    bottom: Math.max(...parts.map((f) => f.bottom)) / h,
  };
}
