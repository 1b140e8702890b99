import { EntityManager } from '@mikro-orm/core';
import { Inject, Injectable } from '@nestjs/common';
import { samePreparation, UNPREPARED, type MixInfluence } from '@urbild/core';
import { blobUrl } from '../platform/blobs/blobUrl';
import { ReferenceEntity } from '../library/reference.entity';
import type { InForceDto, InForceInfluenceDto } from '../mixes/mix.dto';
import type { Quality } from '../mixes/mix.entity';
import { MixesService } from '../mixes/mixes.service';
import { SourcesService } from '../mixes/sources.service';
import { JobsService } from '../platform/jobs/jobs.service';
import { ENGINE, engineName, type TakeEngine } from './takeEngine';
import { TakeQueue } from './takeQueue.service';
import { usualTime } from './usualTime';

/** What really acts on the next take of a mix: people lose hours to a wrong picture that nobody noticed. */
@Injectable()
export class InForceService {
  constructor(
    private readonly em: EntityManager,
    private readonly mixes: MixesService,
    private readonly sources: SourcesService,
    private readonly queue: TakeQueue,
    private readonly jobs: JobsService,
    @Inject(ENGINE) private readonly engine: TakeEngine,
  ) {}

  async of(mixId: string, quality: Quality): Promise<InForceDto> {
    const mix = await this.sources.called(await this.mixes.find(mixId));
    const request = await this.queue.request(mix, quality);
    const sources = await this.sources.of(mix.influences);
    const ids = [...sources.values()].flatMap((s) => s.pictures.map((p) => p.referenceId));
    const references = new Map((await this.em.find(ReferenceEntity, { id: { $in: ids } })).map((r) => [r.id, r]));
    const influences = mix.influences.map((i): InForceInfluenceDto => {
      const pictures = sources.get(i.id)?.pictures ?? [];
      const total = pictures.reduce((s, p) => s + p.weight, 0) || 1;
      const why = whyNot(i, pictures.length, mix.settings.balance);
      return {
        id: i.id,
        acts: !why,
        why,
        pictures: pictures.flatMap((p) => {
          const r = references.get(p.referenceId);
          if (!r) return [];
          return [
            {
              referenceId: r.id,
              title: r.title,
              pictureUrl: blobUrl(r.thumbnailHash),
              weight: p.weight / total,
              fileVersion: r.history.filter((v) => v.why === 'redrawn').length + 1,
              prepared: !samePreparation(r.preparation, UNPREPARED),
            },
          ];
        }),
      };
    });
    return {
      width: request.width,
      height: request.height,
      engine: engineName(this.engine.capabilities),
      usually: await usualTime(this.em, quality),
      ahead: (await this.jobs.queue('take')).length,
      startUrl: request.start && blobUrl(request.start.content),
      names: (request.names ?? []).map((n) => n.name),
      influences,
    };
  }
}

function whyNot({ on, weight }: MixInfluence, pictures: number, balance: number): string | undefined {
  if (!pictures) return 'it has no picture';
  if (!on) return 'it is switched off';
  if (weight === 0) return 'its weight is 0';
  if (balance === 0) return 'the balance is 0: the words rule alone';
  return undefined;
}
