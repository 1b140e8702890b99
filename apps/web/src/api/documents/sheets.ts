import type { QueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { documentOf } from '../../shared/save/documents';
import type { SaveQueue } from '../../shared/save/saveQueue';
import { api, ask, type Character, type Look } from '../client';
import { keys } from '../keys';
import { inList, mirrored, portOf, storedOf } from './port';

/** What of a look is edited on its sheet. */
export type LookFields = Required<Omit<Schemas['ChangeLookDto'], 'version'>>;

export const lookFields = ({ name, notes, items, isDefault }: Look): LookFields => ({ name, notes, items, isDefault });

export const lookDocument = (client: QueryClient, look: Look): SaveQueue<LookFields> =>
  mirrored(
    documentOf(
      `look ${look.id}`,
      storedOf(look, lookFields),
      portOf<Look, LookFields>(
        lookFields,
        (body, keepalive) =>
          ask(api.PATCH('/api/v1/looks/{id}', { params: { path: { id: look.id } }, body, keepalive })),
        (saved) => inList(client, keys.looks, saved),
      ),
    ),
    (state) => inList(client, keys.looks, { id: look.id, ...state } as Look),
  );

/** What of a character is edited on its sheet. */
export type CharacterFields = Required<Omit<Schemas['ChangeCharacterDto'], 'version'>>;

export const characterFields = (c: Character): CharacterFields => ({
  name: c.name,
  species: c.species,
  description: c.description,
  items: c.items,
  usualWeight: c.usualWeight,
  corrected: c.corrected,
  outfits: c.outfits,
});

export const characterDocument = (client: QueryClient, character: Character): SaveQueue<CharacterFields> =>
  mirrored(
    documentOf(
      `character ${character.id}`,
      storedOf(character, characterFields),
      portOf<Character, CharacterFields>(
        characterFields,
        (body, keepalive) =>
          ask(api.PATCH('/api/v1/cast/{id}', { params: { path: { id: character.id } }, body, keepalive })),
        (saved) => inList(client, keys.cast, saved),
      ),
    ),
    (state) => inList(client, keys.cast, { id: character.id, ...state } as Character),
  );
