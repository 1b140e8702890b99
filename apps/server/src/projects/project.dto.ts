import { ApiProperty } from '@nestjs/swagger';
import { PROJECT_ROLES, SETTINGS, SHARED_SETTINGS, type ProjectRole, type SharedSettings } from '@urbild/core';
import { ArrayMaxSize, IsBoolean, IsIn, IsInt, IsString, Length, Min } from 'class-validator';
import { ArrangementDto } from '../library/collections/collection.dto';
import { declaredFields } from '../platform/input/declaredFields';
import { IsId, Nested, Optional } from '../platform/input/decorators';
import type { Member, Project } from './project.entity';

/** Looks and characters that a project picks at most. */
const MOST_PICKED = 500;

/** What new mixes of a project say instead of what is usual. */
export class SharedSettingsDto extends declaredFields<Partial<SharedSettings>>(
  SHARED_SETTINGS.map((name) => [name, SETTINGS[name]] as const),
  { optional: true },
) {}

/** What somebody may do in a project. */
export class MembershipDto {
  @ApiProperty({ enum: PROJECT_ROLES, enumName: 'ProjectRole', description: 'at most what the studio lets them do' })
  @IsIn(PROJECT_ROLES)
  role!: ProjectRole;
  @ApiProperty({ required: false, description: 'approves keepers of the project; as it was when absent' })
  @Optional()
  @IsBoolean()
  approver?: boolean;
}

/** Somebody who works in a project. */
export class MemberDto extends MembershipDto {
  @ApiProperty({ description: 'the id of the person' }) person!: string;
}

/** A book, a set of cards, a season of frames. */
export class ProjectDto {
  @ApiProperty() id!: string;
  @ApiProperty() name!: string;
  @ApiProperty({
    required: false,
    description: 'the look that its new mixes begin with; that of the studio when absent',
  })
  lookId?: string;
  @ApiProperty({ type: SharedSettingsDto }) settings!: SharedSettingsDto;
  @ApiProperty({ description: 'references that it picked; the search of the library takes its id as a collection' })
  pictures!: number;
  @ApiProperty({ required: false, description: 'the first of them' }) first?: string;
  @ApiProperty({ type: [String], description: 'looks that it picked; none is all' }) looks!: string[];
  @ApiProperty({ type: [String], description: 'characters that it picked; none is all' }) cast!: string[];
  @ApiProperty({ description: 'done with: it stands in no list of what is worked on' }) archived!: boolean;
  @ApiProperty({ description: 'only its members, and owners of the studio, know of it' }) restricted!: boolean;
  @ApiProperty({ type: () => [MemberDto] }) members!: MemberDto[];
  @ApiProperty() updatedAt!: string;
  @ApiProperty({ description: 'to be sent with every change' }) version!: number;
}

class ProjectFieldsDto {
  @ApiProperty({ type: SharedSettingsDto, required: false })
  @Optional()
  @Nested(() => SharedSettingsDto)
  settings?: SharedSettingsDto;
  @ApiProperty({ required: false, type: [String] })
  @Optional()
  @IsId({ each: true })
  @ArrayMaxSize(MOST_PICKED)
  looks?: string[];
  @ApiProperty({ required: false, type: [String] })
  @Optional()
  @IsId({ each: true })
  @ArrayMaxSize(MOST_PICKED)
  cast?: string[];
}

export class NewProjectDto extends ProjectFieldsDto {
  @ApiProperty() @IsString() @Length(1, 120) name!: string;
  @ApiProperty({ required: false }) @Optional() @IsId() lookId?: string;
}

/** Changes to a project; what is absent stays. */
export class ChangeProjectDto extends ProjectFieldsDto {
  @ApiProperty() @IsInt() @Min(1) version!: number;
  @ApiProperty({ required: false }) @Optional() @IsString() @Length(1, 120) name?: string;
  @ApiProperty({ required: false, description: 'empty for the look of the studio' })
  @Optional()
  @IsString()
  @Length(0, 60)
  lookId?: string;
  @ApiProperty({ required: false }) @Optional() @IsBoolean() archived?: boolean;
  @ApiProperty({ required: false }) @Optional() @IsBoolean() restricted?: boolean;
}

/** A project after its pictures were arranged, and what takes that back. */
export class ArrangedProjectDto {
  @ApiProperty() @Nested(() => ProjectDto) project!: ProjectDto;
  @ApiProperty() @Nested(() => ArrangementDto) back!: ArrangementDto;
}

const toMemberDto = ({ personId, role, approver }: Member): MemberDto => ({ person: personId, role, approver });

/** The form in which a project leaves the server, with those of some members that are its own. */
export const toProjectDto = (p: Project, members: readonly Member[]): ProjectDto => ({
  id: p.id,
  name: p.name,
  lookId: p.lookId ?? undefined,
  settings: p.settings as SharedSettingsDto,
  pictures: p.pictures.length,
  first: p.pictures[0],
  looks: p.looks,
  cast: p.cast,
  archived: p.archived,
  restricted: p.restricted,
  members: members.filter((m) => m.projectId === p.id).map(toMemberDto),
  updatedAt: p.updatedAt.toISOString(),
  version: p.version,
});
