import type { Naming } from './naming';

/** The head of a stick figure, and the pieces between its limbs, which are not things. */
export function nameFigures(naming: Naming): void {
  for (const { head, radius, joints } of naming.grounds.figures) {
    const points = Object.values(joints);
    const [left, right] = [Math.min(...points.map((p) => p[0])) - 12, Math.max(...points.map((p) => p[0])) + 12];
    const [top, bottom] = [head[1] - radius * 2.5, Math.max(...points.map((p) => p[1])) + 4];
    for (const [k, a] of naming.unnamed()) {
      if (Math.hypot(a.x - head[0], a.y - head[1]) < radius * 0.9 && a.width < radius * 2.6 && a.height < radius * 2.6)
        naming.name(k, 'person', 'the head of a stick figure');
      else if (a.share < 0.01 && a.left >= left && a.right <= right && a.top >= top && a.bottom <= bottom)
        naming.name(k, 'person', 'between the limbs of a stick figure');
    }
  }
}

/** A small disc over a trunk not wider than five of it is somebody: head, trunk, and what small things touch them. */
export function nameColouredPeople(naming: Naming): void {
  const { drawnBy, grey } = naming.grounds;
  // patches of a photograph are round now and then: whoever is in one is found by face and joints
  if (grey || !['flat', 'felt pen', 'solids'].includes(drawnBy)) return;
  const framed = (k: number) => {
    const { edge } = naming.form(k)!;
    return edge.left + edge.right + edge.top > 0;
  };
  for (const [i, head] of naming.unnamed()) {
    const small = head.share < 0.012 && head.share > 0.0006;
    if (!small || head.roundness < 0.72 || Math.abs(head.width / head.height - 1) > 0.4) continue;
    for (const [j, trunk] of naming.unnamed()) {
      if (j === i || naming.kindOf(i) || framed(j)) continue;
      if (Math.abs(trunk.top - head.bottom) > head.height * 0.6 || Math.abs(trunk.x - head.x) > head.width) continue;
      if (trunk.width > 5 * head.width || trunk.height < 0.9 * head.height || trunk.height > 6 * head.height) continue;
      naming.name(i, 'person', 'a small disc over a trunk');
      naming.name(j, 'person', 'a trunk under a small disc');
      for (const [k, limb] of naming.unnamed()) {
        const near = limb.left > trunk.left - 3.5 * head.width && limb.right < trunk.right + 3.5 * head.width;
        if (
          limb.share < 0.01 &&
          near &&
          !framed(k) &&
          limb.top > head.top - 3 * head.height &&
          (trunk.beside.has(k) || head.beside.has(k))
        )
          naming.name(k, 'person', 'hangs together with somebody');
      }
    }
  }
}
