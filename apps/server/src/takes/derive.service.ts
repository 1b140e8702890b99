import { EntityManager } from '@mikro-orm/core';
import { Inject, Injectable } from '@nestjs/common';
import { settingsIn, type MixSettings } from '@urbild/core';
import type { MixDto } from '../mixes/mix.dto';
import type { RenderRequest } from '@urbild/engine';
import { MixEntity, type Quality } from '../mixes/mix.entity';
import { MixesService } from '../mixes/mixes.service';
import { Problem } from '../platform/problems/problem';
import { aspectOf } from './renderPlan';
import type { TakeDto } from './take.dto';
import type { Take } from './take.entity';
import { ENGINE, type TakeEngine } from './takeEngine';
import { TakeQueue, type TakeOrder } from './takeQueue.service';
import { TakesService } from './takes.service';

/** How far an enlargement goes from the picture that it enlarges, and a variation from the one that it varies. */
const ENLARGED = 0.3;
const VARIED = 0.62;

/** Going on from what worked: a take becomes a mix of its own. */
@Injectable()
export class DeriveService {
  constructor(
    private readonly em: EntityManager,
    private readonly takes: TakesService,
    private readonly mixes: MixesService,
    private readonly queue: TakeQueue,
    @Inject(ENGINE) private readonly engine: TakeEngine,
  ) {}

  /** The same picture larger: it is started from, and its own references draw what is between the pixels. */
  async enlarge(id: string, times: number): Promise<TakeDto> {
    const take = await this.finished(id);
    const { request } = take.origin;
    const side = (v: number) => Math.round((v * times) / 8) * 8;
    const [width, height] = [side(request.width), side(request.height)];
    const { maxSide } = this.engine.capabilities;
    if (Math.max(width, height) > maxSide)
      throw Problem.conflict(
        `${width} x ${height} px are more than the engine draws: at most ${maxSide} on the longer side.`,
      );
    const start = { content: take.pictureHash!, change: ENLARGED };
    const { mask: _, ...rest } = request;
    const quality = width > 900 || height > 900 ? 'print' : 'proof';
    const asked = await this.queue.put([orderFrom(take, { ...rest, width, height, start }, quality)]);
    return (await this.takes.present(asked))[0];
  }

  /** The same request, drawn by the engine as it is now: a take of its own, to be compared with the one before. */
  async redraw(id: string): Promise<TakeDto> {
    const take = await this.finished(id);
    const { request, influences, settings } = take.origin;
    const asked = [{ ...orderFrom(take, request, take.quality), made: { influences, settings } }];
    return (await this.takes.present(await this.queue.put(asked)))[0];
  }

  /** Variations: they start from the take and take another way. */
  async more(id: string, count: number): Promise<TakeDto[]> {
    const take = await this.finished(id);
    const { request } = take.origin;
    const start = { content: take.pictureHash!, change: VARIED };
    const orders = Array.from({ length: count }, (_, k) =>
      orderFrom(take, { ...request, seed: (request.seed + 101 * (k + 1)) % 0x100000000, start }, take.quality),
    );
    return this.takes.present(await this.queue.put(orders));
  }

  private async finished(id: string): Promise<Take> {
    const take = await this.takes.find(id);
    if (take.status !== 'done' || !take.pictureHash)
      throw Problem.conflict('This take has no picture yet. Wait until it is rendered.');
    return take;
  }

  /** A new mix with the words, seed, settings and influences of a take; what was deleted since is left out. */
  async mixOf(id: string): Promise<MixDto> {
    const take = await this.takes.find(id);
    const { request, influences } = take.origin;
    const from = take.mixId ? await this.em.findOne(MixEntity, { id: take.mixId }) : null;
    return this.mixes.create({
      name: `${from?.name ?? 'A keeper'}, on from a take`.slice(0, 120),
      projectId: from?.projectId,
      prompt: request.prompt,
      avoid: request.avoid,
      settings: {
        ...take.origin.settings,
        aspect: take.origin.settings?.aspect ?? aspectOf(request.width, request.height),
        ...settingsIn(request),
      } as MixSettings,
      influences: await this.mixes.present(influences),
    });
  }
}

/** A take that goes on from another one. */
function orderFrom(take: Take, request: RenderRequest, quality: Quality): TakeOrder {
  const { influences, settings } = take.origin;
  const start = request.start && { of: 'take' as const, id: take.id, change: request.start.change };
  const made = { influences, settings: settings && start ? { ...settings, start } : settings };
  const [mixId, besideMixId] = [take.mixId ?? undefined, take.besideMixId ?? undefined];
  return { request, quality, made, mixId, besideMixId, fromTakeId: take.id };
}
