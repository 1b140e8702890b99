import type { Lab } from '../colour/oklab';
import { labToLch, lchToLab } from '../colour/oklch';
import { COLOUR_VALUES } from '../prompt/english/colours';

const NAMED = Object.entries(COLOUR_VALUES)
  .filter(([name]) => name !== 'blond' && name !== 'scarlet' && name !== 'gold')
  .map(([name, lch]) => ({ name, lab: lchToLab(lch) }));

/** Names of colours that are darker mean dark ones, as navy does. */
const DARK = 0.42;

/**
 * What a colour is called: one of the names that prompts understand, with "dark", "light" or "pale" where it is far from the
 * usual one.
 */
export function colourName(lab: Lab): string {
  const [L, C] = labToLch(lab);
  if (C < 0.022)
    return L > 0.9 ? 'white' : L < 0.26 ? 'black' : L > 0.72 ? 'light grey' : L < 0.42 ? 'dark grey' : 'grey';
  let best = NAMED[0];
  let least = Infinity;
  for (const n of NAMED) {
    // a name that means a dark colour is none for a light one
    if (n.lab[0] < DARK && L - n.lab[0] > 0.14) continue;
    const d = Math.hypot(0.55 * (n.lab[0] - lab[0]), 1.8 * (n.lab[1] - lab[1]), 1.8 * (n.lab[2] - lab[2]));
    if (d < least) {
      least = d;
      best = n;
    }
  }
  const dL = L - best.lab[0];
  return dL < -0.16 ? `dark ${best.name}` : dL > 0.14 ? `${C < 0.06 ? 'pale' : 'light'} ${best.name}` : best.name;
}
