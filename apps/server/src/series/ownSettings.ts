import { OWN_INFLUENCE_SETTINGS, OWN_SETTINGS, ownFields, type OwnInfluence } from '@urbild/core';
import { plainInfluences } from '../mixes/mixes.service';
import type { OwnSettingsDto } from './series.dto';
import type { ShotOwn } from './series.entity';

/** Own settings as they are kept, from what came over the wire. */
export function ownFrom(own: OwnSettingsDto): ShotOwn {
  const { avoid, influences, added } = own;
  const of: Record<string, OwnInfluence> = {};
  for (const { id, ...said } of influences) {
    const set = ownFields(OWN_INFLUENCE_SETTINGS, said);
    if (Object.keys(set).length) of[id] = set;
  }
  return {
    ...(avoid === undefined ? {} : { avoid }),
    ...ownFields(OWN_SETTINGS, own),
    ...(Object.keys(of).length ? { influences: of } : {}),
    ...(added.length ? { added: plainInfluences(added) } : {}),
  };
}

/** Own settings as they leave the server. */
export const ownToDto = (own: ShotOwn): OwnSettingsDto => {
  const { avoid, influences = {}, added = [] } = own;
  return {
    avoid,
    ...ownFields(OWN_SETTINGS, own),
    influences: Object.entries(influences).map(([id, set]) => ({ id, ...ownFields(OWN_INFLUENCE_SETTINGS, set) })),
    added: [...added],
  };
};
