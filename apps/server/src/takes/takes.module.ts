import { Module } from '@nestjs/common';
import { LibraryModule } from '../library/library.module';
import { LooksModule } from '../looks/looks.module';
import { CastModule } from '../cast/cast.module';
import { MixesModule } from '../mixes/mixes.module';
import { ProjectsModule } from '../projects/projects.module';
import { FromTakeController } from './fromTake.controller';
import { OutlinesController } from './outlines.controller';
import { SamplesController } from './samples.controller';
import { TakesController } from './takes.controller';
import { TallyController } from './tally.controller';
import { ApprovalService } from './approval.service';
import { BuiltInTakeEngine } from './builtInEngine';
import { DeriveService } from './derive.service';
import { InForceService } from './inForce.service';
import { SamplesService } from './samples.service';
import { ENGINE } from './takeEngine';
import { TakeQueue } from './takeQueue.service';
import { TakeRenderer } from './takeRenderer';
import { TakesService } from './takes.service';
import { TallyService } from './tally.service';

/** Takes: rendering, measuring, keeping, going on. */
@Module({
  imports: [LibraryModule, LooksModule, CastModule, ProjectsModule, MixesModule],
  controllers: [FromTakeController, OutlinesController, SamplesController, TakesController, TallyController],
  providers: [
    { provide: ENGINE, useClass: BuiltInTakeEngine },
    ApprovalService,
    DeriveService,
    InForceService,
    SamplesService,
    TakeQueue,
    TakeRenderer,
    TakesService,
    TallyService,
  ],
  exports: [ENGINE, SamplesService, TakeQueue, TakesService],
})
export class TakesModule {}
