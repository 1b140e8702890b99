import { Module } from '@nestjs/common';
import { LibraryModule } from '../library/library.module';
import { LooksModule } from '../looks/looks.module';
import { CastModule } from '../cast/cast.module';
import { MixesModule } from '../mixes/mixes.module';
import { TakesModule } from '../takes/takes.module';
import { ProjectsModule } from '../projects/projects.module';
import { SeriesModule } from '../series/series.module';
import { StudioController } from './studio.controller';
import { DemoService } from './demo.service';
import { ReadAgainService } from './readAgain.service';

/** The studio as a whole: what it can do, and its demo. */
@Module({
  imports: [ProjectsModule, LibraryModule, LooksModule, CastModule, MixesModule, TakesModule, SeriesModule],
  controllers: [StudioController],
  providers: [DemoService, ReadAgainService],
  exports: [DemoService, ReadAgainService],
})
export class StudioModule {}
