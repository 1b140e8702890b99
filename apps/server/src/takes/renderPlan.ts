import { createHash } from 'crypto';
import {
  ASPECTS,
  CAST_NAMES,
  give,
  heardEmphases,
  plainMask,
  requestedInfluence,
  requestedSettings,
  rowOf,
  shapeOf,
  type Aspect,
  type Gives,
  type KnownName,
  type Lab,
  type MixInfluence,
  type MixSettings,
  type MixState,
  type TraitSheet,
} from '@urbild/core';
import type { RenderRequest } from '@urbild/engine';
import type { Quality } from '../mixes/mix.entity';
import type { PictureFacts } from '../mixes/pictureFacts';
import type { Sources } from '../mixes/sources.service';

/** Longer side in px by quality. */
export const LONG_SIDE: Readonly<Record<Quality, number>> = { draft: 256, proof: 768, print: 1280 };

/** Width and height in px of a plate: both multiples of 8. */
export function plateSize(aspect: Aspect, quality: Quality): { width: number; height: number } {
  const [w, h] = aspect.split(':').map(Number);
  const k = LONG_SIDE[quality] / Math.max(w, h);
  const side = (x: number) => Math.round((x * k) / 8) * 8;
  return { width: side(w), height: side(h) };
}

/** The aspect that comes nearest to a size. */
export const aspectOf = (width: number, height: number): Aspect =>
  ASPECTS.reduce((best, a) => {
    const off = (one: Aspect) => {
      const [w, h] = one.split(':').map(Number);
      return Math.abs(Math.log(w / h) - Math.log(width / height));
    };
    return off(a) < off(best) - 1e-6 ? a : best;
  });

/** What of a mix may be said differently for one take. */
export interface TakeChoices {
  /** Hash of the picture to start from. */
  readonly start?: string;
  readonly prompt?: string;
  readonly seed?: number;
  readonly quality: Quality;
}

/** The engine's request for a mix. Influences without any picture are left out. */
export function requestFor(
  mix: MixState,
  sources: Sources,
  choices: TakeChoices,
  cast: readonly KnownName[] = [],
): RenderRequest {
  const prompt = choices.prompt ?? mix.prompt;
  const names = namedIn(prompt, cast);
  const { settings } = mix;
  const emphases = heardEmphases(prompt, settings.emphases ?? []).map(({ words, weight }) => ({ words, weight }));
  return {
    prompt,
    avoid: mix.avoid,
    ...plateSize(settings.aspect, choices.quality),
    ...requestedSettings({ ...settings, emphases, seed: choices.seed ?? settings.seed }),
    ...(names.length ? { names } : {}),
    ...startOf(settings, choices.start),
    influences: mix.influences.flatMap((i: MixInfluence) => {
      const source = sources.get(i.id);
      if (!source) return [];
      const { traits, pictures } = source;
      return [
        {
          id: i.id,
          ...requestedInfluence({ ...i, subject: i.subject ?? source.subject }),
          ...(traits && give(i.gives).facts.includes('traits') ? { traits: plainSheet(traits) } : {}),
          pictures: pictures.map(({ pictureHash, weight: part, facts = {} }) => ({
            content: pictureHash,
            weight: part,
            ...toldFor(i.gives, facts),
          })),
        },
      ];
    }),
  };
}

/** The picture that a mix starts from, and the part of it that changes; nothing where it is gone. */
const startOf = ({ start, mask }: MixSettings, content?: string): Pick<RenderRequest, 'start' | 'mask'> =>
  start && content ? { start: { content, change: start.change }, ...(mask ? { mask: plainMask(mask) } : {}) } : {};

/** What of a picture's facts matters for what it gives: what does not matter must not make a finished take stale. */
function toldFor(gives: Gives, facts: PictureFacts): PictureFacts {
  const { facts: needed } = give(gives);
  const told = Object.fromEntries(Object.entries(facts).filter(([name]) => needed.some((m) => m === name)));
  return told.traits ? { ...told, traits: plainSheet(told.traits as TraitSheet) } : told;
}

/** The part of the cast that a prompt names and that the engine does not know anyway: nobody else can change the picture. */
function namedIn(prompt: string, cast: readonly KnownName[]): KnownName[] {
  const words = prompt.toLowerCase();
  const isIn = ({ name }: { readonly name: string }) => words.includes(name.toLowerCase());
  return cast.filter(isIn).flatMap(({ outfits: all, ...known }) => {
    // clothes that nobody calls are not in the picture
    const outfits = all?.filter(isIn).map((o) => (o.traits ? { ...o, traits: plainSheet(o.traits) } : o)) ?? [];
    if (!outfits.length && CAST_NAMES.some((c) => c === known.name)) return [];
    return [{ ...known, ...(outfits.length ? { outfits } : {}) }];
  });
}

const round = (v: number) => Math.round(v * 1e4) / 1e4;

/** A trait sheet in few digits and without what the engine does not need. */
const plainSheet = (sheet: TraitSheet): TraitSheet =>
  Object.fromEntries(
    Object.entries(sheet).map(([name, { locked: _, colour, number, shape, ...trait }]) => [
      name,
      {
        ...trait,
        ...(colour ? { colour: colour.map(round) as unknown as Lab } : {}),
        ...(number === undefined ? {} : { number: round(number) }),
        ...(shape ? { shape: shapeOf(rowOf(shape).map(round)) } : {}),
        confidence: round(trait.confidence),
      },
    ]),
  );

/** The same words, seed and size without references. */
export const controlRequest = (request: RenderRequest): RenderRequest => ({ ...request, balance: 1, influences: [] });

/** True where no reference pulls at all: such a take is its own control. */
export const isControl = (request: RenderRequest): boolean =>
  request.balance === 0 || request.influences.every((i) => !i.on || i.weight === 0);

/** SHA-256 of a request and the engine that renders it: equal hashes are equal pictures. */
export const requestHash = (request: RenderRequest, engine: { name: string; version: string }): string =>
  createHash('sha256')
    .update(JSON.stringify([engine.name, engine.version, request]))
    .digest('hex');
