import { createHash } from 'crypto';
import type { RenderRequest } from '@urbild/engine';
import type { Aspect, Mix, MixInfluence, Quality } from '../mixes/mix.entity';
import type { Sources } from '../mixes/sources.service';

/** Longer side in px by quality. */
export const LONG_SIDE: Readonly<Record<Quality, number>> = { draft: 320, proof: 768, print: 1280 };

/** Width and height in px of a plate: both multiples of 8. */
export function plateSize(aspect: Aspect, quality: Quality): { width: number; height: number } {
  const [w, h] = aspect.split(':').map(Number);
  const k = LONG_SIDE[quality] / Math.max(w, h);
  const side = (x: number) => Math.round((x * k) / 8) * 8;
  return { width: side(w), height: side(h) };
}

/** What of a mix may be said differently for one take. */
export interface TakeChoices {
  readonly prompt?: string;
  readonly seed?: number;
  readonly quality: Quality;
}

/** The engine's request for a mix. Influences without any picture are left out. */
export function requestFor(
  mix: Pick<Mix, 'prompt' | 'avoid' | 'settings' | 'influences'>,
  sources: Sources,
  choices: TakeChoices,
): RenderRequest {
  return {
    prompt: choices.prompt ?? mix.prompt,
    avoid: mix.avoid,
    ...plateSize(mix.settings.aspect, choices.quality),
    seed: choices.seed ?? mix.settings.seed,
    balance: mix.settings.balance,
    spread: mix.settings.spread ?? 1,
    influences: mix.influences.flatMap((i: MixInfluence) => {
      const pictures = sources.get(i.id);
      if (!pictures) return [];
      const { id, gives, weight, from, to, on, reading } = i;
      return [
        {
          id,
          gives,
          weight,
          from,
          to,
          on,
          reading,
          pictures: pictures.map((p) => ({
            content: p.pictureHash,
            weight: p.weight,
            ...(p.horizon === undefined ? {} : { horizon: p.horizon }),
          })),
        },
      ];
    }),
  };
}

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
