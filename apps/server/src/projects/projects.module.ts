import { Module } from '@nestjs/common';
import { PeopleModule } from '../people/people.module';
import { ProjectsController } from './projects.controller';
import { MembersService } from './members.service';
import { ProjectsService } from './projects.service';

/** Projects: what belongs together, and what of the library it works with. */
@Module({
  imports: [PeopleModule],
  controllers: [ProjectsController],
  providers: [MembersService, ProjectsService],
  exports: [MembersService, ProjectsService],
})
export class ProjectsModule {}
