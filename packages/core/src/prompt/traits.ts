import { shaded, type EntityDraft, type Pending } from './draft';

/** Gives a noun the adjectives that waited for it; a plural without a number means three. */
export function takeAdjectives(e: EntityDraft, p: Pending, plural: boolean, number?: number): void {
  e.count = p.count ?? number ?? (plural ? 3 : 1);
  e.counted = p.count !== undefined;
  if (e.kind !== 'person') {
    e.colour = shaded(p.colours[0], p.shade);
    e.size = p.size;
    e.action = p.action;
    e.view = p.view;
    return;
  }
  if (p.age && !e.cast) e.age = p.age === 'young' && e.age === 'child' ? 'child' : p.age;
  e.size = p.size ?? e.size;
  e.build = p.build ?? e.build;
  e.skin = p.skin ?? e.skin;
  e.expression = p.expression ?? e.expression;
  e.action = p.action ?? e.action;
  e.view = p.view ?? e.view;
  e.garments.push(...p.garments);
  if (p.hairColour) e.hair = { ...e.hair, colour: p.hairColour };
  p.features.forEach((feature) => applyFeature(e, feature, { ...p, colours: [], features: [] }));
}

/** Gives a person a beard, glasses, a way of wearing the hair, ... with the adjectives that waited for it. */
export function applyFeature(e: EntityDraft, feature: string, p: Pending): void {
  const colour = shaded(p.colours[0], p.shade) ?? p.hairColour;
  const length = p.size === 'short' ? 'short' : p.size === 'long' ? 'long' : undefined;
  switch (feature) {
    case 'hair':
      e.hair = { ...e.hair, colour: colour ?? e.hair?.colour, length: length ?? e.hair?.length };
      p.features.forEach((f) => applyFeature(e, f, { ...p, colours: [], features: [], size: undefined }));
      return;
    case 'beard':
      e.beard = { colour };
      return;
    case 'moustache':
      e.moustache = true;
      if (colour && !e.hair?.colour) e.hair = { ...e.hair, colour };
      return;
    case 'freckles':
      e.freckles = true;
      return;
    case 'glasses':
      e.glasses = true;
      return;
    case 'earring':
      e.earring = true;
      return;
    case 'eyes':
      if (colour) e.eyes = colour;
      return;
    default:
      e.hair = { ...e.hair, style: feature, colour: colour ?? e.hair?.colour, length: length ?? e.hair?.length };
  }
}
