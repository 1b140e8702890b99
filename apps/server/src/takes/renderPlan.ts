import { createHash } from 'crypto';
import { CAST_NAMES, heardEmphases, type Gives, type KnownName, type Lab, type TraitSheet } from '@urbild/core';
import type { RenderRequest } from '@urbild/engine';
import {
  ASPECTS,
  type Aspect,
  type MixInfluence,
  type MixMask,
  type MixSettings,
  type MixState,
  type Quality,
} from '../mixes/mix.entity';
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
  return {
    prompt,
    avoid: mix.avoid,
    ...plateSize(mix.settings.aspect, choices.quality),
    seed: choices.seed ?? mix.settings.seed,
    balance: mix.settings.balance,
    spread: mix.settings.spread ?? 1,
    ...saidOf(mix.settings, prompt),
    ...(mix.settings.medium ? { medium: mix.settings.medium } : {}),
    ...(names.length ? { names } : {}),
    ...startOf(mix.settings, choices.start),
    influences: mix.influences.flatMap((i: MixInfluence) => {
      const source = sources.get(i.id);
      if (!source) return [];
      const { id, gives, weight, from, to, on, reading, parts, fill, motif } = i;
      const subject = i.subject ?? source.subject;
      return [
        {
          id,
          gives,
          weight,
          from,
          to,
          on,
          reading,
          ...(subject === undefined ? {} : { subject }),
          ...(parts === undefined ? {} : { parts }),
          ...(fill === undefined ? {} : { fill }),
          ...(motif === undefined ? {} : { motif }),
          ...(i.region === undefined ? {} : { region: plainMask(i.region) }),
          ...(source.traits && MATTERS[gives].includes('traits') ? { traits: plainSheet(source.traits) } : {}),
          pictures: source.pictures.map(({ pictureHash, weight: part, facts = {} }) => ({
            content: pictureHash,
            weight: part,
            ...toldFor(gives, facts),
          })),
        },
      ];
    }),
  };
}

/** How the words are taken, as far as it is not the usual way. */
function saidOf({ strictness, ornateness, emphases = [] }: MixSettings, prompt: string): Partial<RenderRequest> {
  const heard = heardEmphases(prompt, emphases).map(({ words, weight }) => ({ words, weight }));
  return {
    ...(strictness === undefined || strictness === 0.5 ? {} : { strictness }),
    ...(ornateness === undefined || ornateness === 0.5 ? {} : { ornateness }),
    ...(heard.length ? { emphases: heard } : {}),
  };
}

const plainMask = ({ content, invert, feather }: MixMask): MixMask => ({ content, invert, feather });

/** The picture that a mix starts from, and the part of it that changes; nothing where it is gone. */
const startOf = ({ start, mask }: MixSettings, content?: string): Pick<RenderRequest, 'start' | 'mask'> =>
  start && content ? { start: { content, change: start.change }, ...(mask ? { mask: plainMask(mask) } : {}) } : {};

/** What of a picture's facts matters for what it gives: what does not matter must not make a finished take stale. */
const MATTERS: Readonly<Record<Gives, readonly (keyof PictureFacts)[]>> = {
  look: [],
  palette: [],
  light: [],
  shape: [],
  layout: ['horizon', 'joints', 'layout'],
  place: ['horizon', 'joints'],
  pose: ['joints'],
  thing: ['joints'],
  character: ['face', 'traits'],
  face: ['face', 'traits'],
  outfit: ['face', 'traits'],
  everything: ['horizon', 'face', 'joints', 'traits'],
};

function toldFor(gives: Gives, facts: PictureFacts): PictureFacts {
  const told = Object.fromEntries(Object.entries(facts).filter(([name]) => MATTERS[gives].some((m) => m === name)));
  return told.traits ? { ...told, traits: plainSheet(told.traits as TraitSheet) } : told;
}

/** The part of the cast that a prompt names and that the engine does not know anyway: nobody else can change the picture. */
const namedIn = (prompt: string, cast: readonly KnownName[]): KnownName[] => {
  const words = prompt.toLowerCase();
  return cast.filter(({ name }) => words.includes(name.toLowerCase()) && !CAST_NAMES.some((c) => c === name));
};

const round = (v: number) => Math.round(v * 1e4) / 1e4;

/** A trait sheet in few digits and without what the engine does not need. */
const plainSheet = (sheet: TraitSheet): TraitSheet =>
  Object.fromEntries(
    Object.entries(sheet).map(([name, { colour, number, choice, confidence }]) => [
      name,
      {
        ...(colour ? { colour: colour.map(round) as unknown as Lab } : {}),
        ...(number === undefined ? {} : { number: round(number) }),
        ...(choice === undefined ? {} : { choice }),
        confidence: round(confidence),
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
