import type { FieldsOf } from '../setting';
import { aspect } from './aspect';
import { balance } from './balance';
import { emphases } from './emphases';
import { mask } from './mask';
import { medium } from './medium';
import { ornateness } from './ornateness';
import { seed } from './seed';
import { spread } from './spread';
import { start } from './start';
import { strictness } from './strictness';
import { uncalled } from './uncalled';

/** Every setting of a mix besides its words and influences, in the order in which a request says them. */
export const SETTINGS = {
  seed,
  aspect,
  balance,
  spread,
  strictness,
  ornateness,
  emphases,
  medium,
  start,
  mask,
  uncalled,
} as const;

export type SettingName = keyof typeof SETTINGS;

/** Settings that the mixes of a project have in common: those that say nothing of one picture alone. */
export const SHARED_SETTINGS = [
  'aspect',
  'balance',
  'spread',
  'strictness',
  'ornateness',
  'medium',
] as const satisfies readonly SettingName[];

/** Settings of a mix besides words and influences. */
export type MixSettings = FieldsOf<typeof SETTINGS>;

/** What a project says for all of its new mixes. */
export type SharedSettings = Pick<MixSettings, (typeof SHARED_SETTINGS)[number]>;
