import { EntityManager } from '@mikro-orm/better-sqlite';
import { Controller, Get, Inject, Param } from '@nestjs/common';
import { ApiOkResponse, ApiProperty, ApiTags } from '@nestjs/swagger';
import type { OutlineOf } from '@urbild/engine';
import { BlobStore } from '../platform/blobs/blobStore';
import { Problem } from '../platform/problems/problem';
import { TakeEntity } from './take.entity';
import { ENGINE, type TakeEngine } from './takeEngine';
import { May } from '../platform/access/may';

const OUTLINES: readonly OutlineOf[] = ['figure', 'head', 'clothes', 'sky', 'water', 'ground', 'plants', 'buildings'];

/** Something that a take shows, as a mask by its true outline. */
export class OutlineDto {
  @ApiProperty({ enum: OUTLINES }) of!: OutlineOf;
  @ApiProperty({ required: false, description: 'index of the figure among those of the take; absent for grounds' })
  figure?: number;
  @ApiProperty({ description: 'part of the picture, 0..1' }) part!: number;
  @ApiProperty({ description: 'hash of the mask: a grey picture, white where it is' }) content!: string;
}

/** What takes show, to be masked. */
@ApiTags('takes')
@Controller('takes')
export class OutlinesController {
  constructor(
    private readonly em: EntityManager,
    @Inject(ENGINE) private readonly engine: TakeEngine,
    private readonly blobs: BlobStore,
  ) {}

  /** What a take shows, by its outlines: figures with heads and clothes, then the grounds; none where its engine does not know. */
  @May('see')
  @Get(':id/outlines')
  @ApiOkResponse({ type: [OutlineDto] })
  async outlines(@Param('id') id: string): Promise<OutlineDto[]> {
    const take = await this.em.fork().findOne(TakeEntity, { id, deletedAt: null });
    if (!take) throw Problem.notFound('This take');
    if (!this.engine.outlines) return [];
    const found = await this.engine.outlines(take.origin.request);
    return Promise.all(
      found.map(async ({ of, figure, part, png }) => ({ of, figure, part, content: await this.blobs.put(png) })),
    );
  }
}
