import { understand } from '@urbild/core';
import { composed } from '../testing';
import { mapsOf, paintStage } from '../paint';
import { isFigure, REGION } from '../scene/region';
import { SpreadRandom } from '../scene/spreadRandom';

const SIZE = { width: 320, height: 240 };
const maps = (prompt: string, options = {}) => mapsOf(understand(prompt), { ...SIZE, seed: 5, ...options });

describe('ground truth', () => {
  test('depth grows from the viewer to the horizon', () => {
    const { depth } = maps('Ilse in the meadow');
    const row = (y: number) => depth.subarray(y * 320, (y + 1) * 320).reduce((a, b) => a + b, 0) / 320;
    expect(row(20)).toBeGreaterThan(row(130));
    expect(row(130)).toBeGreaterThan(row(232));
    const { labels, figures } = maps('Ilse in the meadow');
    const [x, y] = figures[0].joints.hips;
    const at = Math.round(y) * 320 + Math.round(x);
    expect(isFigure(labels[at])).toBe(true);
    expect(depth[at]).toBeLessThan(40);
  });

  test('lines are where areas meet', () => {
    const { lines } = maps('Ilse in the harbour');
    const part = lines.filter((v) => v > 128).length / lines.length;
    expect(part).toBeGreaterThan(0.03);
    expect(part).toBeLessThan(0.45);
  });

  test('a figure lies in its box, and nothing of it outside', () => {
    const { labels, figures } = maps('Ilse in the kitchen, front view');
    const [x0, y0, x1, y1] = figures[0].box;
    let inside = 0;
    let outside = 0;
    labels.forEach((l, i) => {
      if (l !== REGION.skin && l !== REGION.hair && l !== REGION.garment) return;
      const [x, y] = [i % 320, Math.floor(i / 320)];
      if (x >= x0 && x <= x1 && y >= y0 && y <= y1) inside++;
      else outside++;
    });
    expect(inside).toBeGreaterThan(300);
    expect(outside).toBeLessThan(0.02 * inside);
  });
});

describe('composition', () => {
  test.each(['two children', 'Ilse, Tove and Marek', 'Ilse, Tove, Marek and Juna', 'two men and two women'])(
    '%s do not stand in each other',
    (who) => {
      for (const place of ['meadow', 'kitchen', 'market quay', 'pier']) {
        const boxes = composed(`${who}, ${place}`, SIZE)
          .figures.map((f) => f.joints)
          .sort((a, b) => a.neck[0] - b.neck[0]);
        for (let i = 1; i < boxes.length; i++)
          expect(boxes[i].neck[0] - boxes[i - 1].neck[0]).toBeGreaterThan(
            1.2 * composed(`${who}, ${place}`, SIZE).figures[0].head,
          );
      }
    },
  );

  test('everybody is wholly in the picture, in every place', () => {
    for (const place of ['meadow', 'forest', 'harbour', 'attic', 'stone bridge', 'beach', 'mountains', 'night sky'])
      for (const f of composed(`a tall man and a dog, ${place}`, SIZE).figures) {
        expect(f.box[0]).toBeGreaterThan(-4);
        expect(f.box[2]).toBeLessThan(324);
        expect(f.box[1]).toBeGreaterThan(0);
        expect(f.box[3]).toBeLessThan(244);
      }
  });

  test('nearer framings show a larger figure, in order', () => {
    const heads = ['wide view of Ilse', 'Ilse', 'half figure of Ilse', 'portrait of Ilse'].map(
      (p) => composed(`${p}, meadow`, SIZE).figures[0].head,
    );
    for (let i = 1; i < heads.length; i++) expect(heads[i]).toBeGreaterThan(1.3 * heads[i - 1]);
  });

  test('those who turn to each other look inwards', () => {
    const [a, b] = composed('Ilse and Marek, meadow', SIZE).figures;
    expect(a.yaw > 0 && b.yaw < 0).toBe(true);
  });

  test('a layout moves the horizon and the subject, by its share', () => {
    const sky = (at: number) =>
      maps('open sea', { hints: { horizon: { at, share: 1 } } }).labels.filter(
        (l) => l === REGION.sky || l === REGION.cloud,
      ).length;
    expect(sky(0.6)).toBeGreaterThan(1.4 * sky(0.34));
    const place = (share: number) => {
      const [f] = maps('Ilse in the meadow', { hints: { subject: { x: 0.85, y: 0.95, height: 0.8, share } } }).figures;
      return { x: f.joints.neck[0], head: f.head };
    };
    expect(place(1).x).toBeGreaterThan(place(0).x + 40);
    expect(place(1).head).toBeGreaterThan(place(0.5).head);
    expect(place(0.5).head).toBeGreaterThan(place(0).head);
  });

  test('an eye above sees more ground, one below more sky', () => {
    const sky = (words: string) =>
      maps(`the open sea ${words}`).labels.filter((l) => l === REGION.sky || l === REGION.cloud).length;
    expect(sky('from below')).toBeGreaterThan(sky(''));
    expect(sky('')).toBeGreaterThan(sky('from above'));
  });

  test('a house in the water stands on land, and leaves the mill in sight', () => {
    const { labels } = maps('a cottage in the salt marsh');
    const below: number[] = [];
    for (let x = 0; x < 320; x++) {
      let y = 239;
      while (y > 0 && labels[y * 320 + x] !== REGION.roof) y--;
      if (y < 40) continue;
      while (
        y < 239 &&
        [REGION.roof, REGION.building, REGION.wood, REGION.window, REGION.foliage].includes(
          labels[y * 320 + x] as never,
        )
      )
        y++;
      below.push(labels[y * 320 + x]);
    }
    expect(below.length).toBeGreaterThan(20);
    expect(below.filter((l) => l === REGION.ground).length).toBeGreaterThan(0.5 * below.length);
    const mill = (prompt: string) => maps(prompt).labels.filter((l) => l === REGION.building).length;
    expect(mill('the mill by the dyke, a cottage')).toBeGreaterThan(mill('the mill by the dyke'));
  });

  test('what is beside something on a table is on it too, and what is on a sill is at the window', () => {
    const foot = (prompt: string) => composed(prompt, SIZE).figures[0].box[3];
    expect(foot('a cat on the table beside a teapot, kitchen')).toBeLessThan(foot('a cat, kitchen') - 10);
    expect(foot('a cat on the window sill, kitchen')).toBeLessThan(0.62 * 240);
    const table = (prompt: string) =>
      maps(prompt).labels.reduce((most, l, i) => (l === REGION.prop ? Math.max(most, Math.floor(i / 320)) : most), 0);
    expect(table('a cup, a vase and a teapot on a table, beach')).toBeLessThan(table('a teapot, beach') - 5);
  });

  test('two sit on a log beside each other, and each on a chair of his own', () => {
    const sitters = (prompt: string) => composed(prompt, SIZE).figures.map((f) => f.joints.hips);
    const [a, b] = sitters('two friends sitting on a log, forest');
    expect(Math.abs(a[0] - b[0])).toBeGreaterThan(8);
    expect(Math.abs(a[1] - b[1])).toBeLessThan(6);
    const [king, queen] = sitters('a king and a queen sitting on thrones, meadow');
    expect(Math.abs(king[1] - queen[1])).toBeLessThan(8);
    expect(Math.abs(king[0] - queen[0])).toBeGreaterThan(12);
  });

  test('whoever sits on a bicycle sits behind its middle, on the saddle', () => {
    for (const seed of [1, 2, 3, 4, 5, 6]) {
      const { seen, figures } = paintStage(understand('a girl sitting on a bicycle, meadow'), { ...SIZE, seed });
      const [left, , right] = seen.items.find(({ what }) => what === 'bicycle')!.box!;
      // it stands with its front to the right
      expect((left + right) / 2 - figures[0].joints.hips[0]).toBeGreaterThan(0.06 * (right - left));
    }
  });

  test('a low sun does not stand behind a face', () => {
    const scene = composed('Ilse in the salt marsh at dusk', { width: 384, height: 256 });
    const [head] = [scene.figures[0].joints.head];
    expect(Math.hypot(scene.sun!.x - head[0], scene.sun!.y - head[1])).toBeGreaterThan(1.3 * scene.figures[0].head);
  });

  test('somebody who rows or poles is in a boat, wherever there is water', () => {
    for (const place of ['open sea', 'lighthouse', 'salt marsh', 'harbour', 'river']) {
      const { labels, figures } = maps(`a man rowing, ${place}`);
      expect(figures).toHaveLength(1);
      expect(labels.includes(REGION.boat)).toBe(true);
    }
    expect(maps('Ilse poling the punt past the lighthouse, Brom beside her').figures).toHaveLength(2);
  });

  test('light from behind and from lamps changes the picture', () => {
    const mean = (prompt: string) =>
      paintStage(understand(prompt), { ...SIZE, seed: 5 }).rgba.reduce((a, b) => a + b, 0);
    expect(mean('Ilse in the meadow, backlit')).not.toBe(mean('Ilse in the meadow'));
    expect(mean('kitchen at night, lamplight')).toBeGreaterThan(0.9 * mean('kitchen at night'));
  });
});

describe('spread', () => {
  const labels = (seed: number, spread: number) => maps('Ilse and a fox in the orchard', { seed, spread }).labels;
  const difference = (a: Uint8Array, b: Uint8Array) => a.filter((v, i) => v !== b[i]).length / a.length;

  test('0 gives the same composition for every seed, 1 a free one, and in between it grows', () => {
    const between = (spread: number) =>
      [1, 2, 3].reduce((sum, s) => sum + difference(labels(s, spread), labels(s + 10, spread)), 0) / 3;
    expect(between(0)).toBe(0);
    expect(between(1)).toBeGreaterThan(0.01);
    expect(between(0.3)).toBeLessThan(between(1));
    expect(between(0.3)).toBeGreaterThan(0);
  });

  test('its numbers stay in [0, 1)', () => {
    for (const spread of [0, 0.5, 1]) {
      const r = new SpreadRandom(7, spread);
      for (let i = 0; i < 500; i++) {
        const v = r.next();
        expect(v >= 0 && v < 1).toBe(true);
      }
    }
  });
});
