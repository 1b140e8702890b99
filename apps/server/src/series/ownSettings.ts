import type { OwnDifference, OwnInfluence } from '@urbild/core';
import type { MixInfluence } from '../mixes/mix.entity';
import { plainInfluences } from '../mixes/mixes.service';
import type { OwnSettingsDto } from './series.dto';
import type { ShotOwn } from './series.entity';

/** Own settings as they are kept, from what came over the wire. */
export function ownFrom({ avoid, balance, spread, influences, added }: OwnSettingsDto): ShotOwn {
  const of: Record<string, OwnInfluence> = {};
  for (const { id, weight, from, to, on, reading } of influences) {
    const set = Object.fromEntries(
      Object.entries({ weight, from, to, on, reading }).filter(([, v]) => v !== undefined),
    ) as OwnInfluence;
    if (Object.keys(set).length) of[id] = set;
  }
  return {
    ...(avoid === undefined ? {} : { avoid }),
    ...(balance === undefined ? {} : { balance }),
    ...(spread === undefined ? {} : { spread }),
    ...(Object.keys(of).length ? { influences: of } : {}),
    ...(added.length ? { added: plainInfluences(added) } : {}),
  };
}

/** Own settings as they leave the server. */
export const ownToDto = ({ avoid, balance, spread, influences = {}, added = [] }: ShotOwn): OwnSettingsDto => ({
  avoid,
  balance,
  spread,
  influences: Object.entries(influences).map(([id, set]) => ({ id, ...set })),
  added: [...added] as OwnSettingsDto['added'],
});

const number = (v: unknown) => (typeof v === 'number' ? String(Math.round(v * 100) / 100) : String(v));
const percent = (v: unknown) => `${Math.round(Number(v) * 100)} %`;

/** An own setting in words; `name` gives the name of an influence. */
export function ownText(d: OwnDifference, influence: MixInfluence | undefined, name: string): string {
  switch (d.setting) {
    case 'added':
      return `${name}, gives ${influence?.gives ?? 'something'} to this shot alone`;
    case 'on':
      return `${name} ${d.own ? 'on' : 'off'}`;
    case 'weight':
      return `${name} ${number(d.own)} instead of ${number(d.mix)}`;
    case 'from':
      return `${name} begins at ${percent(d.own)} instead of ${percent(d.mix)}`;
    case 'to':
      return `${name} ends at ${percent(d.own)} instead of ${percent(d.mix)}`;
    case 'reading':
      return `${name} read ${d.own} instead of ${d.mix}`;
    case 'avoid':
      return `without “${d.own}”`;
    default:
      return `${d.setting} ${number(d.own)} instead of ${number(d.mix)}`;
  }
}
