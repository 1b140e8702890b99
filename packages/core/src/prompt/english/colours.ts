import type { Lch } from '../../colour/oklch';
import type { Lines } from './words';

/** Names of colours. */
export const COLOUR_WORDS: Lines = {
  red: ['red', 'crimson', 'cherry red', 'ruby', 'vermilion'],
  scarlet: ['scarlet', 'poppy red'],
  orange: ['orange', 'tangerine', 'apricot'],
  rust: ['rust', 'rust-red', 'rusty', 'terracotta', 'copper', 'ginger', 'auburn', 'chestnut'],
  yellow: ['yellow', 'lemon yellow', 'canary'],
  mustard: ['mustard', 'ochre', 'amber', 'mustard-yellow'],
  gold: ['gold', 'golden'],
  green: ['green', 'leaf green', 'emerald', 'grass green'],
  olive: ['olive', 'moss green', 'mossy', 'khaki'],
  mint: ['mint', 'sea green', 'seafoam'],
  teal: ['teal', 'petrol', 'turquoise', 'cyan', 'aqua'],
  blue: ['blue', 'cobalt', 'azure', 'sky blue', 'ultramarine'],
  navy: ['navy', 'navy blue', 'dark blue', 'midnight blue', 'indigo'],
  purple: ['purple', 'violet', 'plum-coloured', 'mauve'],
  lilac: ['lilac', 'lavender'],
  pink: ['pink', 'rose', 'rosy', 'salmon pink', 'magenta'],
  brown: ['brown', 'chocolate', 'tawny', 'hazel'],
  beige: ['beige', 'cream', 'sand-coloured', 'ivory', 'straw-coloured', 'tan-coloured'],
  white: ['white', 'snow-white', 'chalk white'],
  grey: ['grey', 'gray', 'silver', 'ash', 'silvery'],
  black: ['black', 'jet black', 'ebony', 'coal black', 'dark'],
  blond: ['straw blond'],
};

/** The usual colour for each name, OKLCH. */
export const COLOUR_VALUES: Readonly<Record<string, Lch>> = {
  red: [0.55, 0.185, 27],
  scarlet: [0.6, 0.2, 32],
  orange: [0.7, 0.16, 55],
  rust: [0.55, 0.13, 42],
  yellow: [0.85, 0.155, 95],
  mustard: [0.74, 0.14, 82],
  gold: [0.78, 0.14, 85],
  green: [0.56, 0.13, 145],
  olive: [0.54, 0.09, 118],
  mint: [0.8, 0.09, 165],
  teal: [0.56, 0.095, 200],
  blue: [0.54, 0.13, 250],
  navy: [0.34, 0.075, 262],
  purple: [0.46, 0.14, 305],
  lilac: [0.76, 0.085, 300],
  pink: [0.77, 0.115, 5],
  brown: [0.43, 0.075, 52],
  beige: [0.86, 0.045, 82],
  white: [0.945, 0.012, 90],
  grey: [0.62, 0.012, 255],
  black: [0.235, 0.015, 270],
  blond: [0.8, 0.105, 88],
};

/** Words that change a colour: lightness, and chroma times. */
export const SHADE_WORDS: Lines = {
  light: ['light', 'pale', 'pastel-coloured', 'faded'],
  deep: ['deep', 'dark-coloured', 'rich'],
  bright: ['bright', 'vivid', 'brilliant', 'colourful', 'colorful'],
};

/** Patterns of cloth. */
export const PATTERN_WORDS: Lines = {
  stripes: ['striped', 'stripe', 'stripy'],
  dots: ['dotted', 'spotted', 'polka-dot', 'polka dot', 'dot', 'spot', 'speckled'],
  checks: ['checked', 'chequered', 'checkered', 'tartan', 'plaid', 'check'],
  flowers: ['flowered', 'flowery', 'floral', 'flower-patterned'],
  patches: ['patched', 'ragged', 'patchwork', 'tattered'],
};
