/** The colours of theme.css that charts and canvases draw with; there they are custom properties, "--color-style" and so on. */
export type ThemeColour =
  'style' | 'character' | 'face' | 'image' | 'words' | 'cinnabar' | 'line' | 'shade' | 'ink' | 'muted' | 'card';

/** By day, as in theme.css: what is drawn with where no style sheet is. */
const BY_DAY: Readonly<Record<ThemeColour, string>> = {
  style: '#3447a8',
  character: '#a06a12',
  face: '#b23f63',
  image: '#2c7d73',
  words: '#3a3733',
  cinnabar: '#bf3d27',
  line: '#d9d2c4',
  shade: '#ece7dc',
  ink: '#24211d',
  muted: '#655e54',
  card: '#fffdf8',
};

/** A colour of the theme as hexadecimal digits, in the light that is on now: for canvases, which do not know custom properties. */
export const paintOf = (colour: ThemeColour): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--color-${colour}`).trim() || BY_DAY[colour];
