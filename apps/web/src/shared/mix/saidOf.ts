import { SETTINGS, type AnySetting } from '@urbild/core';
import type { MixSettings } from '../../api/client';

/** How the words are taken, in words, as far as it is not the usual way. */
export const saidOf = (settings: MixSettings): string[] => [
  ...Object.entries<AnySetting>(SETTINGS).flatMap(([name, { form, request, usual }]) => {
    const value = (settings as Readonly<Record<string, unknown>>)[name];
    const usually = value === undefined || value === usual;
    return form.kind !== 'number' || request !== 'unless usual' || usually ? [] : [`${name} ${String(value)}`];
  }),
  ...(settings.emphases ?? []).map((e) => `“${e.words}” counts ${e.weight}`),
];
