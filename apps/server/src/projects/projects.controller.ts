import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Put } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { ArrangementDto } from '../library/collections/collection.dto';
import { ArrangedProjectDto, ChangeProjectDto, MembershipDto, NewProjectDto, ProjectDto } from './project.dto';
import { MembersService } from './members.service';
import { ProjectsService } from './projects.service';
import { May } from '../platform/access/may';

/** Projects; a mix belongs to one, and with it its series and takes. */
@ApiTags('projects')
@Controller('projects')
export class ProjectsController {
  constructor(
    private readonly projects: ProjectsService,
    private readonly members: MembersService,
  ) {}

  /** All of them, the oldest first. */
  @May('see')
  @Get()
  @ApiOkResponse({ type: [ProjectDto] })
  list(): Promise<ProjectDto[]> {
    return this.projects.list();
  }

  @May('manage')
  @Post()
  @ApiCreatedResponse({ type: ProjectDto })
  create(@Body() fields: NewProjectDto): Promise<ProjectDto> {
    return this.projects.create(fields);
  }

  @May('see')
  @Get(':id')
  @ApiOkResponse({ type: ProjectDto })
  get(@Param('id') id: string): Promise<ProjectDto> {
    return this.projects.get(id);
  }

  @May('manage')
  @Patch(':id')
  @ApiOkResponse({ type: ProjectDto })
  change(@Param('id') id: string, @Body() change: ChangeProjectDto): Promise<ProjectDto> {
    return this.projects.change(id, change);
  }

  /** Picks references, leaves some, moves some; the answer says what takes it back. */
  @May('edit')
  @Post(':id/arrange')
  @HttpCode(200)
  @ApiOkResponse({ type: ArrangedProjectDto })
  arrange(@Param('id') id: string, @Body() arrangement: ArrangementDto): Promise<ArrangedProjectDto> {
    return this.projects.arrange(id, arrangement);
  }

  /** Makes somebody a member, or gives a member another role. */
  @May('manage')
  @Put(':id/members/:person')
  @ApiOkResponse({ type: ProjectDto })
  putMember(
    @Param('id') id: string,
    @Param('person') person: string,
    @Body() membership: MembershipDto,
  ): Promise<ProjectDto> {
    return this.members.put(id, person, membership);
  }

  /** Somebody is a member no more; what they made stays. */
  @May('manage')
  @Delete(':id/members/:person')
  @ApiOkResponse({ type: ProjectDto })
  removeMember(@Param('id') id: string, @Param('person') person: string): Promise<ProjectDto> {
    return this.members.remove(id, person);
  }
}
