import { drawn, line, specks, type Desk, type ForeignPicture } from './sheet';

const SIDE = 512;

/** Brushed ink on rice paper: mountains, firs, a red sun. */
export const brushedInk = (): ForeignPicture =>
  drawn('brushed ink', SIDE, SIDE, '#e9e2d2', (d) => {
    const { g, w, h, random, noise } = d;
    for (let k = 0; k < 4; k++) {
      const base = h * (0.3 + 0.13 * k);
      const points: [number, number][] = [[0, h]];
      for (let x = 0; x <= w; x += 6) points.push([x, base - 90 * noise.fractal(x / 110 + 9 * k, k, 4)]);
      points.push([w, h]);
      g.globalAlpha = 0.14 + 0.1 * k;
      g.fillStyle = '#3a3936';
      line(d, points, true);
      g.fill();
      g.globalAlpha = 0.5;
      g.strokeStyle = '#23221f';
      g.lineWidth = 1 + 0.7 * k;
      line(d, points.slice(1, -1));
      g.stroke();
    }
    g.globalAlpha = 1;
    g.fillStyle = '#b5402c';
    g.beginPath();
    g.arc(w * 0.74, h * 0.19, 34, 0, 7);
    g.fill();
    for (let i = 0; i < 9; i++) {
      const x = w * (0.05 + 0.3 * random.next());
      const y = h * (0.86 + 0.1 * random.next());
      const tall = 90 + 80 * random.next();
      g.strokeStyle = '#1d1c1a';
      for (let s = 0; s < 14; s++) {
        const at = y - (tall * s) / 14;
        const reach = (1 - s / 15) * 26;
        g.lineWidth = 1.5 + 2.5 * random.next();
        line(d, [
          [x - reach * random.next(), at + 9],
          [x, at],
          [x + reach * random.next(), at + 9],
        ]);
        g.stroke();
      }
    }
    g.globalAlpha = 0.3;
    specks(d, 5000, 1.6, '#55504a');
  });

/** Two inks cut in a block: a radiant sun over furrows. */
export const cutSun = (): ForeignPicture =>
  drawn('cut sun', SIDE, SIDE, '#16233f', (d) => {
    const { g, w, h, random } = d;
    g.strokeStyle = '#efe6d0';
    const [sx, sy] = [w * 0.36, h * 0.27];
    for (let i = 0; i < 900; i++) {
      const angle = random.next() * 7;
      const from = 84 + random.next() * 330;
      const length = 8 + random.next() * 16;
      const [c, s] = [Math.cos(angle), Math.sin(angle)];
      if (sy + s * (from + length) > h * 0.62) continue;
      g.lineWidth = 1 + random.next() * 2.2;
      line(d, [
        [sx + c * from, sy + s * from],
        [sx + c * (from + length), sy + s * (from + length)],
      ]);
      g.stroke();
    }
    g.fillStyle = '#d9692f';
    g.beginPath();
    g.arc(sx, sy, 70, 0, 7);
    g.fill();
    g.fillRect(0, h * 0.64, w, h * 0.36);
    g.strokeStyle = '#16233f';
    for (let i = -16; i < 17; i++) {
      g.lineWidth = 2 + Math.abs(i) * 0.25;
      line(d, [
        [w / 2 + i * 10, h * 0.64],
        [w / 2 + i * 62, h],
      ]);
      g.stroke();
    }
    g.strokeStyle = '#efe6d0';
    for (let i = 0; i < 420; i++) {
      const y = h * (0.65 + 0.35 * random.next());
      const x = random.next() * w;
      g.lineWidth = 0.8 + random.next() * 1.6;
      line(d, [
        [x, y],
        [x + (x - w / 2) * 0.06, y + 10 + random.next() * 8],
      ]);
      g.stroke();
    }
  });

const dabs = ({ g, random }: Desk, count: number, colours: readonly string[], box: readonly number[], long: number) => {
  const [x0, y0, x1, y1] = box;
  for (let i = 0; i < count; i++) {
    g.strokeStyle = colours[Math.floor(random.next() * colours.length)];
    g.lineWidth = 3 + random.next() * 5;
    const [x, y] = [x0 + random.next() * (x1 - x0), y0 + random.next() * (y1 - y0)];
    const turn = (random.next() - 0.5) * 0.7;
    g.beginPath();
    g.moveTo(x, y);
    g.lineTo(x + Math.cos(turn) * long, y + Math.sin(turn) * long);
    g.stroke();
  }
};

/** Thick opaque paint in happy colours: fields, a red roof, clouds. */
export const happyFields = (): ForeignPicture =>
  drawn('happy fields', SIDE, SIDE, '#8fc1cf', (d) => {
    const { g, w, h, noise } = d;
    dabs(d, 900, ['#7fb9cc', '#97c9d2', '#86bfd0', '#a9d2d4'], [0, 0, w, h * 0.45], 26);
    for (const [y, colours] of [
      [0.4, ['#5b86a0', '#6b93a6']],
      [0.5, ['#4d8a4a', '#5f9a4f', '#437a45']],
      [0.62, ['#e2b93b', '#d7a62e', '#ecc95a']],
      [0.78, ['#3f7f3d', '#4f9142', '#66a24b']],
    ] as const) {
      for (let x = 0; x < w; x += 4) {
        const top = h * y - 34 * noise.fractal(x / 90 + y * 40, y, 3);
        g.fillStyle = colours[0];
        g.fillRect(x, top, 5, h - top);
      }
      dabs(d, 500, colours, [0, h * y + 6, w, h * (y + 0.2)], 20);
    }
    g.fillStyle = '#fdfaf0';
    for (const [x, y] of [
      [0.25, 0.12],
      [0.31, 0.1],
      [0.37, 0.13],
      [0.72, 0.17],
      [0.78, 0.15],
    ]) {
      g.beginPath();
      g.ellipse(w * x, h * y, 34, 16, 0, 0, 7);
      g.fill();
    }
    g.fillStyle = '#f6efdd';
    g.fillRect(w * 0.56, h * 0.43, 54, 40);
    g.fillStyle = '#d5483a';
    line(
      d,
      [
        [w * 0.54, h * 0.43],
        [w * 0.61, h * 0.36],
        [w * 0.69, h * 0.43],
      ],
      true,
    );
    g.fill();
    dabs(d, 130, ['#d8443c', '#f4f0e4', '#e7a13d', '#d86a8f'], [0, h * 0.86, w, h], 3);
  });

/** Dry pastel in violet and rose: a low moon over water. */
export const violetPastel = (): ForeignPicture =>
  drawn('violet pastel', SIDE, SIDE, '#4b3a63', (d) => {
    const { g, w, h, random } = d;
    for (let i = 0; i < 26000; i++) {
      const y = random.next() * h;
      const x = random.next() * w;
      const v = y / h;
      const ridge = v > 0.46 + 0.06 * Math.sin(x / 47) + 0.03 * Math.sin(x / 17) && v < 0.64;
      const moon = Math.hypot(x - w * 0.6, y - h * 0.3) < 42;
      const path = v > 0.64 && Math.abs(x - w * 0.6) < 24 + 60 * (v - 0.64) && random.next() < 0.6;
      const tone = random.next();
      g.fillStyle =
        moon || path
          ? tone < 0.5
            ? '#f3dfa8'
            : '#e9c58d'
          : ridge
            ? tone < 0.6
              ? '#40305c'
              : '#55407a'
            : v < 0.5
              ? tone < 0.4 + v
                ? '#b9698f'
                : '#8a5aa0'
              : tone < 0.5
                ? '#6a4f96'
                : '#7f4f86';
      g.fillRect(x, y, 1.5 + 2.5 * tone, 1.2 + tone);
    }
  });

/** Leaded panes in bright glass. */
export const leadedPanes = (): ForeignPicture =>
  drawn('leaded panes', SIDE, SIDE, '#17141c', (d) => {
    const { g, w, h, random } = d;
    const cells = 13;
    const at = (i: number, j: number): [number, number] => [
      ((i + 0.55 * Math.sin(i * 12.9 + j * 78.2)) * w) / cells,
      ((j + 0.55 * Math.sin(i * 39.3 + j * 11.1)) * h) / cells,
    ];
    const rings = ['#f0c22f', '#d93a34', '#2d6fc0', '#1f9aa0', '#5f3fa0', '#2b4fa8'];
    for (let i = -1; i <= cells; i++)
      for (let j = -1; j <= cells; j++) {
        const r = Math.hypot(i - cells / 2, j - cells / 2.6) / cells;
        g.fillStyle = rings[Math.min(5, Math.floor(r * 7 + random.next() * 1.4))];
        line(d, [at(i, j), at(i + 1, j), at(i + 1, j + 1), at(i, j + 1)], true);
        g.fill();
        g.strokeStyle = '#17141c';
        g.lineWidth = 6;
        g.stroke();
      }
    g.globalAlpha = 0.16;
    specks(d, 6000, 2, '#ffffff');
    specks(d, 6000, 2, '#000000');
  });

/** Two inks in flat grain: a poster of hills, coral and bottle green on cream. */
export const twoInkPoster = (): ForeignPicture =>
  drawn('two ink poster', SIDE, SIDE, '#f4ead6', (d) => {
    const { g, w, h, random } = d;
    g.fillStyle = '#e9735a';
    g.beginPath();
    g.arc(w * 0.68, h * 0.3, 62, 0, 7);
    g.fill();
    for (let k = 0; k < 3; k++) {
      const top = (x: number) => h * (0.48 + 0.16 * k) + 34 * Math.sin(x / (70 + 25 * k) + k * 2);
      for (let i = 0; i < 16000; i++) {
        const x = random.next() * w;
        const y = top(x) + random.next() ** 1.6 * 150;
        g.fillStyle = k === 1 ? '#e9735a' : '#1f4b45';
        if (y < h) g.fillRect(x, y, 1.7, 1.7);
      }
    }
    g.fillStyle = '#1f4b45';
    for (let i = 0; i < 7; i++) {
      const x = w * (0.08 + 0.13 * i);
      const y = h * (0.86 + 0.06 * Math.sin(i * 5));
      line(
        d,
        [
          [x - 20, y],
          [x, y - 92],
          [x + 20, y],
        ],
        true,
      );
      g.fill();
    }
  });

/** Six looks that are not our painter's. */
export const foreignLooks = (): ForeignPicture[] => [
  brushedInk(),
  cutSun(),
  happyFields(),
  violetPastel(),
  leadedPanes(),
  twoInkPoster(),
];
