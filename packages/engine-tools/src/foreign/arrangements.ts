import { computed, drawn, line, specks, type ForeignPicture } from './sheet';

/** A photograph-like view of hills in haze, every pixel computed from noise. */
export const photographedHills = (w = 480, h = 360): ForeignPicture =>
  computed('photographed hills', w, h, (u, v, noise, random) => {
    let [r, g, b] = [190 + 40 * (1 - v), 205 + 25 * (1 - v), 225];
    for (let k = 0; k < 4; k++) {
      const edge = 0.36 + 0.14 * k + 0.08 * noise.fractal(u * (2 + k), k * 7.3, 4);
      if (v <= edge) continue;
      const leaf = 26 * noise.fractal(u * 34, v * 34 + k, 3);
      [r, g, b] = [150 - 34 * k + leaf, 168 - 28 * k + leaf, 150 - 38 * k + 0.5 * leaf];
    }
    const grain = 7 * random.bell();
    return [r + grain, g + grain, b + grain];
  });

/** A photograph-like evening: a low sun, a dark ridge, its light on water. */
export const photographedEvening = (w = 480, h = 360): ForeignPicture =>
  computed('photographed evening', w, h, (u, v, noise, random) => {
    const sun = Math.exp(-(((u - 0.3) / 0.05) ** 2) - ((v - 0.42) / 0.06) ** 2);
    const ridge = 0.5 - 0.05 * noise.fractal(u * 6, 2, 3);
    const grain = 6 * random.bell();
    if (v > ridge && v < 0.58) return [42 + grain, 30 + grain, 44 + grain];
    const glitter = v >= 0.58 ? 70 * Math.max(0, noise.at(u * 60, v * 120)) * Math.exp(-(((u - 0.3) / 0.12) ** 2)) : 0;
    const low = v < 0.5 ? v / 0.5 : (1 - v) / 0.5;
    return [
      120 + 125 * low + 60 * sun + glitter + grain,
      70 + 80 * low + 90 * sun + glitter * 0.7 + grain,
      90 + 10 * low + 60 * sun + glitter * 0.3 + grain,
    ];
  });

/** Scanned drawing paper with a faint wash: next to no arrangement at all. */
export const scannedPaper = (w = 400, h = 300): ForeignPicture =>
  computed('scanned paper', w, h, (u, v, noise, random) => {
    const fibre = 7 * noise.fractal(u * 90, v * 90, 3) + 4 * random.bell();
    const wash = 30 * Math.max(0, noise.fractal(u * 3, v * 3, 3));
    return [236 + fibre - wash, 228 + fibre - 0.8 * wash, 208 + fibre - 0.2 * wash];
  });

/** A smooth passage from rose to deep blue. */
export const gradient = (w = 360, h = 360): ForeignPicture =>
  computed('gradient', w, h, (u, v) => [230 - 190 * v, 150 - 90 * v + 20 * u, 150 + 10 * v]);

/** A child's felt-pen boat: flat colours, thick wobbling lines, much white. */
export const feltPenBoat = (w = 480, h = 360): ForeignPicture =>
  drawn('felt pen boat', w, h, '#fdfcf7', (d) => {
    const { g, random } = d;
    const scribble = (x0: number, y0: number, x1: number, y1: number, colour: string) => {
      g.strokeStyle = colour;
      g.lineWidth = 9;
      for (let y = y0; y < y1; y += 8) {
        line(d, [
          [x0 + 8 * random.next(), y + 5 * random.next()],
          [x1 - 8 * random.next(), y + 5 * random.next()],
        ]);
        g.stroke();
      }
    };
    scribble(0, h * 0.66, w, h, '#2f7fd0');
    g.fillStyle = '#d8342c';
    line(
      d,
      [
        [w * 0.26, h * 0.58],
        [w * 0.72, h * 0.57],
        [w * 0.63, h * 0.74],
        [w * 0.35, h * 0.74],
      ],
      true,
    );
    g.fill();
    g.strokeStyle = '#1b1a1a';
    g.lineWidth = 7;
    g.stroke();
    line(d, [
      [w * 0.48, h * 0.57],
      [w * 0.48, h * 0.16],
    ]);
    g.stroke();
    g.fillStyle = '#f3c623';
    line(
      d,
      [
        [w * 0.5, h * 0.18],
        [w * 0.68, h * 0.5],
        [w * 0.5, h * 0.5],
      ],
      true,
    );
    g.fill();
    g.stroke();
    g.fillStyle = '#f3a019';
    g.beginPath();
    g.arc(w * 0.14, h * 0.17, 30, 0, 7);
    g.fill();
  });

/** A pencil sketch of a room: a corner, a window, a table. */
export const pencilRoom = (w = 480, h = 360): ForeignPicture =>
  drawn('pencil room', w, h, '#f6f4ee', (d) => {
    const { g, random } = d;
    g.strokeStyle = '#55534f';
    const stroke = (...points: [number, number][]) => {
      for (let k = 0; k < 2; k++) {
        g.globalAlpha = 0.75;
        g.lineWidth = 1.6;
        line(
          d,
          points.map(([x, y]) => [x * w + 2.5 * random.bell(), y * h + 2.5 * random.bell()] as const),
        );
        g.stroke();
      }
    };
    stroke([0.3, 0], [0.3, 0.62], [1, 0.62]);
    stroke([0.3, 0.62], [0, 0.9]);
    stroke([0.55, 0.12], [0.8, 0.12], [0.8, 0.42], [0.55, 0.42], [0.55, 0.12]);
    stroke([0.675, 0.12], [0.675, 0.42]);
    stroke([0.42, 0.68], [0.78, 0.68], [0.86, 0.78], [0.36, 0.78], [0.42, 0.68]);
    stroke([0.38, 0.78], [0.38, 0.97]);
    stroke([0.84, 0.78], [0.84, 0.97]);
    for (let i = 0; i < 60; i++) {
      const x = 0.02 + 0.26 * random.next();
      const y = 0.1 + 0.6 * random.next();
      g.globalAlpha = 0.35;
      line(d, [
        [x * w, y * h],
        [x * w + 22, y * h - 26],
      ]);
      g.stroke();
    }
    g.globalAlpha = 0.25;
    specks(d, 1500, 1.2, '#8c887f');
  });

/** Cones and slabs of a 3D block-out in even greys. */
export const blockOut = (w = 480, h = 360): ForeignPicture =>
  drawn('block-out', w, h, '#b9bcc0', (d) => {
    const { g } = d;
    g.fillStyle = '#8e9196';
    g.fillRect(0, h * 0.6, w, h * 0.4);
    const slab = (x: number, y: number, sw: number, sh: number) => {
      g.fillStyle = '#d9dbde';
      g.fillRect(x * w, y * h, sw * w, sh * h);
      g.fillStyle = '#5f6267';
      line(
        d,
        [
          [(x + sw) * w, y * h],
          [(x + sw + 0.05) * w, (y - 0.05) * h],
          [(x + sw + 0.05) * w, (y + sh - 0.05) * h],
          [(x + sw) * w, (y + sh) * h],
        ],
        true,
      );
      g.fill();
    };
    slab(0.06, 0.28, 0.18, 0.46);
    slab(0.7, 0.4, 0.2, 0.3);
    const cone = g.createLinearGradient(w * 0.36, 0, w * 0.58, 0);
    cone.addColorStop(0, '#eceef0');
    cone.addColorStop(1, '#4b4e53');
    g.fillStyle = cone;
    line(
      d,
      [
        [w * 0.47, h * 0.18],
        [w * 0.58, h * 0.8],
        [w * 0.36, h * 0.8],
      ],
      true,
    );
    g.fill();
  });

/** A plan in five flat colours, as one lays it out in felt. */
export const feltPlan = (w = 480, h = 360): ForeignPicture =>
  drawn('felt plan', w, h, '#8fc9ea', (d) => {
    const { g } = d;
    g.fillStyle = '#2d6a3c';
    g.fillRect(0, h * 0.52, w, h * 0.48);
    g.fillStyle = '#caa35a';
    line(
      d,
      [
        [w * 0.44, h * 0.52],
        [w * 0.54, h * 0.52],
        [w * 0.86, h],
        [w * 0.24, h],
      ],
      true,
    );
    g.fill();
    g.fillStyle = '#7b2f2a';
    g.fillRect(w * 0.66, h * 0.26, w * 0.24, h * 0.34);
    g.fillStyle = '#1f3b57';
    g.beginPath();
    g.arc(w * 0.2, h * 0.4, h * 0.18, 0, 7);
    g.fill();
  });

/** A fat letter with a dot: black on white, as a sign. */
export const signShape = (w = 400, h = 400): ForeignPicture =>
  drawn('sign', w, h, '#ffffff', ({ g }) => {
    g.fillStyle = '#000000';
    g.fillRect(w * 0.28, h * 0.16, w * 0.16, h * 0.68);
    g.fillRect(w * 0.28, h * 0.16, w * 0.44, h * 0.16);
    g.fillRect(w * 0.28, h * 0.44, w * 0.34, h * 0.14);
    g.beginPath();
    g.arc(w * 0.7, h * 0.76, w * 0.09, 0, 7);
    g.fill();
  });
