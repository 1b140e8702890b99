import { between, chanceOf, css, hsl, onCanvas, type ForeignFamily, type Rgb } from './family';

const W = 420;
const H = 300;
type V = readonly [number, number, number];

/** Boxes on a floor in perspective, each face one tone: a block-out of a set. */
export const solids: ForeignFamily = {
  name: 'solids',
  technique: 'boxes in central perspective, far ones first, a tone for each face',
  heldOut: false,
  make({ who: n, seed }) {
    const m = chanceOf(this.name, 'who', n);
    const tones = {
      floor: hsl(m.range(0, 360), 0.08, m.range(0.55, 0.8)),
      wall: hsl(m.range(0, 360), 0.1, m.range(0.65, 0.9)),
    };
    const palette = Array.from({ length: 3 }, () => hsl(m.range(0, 360), m.range(0.05, 0.5), m.range(0.4, 0.75)));
    const light = m.range(0.2, 0.8);
    const r = chanceOf(this.name, 'set', seed);
    const eye = r.range(1.2, 3.2);
    const focal = r.range(0.9, 1.4);
    const horizon = r.range(0.3, 0.5) * H;
    const project = ([x, y, z]: V): readonly [number, number] => [
      W / 2 + ((x * focal) / z) * W * 0.5,
      horizon + (((eye - y) * focal) / z) * W * 0.5,
    ];
    const boxes = Array.from({ length: r.integer(4, 9) }, () => ({
      ...{ x: r.range(-3.5, 3.5), z: r.range(4, 12), w: r.range(0.5, 1.8), d: r.range(0.5, 1.8), h: r.range(0.4, 3.4) },
      colour: r.pick(palette),
    })).sort((a, b) => b.z - a.z);
    const rgba = onCanvas(W, H, (g) => {
      const face = (points: readonly V[], colour: Rgb, shade: number) => {
        g.fillStyle = css(between([0, 0, 0], colour, shade));
        g.strokeStyle = css(between([0, 0, 0], colour, shade * 0.6), 0.6);
        g.beginPath();
        points.map(project).forEach(([x, y], k) => (k ? g.lineTo(x, y) : g.moveTo(x, y)));
        g.closePath();
        g.fill();
        g.stroke();
      };
      g.fillStyle = css(tones.wall);
      g.fillRect(0, 0, W, H);
      face(
        [
          [-20, 0, 1],
          [20, 0, 1],
          [20, 0, 14],
          [-20, 0, 14],
        ],
        tones.floor,
        1,
      );
      for (const { x, z, w, d, h, colour } of boxes) {
        face(
          [
            [x - w, 0, z],
            [x + w + h * light, 0, z + 0.4],
            [x + w + h * light, 0, z + d],
            [x - w, 0, z + d],
          ],
          tones.floor,
          0.72,
        );
        const side = x > 0 ? x - w : x + w;
        face(
          [
            [side, 0, z],
            [side, 0, z + d],
            [side, h, z + d],
            [side, h, z],
          ],
          colour,
          x > 0 === light > 0.5 ? 0.95 : 0.55,
        );
        if (h < eye)
          face(
            [
              [x - w, h, z],
              [x + w, h, z],
              [x + w, h, z + d],
              [x - w, h, z + d],
            ],
            colour,
            1.15,
          );
        face(
          [
            [x - w, 0, z],
            [x + w, 0, z],
            [x + w, h, z],
            [x - w, h, z],
          ],
          colour,
          0.8,
        );
      }
    });
    return {
      name: `${this.name} ${n}.${seed}`,
      width: W,
      height: H,
      rgba,
      truth: { kind: 'scene', people: 0, ground: 'busy' },
    };
  },
};
