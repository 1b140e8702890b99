import { ApiProperty } from '@nestjs/swagger';
import {
  MAX_PROMPT_LENGTH,
  CAUSES,
  MAX_SEED,
  SOURCE_KINDS,
  type Cause,
  type Slipped,
  type SourceKind,
} from '@urbild/core';
import { IsIn, IsInt, IsString, Length, Max, MaxLength, Min } from 'class-validator';
import { QUALITIES, type Quality } from '../mixes/mix.entity';
import { OwnSettingsDto } from './series.dto';
import { IsId, Nested, Optional } from '../platform/input/decorators';

/** A shot as it would be: its words, seed and own settings. */
export class ShotPlanDto {
  @ApiProperty() @IsString() @MaxLength(MAX_PROMPT_LENGTH) prompt!: string;
  @ApiProperty() @IsInt() @Min(0) @Max(MAX_SEED) seed!: number;
  @ApiProperty({ type: OwnSettingsDto }) @Nested(() => OwnSettingsDto) own!: OwnSettingsDto;
}

/** Something that may bring a shot back. */
export class ShotRemedyDto {
  @ApiProperty({ example: 'Bring Ilse nearer' }) @IsString() @Length(1, 200) label!: string;
  @ApiProperty({ type: ShotPlanDto }) @Nested(() => ShotPlanDto) plan!: ShotPlanDto;
}

/** How far it is known whether a remedy helps. */
export const REMEDY_STATES = ['untried', 'trying', 'helps', 'fails'] as const;
export type RemedyState = (typeof REMEDY_STATES)[number];

/** A remedy with what is known of it: whether the shot no longer falls out when it is tried. */
export class JudgedRemedyDto extends ShotRemedyDto {
  @ApiProperty({ enum: REMEDY_STATES, enumName: 'RemedyState' }) state!: RemedyState;
}

export class BandDto {
  @ApiProperty() low!: number;
  @ApiProperty() high!: number;
}

/** A shot that falls out of its series, why, and what may bring it back. */
export class FallsOutDto {
  @ApiProperty() shotId!: string;
  @ApiProperty() takeId!: string;
  @ApiProperty({ enum: ['identity', 'look', 'arrival'] }) aspect!: Slipped;
  @ApiProperty() influenceId!: string;
  @ApiProperty({ description: 'of what does not hold' }) name!: string;
  @ApiProperty({ required: false, description: '0..1' }) arrival?: number;
  @ApiProperty({ type: BandDto, required: false, description: 'where the arrivals of the others lie' })
  others?: BandDto;
  @ApiProperty({ enum: CAUSES, enumName: 'Cause' }) cause!: Cause;
  @ApiProperty({ description: 'the cause as a sentence' }) sentence!: string;
  @ApiProperty({ type: [JudgedRemedyDto], description: 'the likelier first' }) remedies!: JudgedRemedyDto[];
}

export class CloserIdentityDto {
  @ApiProperty() influenceId!: string;
  @ApiProperty() name!: string;
  @ApiProperty({
    description: 'how far the controls are from the takes of other shots over how far the takes are from one another',
  })
  times!: number;
}

/** How many times closer together takes are than their controls. */
export class CloserDto {
  @ApiProperty({ required: false, description: 'geometric mean of surface and colour' }) look?: number;
  @ApiProperty({ required: false }) surface?: number;
  @ApiProperty({ required: false }) colour?: number;
  @ApiProperty({ type: [CloserIdentityDto] }) identity!: CloserIdentityDto[];
}

export class ComparedShotDto {
  @ApiProperty() shotId!: string;
  @ApiProperty() takeId!: string;
  @ApiProperty({ required: false, description: 'of a try: likeness in layout to the take before, 0..1' })
  layout?: number;
}

/** How far a series holds together. */
export class ConsistencyDto {
  @ApiProperty({ type: [ComparedShotDto], description: 'the takes that were compared' }) shots!: ComparedShotDto[];
  @ApiProperty({ type: CloserDto }) closer!: CloserDto;
  @ApiProperty({ type: [FallsOutDto], description: 'the farthest first' }) falls!: FallsOutDto[];
}

/** Something else for an influence of the mix, over all shots. */
export class SwapDto {
  @ApiProperty() @IsId() influence!: string;
  @ApiProperty({ enum: SOURCE_KINDS, enumName: 'SourceKind' }) @IsIn(SOURCE_KINDS) of!: SourceKind;
  @ApiProperty() @IsId() referenceId!: string;
  @ApiProperty({ enum: QUALITIES, enumName: 'Quality', required: false })
  @Optional()
  @IsIn(QUALITIES)
  quality?: Quality;
}
