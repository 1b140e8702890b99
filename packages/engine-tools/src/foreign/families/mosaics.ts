import { between, chanceOf, css, hsl, onCanvas, type ForeignFamily, type Rgb } from './family';

const W = 400;
const H = 300;

/** Fish and suns of small stones with grout between them. */
export const mosaics: ForeignFamily = {
  name: 'mosaics',
  technique: 'jittered four-sided stones along rows, each of one tone, with grout between',
  heldOut: true,
  make({ who: n, seed }) {
    const m = chanceOf(this.name, 'who', n);
    const stones = {
      ground: hsl(m.range(0, 360), 0.3, m.range(0.5, 0.85)),
      fish: hsl(m.range(0, 360), 0.6, m.range(0.3, 0.6)),
      band: hsl(m.range(0, 360), 0.5, m.range(0.3, 0.7)),
    };
    const grout = hsl(35, 0.15, m.range(0.2, 0.85));
    const size = m.range(7, 12);
    const r = chanceOf(this.name, 'floor', seed);
    const fish = Array.from({ length: r.integer(1, 4) }, () => ({
      x: r.range(80, W - 80),
      y: r.range(60, H - 60),
      s: r.range(36, 70),
      f: r.chance(0.5) ? 1 : -1,
    }));
    const colourAt = (x: number, y: number): Rgb => {
      if (Math.min(x, y, W - x, H - y) < 24) return Math.floor((x + y) / 26) % 2 ? stones.band : stones.ground;
      for (const { x: fx, y: fy, s, f } of fish) {
        const [u, v] = [((x - fx) / s) * f, (y - fy) / s];
        if (Math.hypot(u - 0.55, v + 0.08) < 0.07) return [20, 20, 25];
        if (Math.hypot(u, v * 2.2) < 1) return v > 0.12 ? between(stones.fish, [255, 255, 255], 0.5) : stones.fish;
        if (u < -0.85 && u > -1.5 && Math.abs(v) < (-u - 0.75) * 0.7) return stones.band;
      }
      return stones.ground;
    };
    const rgba = onCanvas(W, H, (g) => {
      g.fillStyle = css(grout);
      g.fillRect(0, 0, W, H);
      for (let y = 0; y < H + size; y += size)
        for (let x = ((y / size) % 2) * size * 0.5 - size; x < W + size; x += size) {
          const sway = Math.sin(x / 60 + seed) * 4;
          const corner = (dx: number, dy: number) =>
            [x + dx * (size - 1.6) + r.range(-0.9, 0.9), y + sway + dy * (size - 1.6) + r.range(-0.9, 0.9)] as const;
          const tone = r.range(-0.16, 0.16);
          g.fillStyle = css(
            between(
              colourAt(x + size / 2, y + sway + size / 2),
              tone > 0 ? [255, 255, 255] : [0, 0, 0],
              Math.abs(tone),
            ),
          );
          g.beginPath();
          [corner(0, 0), corner(1, 0), corner(1, 1), corner(0, 1)].forEach(([px, py], k) =>
            k ? g.lineTo(px, py) : g.moveTo(px, py),
          );
          g.closePath();
          g.fill();
        }
    });
    return {
      name: `${this.name} ${n}.${seed}`,
      width: W,
      height: H,
      rgba,
      truth: { kind: 'thing', people: 0, ground: 'plain' },
    };
  },
};
