import type { FieldsOf } from '../setting';
import { except } from './except';
import { fill } from './fill';
import { gives } from './gives';
import { motif } from './motif';
import { on } from './on';
import { parts } from './parts';
import { reading } from './reading';
import { region } from './region';
import { from, to } from './span';
import { subject } from './subject';
import { weight } from './weight';

/** Every setting of an influence, in the order in which a request says them. */
export const INFLUENCE_SETTINGS = {
  gives,
  weight,
  from,
  to,
  on,
  reading,
  subject,
  parts,
  fill,
  motif,
  region,
  except,
} as const;

export type InfluenceSettingName = keyof typeof INFLUENCE_SETTINGS;

/** Settings of an influence. */
export type InfluenceSettings = FieldsOf<typeof INFLUENCE_SETTINGS>;
