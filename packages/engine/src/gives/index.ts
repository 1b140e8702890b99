import type { Gives } from '@urbild/core';
import type { GiveAction } from './action';
import { character } from './character';
import { everything } from './everything';
import { face } from './face';
import { layout } from './layout';
import { light } from './light';
import { look } from './look';
import { outfit } from './outfit';
import { palette } from './palette';
import { place } from './place';
import { pose } from './pose';
import { shape } from './shape';
import { thing } from './thing';

/** How each give acts. */
export const ACTIONS: Readonly<Record<Gives, GiveAction>> = {
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
};
