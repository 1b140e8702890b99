import { character } from './character';
import { everything } from './everything';
import { face } from './face';
import type { Give } from './give';
import { layout } from './layout';
import { light } from './light';
import { look } from './look';
import { outfit } from './outfit';
import { palette } from './palette';
import { place } from './place';
import { pose } from './pose';
import { shape } from './shape';
import { thing } from './thing';

const DECLARED = {
  everything,
  look,
  palette,
  light,
  layout,
  shape,
  pose,
  place,
  thing,
  character,
  face,
  outfit,
} as const;

/** What an influence carries over from its reference. */
export type Gives = keyof typeof DECLARED;
/** Every give, in the order in which they are offered. */
export const GIVES = Object.keys(DECLARED) as readonly Gives[];
/** What is declared of a give. */
export const give = (gives: Gives): Give => DECLARED[gives];
