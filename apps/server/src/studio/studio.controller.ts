import { EntityManager } from '@mikro-orm/core';
import { Controller, Get, Inject } from '@nestjs/common';
import { ApiOkResponse, ApiProperty, ApiTags } from '@nestjs/swagger';
import { GIVES, type Gives } from '@urbild/core';
import { JobsService } from '../platform/jobs/jobs.service';
import { ENGINE, type TakeEngine } from '../takes/takeEngine';
import { CONFIG, type Config } from '../platform/config';
import { TakeEntity } from '../takes/take.entity';
import { timeLeft } from '../takes/usualTime';
import { DemoService } from './demo.service';
import { May } from '../platform/access/may';

class EngineDto {
  @ApiProperty() name!: string;
  @ApiProperty() version!: string;
  @ApiProperty({ enum: GIVES, enumName: 'Gives', isArray: true, description: 'what it can draw from a reference' })
  gives!: Gives[];
}

class DemoDto {
  @ApiProperty() done!: number;
  @ApiProperty() total!: number;
}

/** What a client needs to know of the studio before anything else. */
export class StudioDto {
  @ApiProperty() name!: string;
  @ApiProperty({ type: EngineDto }) engine!: EngineDto;
  @ApiProperty({ type: DemoDto }) demo!: DemoDto;
  @ApiProperty({ type: [String], description: 'ids of the takes in the queue, in their order' }) queue!: string[];
  @ApiProperty({
    required: false,
    description: 'about how many seconds the queue will need; absent where nothing like it was rendered before',
  })
  secondsLeft?: number;
  @ApiProperty({ description: 'pictures that wait to be looked at for who they show' }) unread!: number;
  @ApiProperty({ description: 'the disk is full: the queue waits until there is room' }) waitsForRoom!: boolean;
}

@ApiTags('studio')
@Controller('studio')
export class StudioController {
  constructor(
    private readonly em: EntityManager,
    private readonly demo: DemoService,
    private readonly jobs: JobsService,
    @Inject(ENGINE) private readonly engine: TakeEngine,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  @May('see')
  @Get()
  @ApiOkResponse({ type: StudioDto })
  async get(): Promise<StudioDto> {
    const { name, version, gives } = this.engine.capabilities;
    const queue = await this.jobs.queue('take');
    const open = await this.em.find(TakeEntity, { id: { $in: queue } }, { fields: ['quality', 'status'] });
    const left = await timeLeft(this.em, open, this.config.renderThreads);
    return {
      name: 'The Tidepost',
      engine: { name, version, gives: [...gives] },
      demo: await this.demo.progress(this.em),
      queue,
      ...(left === undefined ? {} : { secondsLeft: Math.ceil(left / 1000) }),
      unread: await this.jobs.unfinished(this.em as never, 'look-at'),
      waitsForRoom: this.jobs.waitsForRoom,
    };
  }
}
