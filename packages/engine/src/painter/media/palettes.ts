import { colourDistance, COLOUR_VALUES, mixLch, type Lch, type Medium, type NamedColour } from '@urbild/core';

/** The colours of a medium: what it is made on, its darkest ink, one between, one for accents, and a tone over everything. */
export interface MediumPalette {
  readonly paper: Lch;
  readonly key: Lch;
  readonly middle: Lch;
  readonly accent?: Lch;
  /** A stain over the whole picture, for media in full colour. */
  readonly tone?: Lch;
  /** Parts of the picture that are printed in the key and in the middle ink, 0..1; about a third each when absent. */
  readonly parts?: readonly [key: number, middle: number];
  /** The picture runs over the edge: no border of bare paper or cloth. */
  readonly bleed?: boolean;
}

const WHITE: Lch = [0.965, 0.018, 85];
const CREAM: Lch = [0.955, 0.025, 88];
const DARK: Lch = [0.22, 0.03, 260];
const plain = (paper: Lch, key = DARK): MediumPalette => ({ paper, key, middle: mixLch(paper, key, 0.45) });
const toned = (tone: Lch): MediumPalette => ({ ...plain(WHITE), tone });
const FULL = {
  plain: plain(WHITE),
  warm: toned([0.72, 0.11, 65]),
  cool: toned([0.66, 0.08, 240]),
  faded: toned([0.8, 0.03, 90]),
};

/** The palettes of every medium by name; the first one is the usual. */
export const PALETTES: Readonly<Record<Medium, Readonly<Record<string, MediumPalette>>>> = {
  gouache: FULL,
  'paper-cut': FULL,
  impasto: FULL,
  'ink wash': { black: plain(WHITE), sepia: plain(WHITE, [0.3, 0.06, 55]), blue: plain(WHITE, [0.3, 0.1, 262]) },
  linocut: {
    blue: { paper: CREAM, middle: [0.66, 0.09, 225], key: [0.25, 0.055, 262], accent: [0.62, 0.17, 35] },
    green: { paper: CREAM, middle: [0.74, 0.05, 150], key: [0.28, 0.06, 170], accent: [0.6, 0.17, 30] },
    red: { paper: [0.95, 0.03, 80], middle: [0.62, 0.16, 32], key: [0.24, 0.04, 30] },
  },
  pastel: { dusk: plain([0.4, 0.045, 275]), sand: plain([0.72, 0.05, 75]), night: plain([0.26, 0.03, 270]) },
  woodblock: { indigo: plain([0.94, 0.03, 88], [0.26, 0.05, 265]), brown: plain([0.93, 0.035, 80], [0.3, 0.06, 45]) },
  embroidery: { linen: plain([0.88, 0.03, 82], [0.3, 0.04, 60]), navy: plain([0.3, 0.05, 262], [0.2, 0.04, 262]) },
  cyanotype: {
    blue: { paper: [0.96, 0.015, 100], middle: [0.62, 0.1, 240], key: [0.24, 0.1, 262] },
    brown: { paper: [0.95, 0.02, 85], middle: [0.62, 0.08, 62], key: [0.25, 0.05, 45] },
    green: { paper: [0.95, 0.02, 110], middle: [0.6, 0.08, 165], key: [0.25, 0.06, 170] },
  },
  'screen print': {
    teal: { paper: [0.96, 0.018, 92], middle: [0.66, 0.18, 30], key: [0.46, 0.09, 205] },
    navy: { paper: [0.95, 0.025, 88], middle: [0.79, 0.15, 85], key: [0.33, 0.09, 265] },
    plum: { paper: [0.96, 0.015, 80], middle: [0.76, 0.11, 160], key: [0.38, 0.12, 335] },
  },
  charcoal: {
    black: plain([0.93, 0.016, 85], [0.19, 0.01, 60]),
    sanguine: plain([0.9, 0.03, 80], [0.42, 0.12, 35]),
    white: plain([0.3, 0.02, 250], [0.95, 0.01, 90]),
  },
  pencil: {
    graphite: plain([0.96, 0.012, 90], [0.36, 0.012, 260]),
    brown: plain([0.95, 0.025, 85], [0.4, 0.07, 50]),
    blue: plain([0.965, 0.01, 240], [0.42, 0.11, 262]),
  },
  'stained glass': {
    lead: plain([0.12, 0.01, 260], [0.13, 0.012, 260]),
    gold: plain([0.3, 0.05, 75], [0.4, 0.07, 78]),
  },
};

/**
 * The palette of a medium: the one of that name, or the nearest to the colours that the words name with the medium, or the
 * usual one.
 */
export function paletteFor(medium: Medium, name?: string, inks: readonly NamedColour[] = []): MediumPalette {
  const known = PALETTES[medium];
  const [usual] = Object.values(known);
  if (name && known[name]) return known[name];
  if (!inks.length) return usual;
  if (medium === 'screen print' || medium === 'linocut') {
    const [first, second] = inks.map((i) => i.lch);
    if (medium === 'screen print') return { ...usual, key: deep(first), middle: second ?? usual.middle };
    return {
      paper: usual.paper,
      key: second ? deep(second) : deep(mixLch(first, COLOUR_VALUES.black, 0.55)),
      middle: first,
    };
  }
  const distance = (p: MediumPalette) => colourDistance(p.tone ?? p.key, inks[0].lch);
  return Object.values(known).reduce((best, p) => (distance(p) < distance(best) ? p : best));
}

const deep = ([L, C, h]: Lch): Lch => [Math.min(L, 0.5), C, h];
