import { Module, type DynamicModule } from '@nestjs/common';
import { ENTITIES } from './entities';
import type { Config } from './platform/config';
import type { Hold } from './platform/folder/lock';
import { PlatformModule } from './platform/platform.module';
import { PeopleModule } from './people/people.module';
import { MasksModule } from './masks/masks.module';
import { LibraryModule } from './library/library.module';
import { LooksModule } from './looks/looks.module';
import { CastModule } from './cast/cast.module';
import { ProjectsModule } from './projects/projects.module';
import { MixesModule } from './mixes/mixes.module';
import { TakesModule } from './takes/takes.module';
import { SeriesModule } from './series/series.module';
import { CommentsModule } from './comments/comments.module';
import { TrialsModule } from './trials/trials.module';
import { StudioModule } from './studio/studio.module';

/** The capabilities in their order: each imports only what stands before it (docs/architecture.md; ESLint holds it). */
const CAPABILITIES = [
  PeopleModule,
  MasksModule,
  LibraryModule,
  LooksModule,
  CastModule,
  ProjectsModule,
  MixesModule,
  TakesModule,
  SeriesModule,
  CommentsModule,
  TrialsModule,
  StudioModule,
];

/** The whole server for one configuration. */
@Module({})
export class AppModule {
  static for(config: Config, hold: Hold): DynamicModule {
    return { module: AppModule, imports: [PlatformModule.for({ config, hold, entities: ENTITIES }), ...CAPABILITIES] };
  }
}
