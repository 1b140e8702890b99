import { Module } from '@nestjs/common';
import { ProjectsModule } from '../projects/projects.module';
import { MixesController } from './mixes.controller';
import { MixesService } from './mixes.service';
import { MixVersionsService } from './mixVersions.service';
import { SourcesService } from './sources.service';

/** Mixes: prompt, settings and influences under a name. */
@Module({
  imports: [ProjectsModule],
  controllers: [MixesController],
  providers: [MixesService, MixVersionsService, SourcesService],
  exports: [MixesService, MixVersionsService, SourcesService],
})
export class MixesModule {}
