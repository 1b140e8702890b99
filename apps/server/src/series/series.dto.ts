import { ApiProperty } from '@nestjs/swagger';
import {
  MAX_PROMPT_LENGTH,
  MAX_INFLUENCES,
  OWN_INFLUENCE_SETTINGS,
  OWN_SETTINGS,
  type MixSettings,
  type OwnInfluence,
} from '@urbild/core';
import { IsBoolean, IsInt, IsString, Length, Max, MaxLength, Min, ValidateIf } from 'class-validator';
import { declaredFields } from '../platform/input/declaredFields';
import { MixInfluenceDto } from '../mixes/mix.dto';
import { ShotTakeDto } from './shotTake.dto';
import { IsId, Nested, NestedList, Optional } from '../platform/input/decorators';

/** The most shots of one series. */
export const MOST_SHOTS = 120;

/** What a shot says differently of an influence of the mix; a field for each setting that core declares as its own. */
export class OwnInfluenceDto extends declaredFields<Omit<OwnInfluence, 'region'>>(OWN_INFLUENCE_SETTINGS, {
  optional: true,
}) {
  @ApiProperty() @IsId() id!: string;
}

/** The own settings of a shot: what differs from the mix, and nothing else. */
export class OwnSettingsDto extends declaredFields<Partial<Omit<MixSettings, 'emphases' | 'start' | 'mask'>>>(
  OWN_SETTINGS,
  { optional: true },
) {
  @ApiProperty({ required: false }) @Optional() @IsString() @MaxLength(1000) avoid?: string;
  @ApiProperty({ type: [OwnInfluenceDto] })
  @NestedList(() => OwnInfluenceDto, { most: MAX_INFLUENCES })
  influences!: OwnInfluenceDto[];
  @ApiProperty({ type: [MixInfluenceDto], description: 'references of this shot alone: its sketch, pose, ...' })
  @NestedList(() => MixInfluenceDto, { most: 8 })
  added!: MixInfluenceDto[];
}

/** One own setting of a shot, as it differs from the mix. */
export class OwnDifferenceDto {
  @ApiProperty({ description: 'to take it back by' }) key!: string;
  @ApiProperty({ description: 'in words: "Ilse, weight 0.4 instead of 1"' }) text!: string;
}

export class ShotDto {
  @ApiProperty() id!: string;
  @ApiProperty() position!: number;
  @ApiProperty() title!: string;
  @ApiProperty() prompt!: string;
  @ApiProperty() notes!: string;
  @ApiProperty() seed!: number;
  @ApiProperty({ description: 'left out of renders, measures and exports' }) skipped!: boolean;
  @ApiProperty({ type: OwnSettingsDto }) own!: OwnSettingsDto;
  @ApiProperty({
    type: [String],
    description: 'ids of the influences that act in it: of the mix, called by its words, or its own',
  })
  acting!: string[];
  @ApiProperty({ type: [OwnDifferenceDto] }) differs!: OwnDifferenceDto[];
  @ApiProperty({ type: [String], description: 'why it has to be rendered; empty when it is up to date' })
  stale!: string[];
  @ApiProperty({ required: false, description: 'its keeper, or else its newest finished take' }) leadId?: string;
  @ApiProperty({ type: [ShotTakeDto], description: 'newest first, with what is tried for it' }) takes!: ShotTakeDto[];
  @ApiProperty() version!: number;
}

/** How far the rendering of a series is. */
export class SeriesQueueDto {
  @ApiProperty() waiting!: number;
  @ApiProperty() rendering!: number;
  @ApiProperty({ required: false, description: 'milliseconds until all are done, from how long takes took lately' })
  left?: number;
}

/** A series in a list. */
export class SeriesSummaryDto {
  @ApiProperty() id!: string;
  @ApiProperty() name!: string;
  @ApiProperty() mixId!: string;
  @ApiProperty() shots!: number;
  @ApiProperty() updatedAt!: string;
}

/** A list of shots over one mix. */
export class SeriesDto {
  @ApiProperty() id!: string;
  @ApiProperty() name!: string;
  @ApiProperty() mixId!: string;
  @ApiProperty({ required: false, description: 'the version of the mix that is used; its newest state when absent' })
  mixVersion?: number;
  @ApiProperty({ type: [MixInfluenceDto], description: 'those of the mix in the version that is used' })
  influences!: MixInfluenceDto[];
  @ApiProperty({ description: 'its takes wait until it goes on' }) paused!: boolean;
  @ApiProperty({ type: SeriesQueueDto }) queue!: SeriesQueueDto;
  @ApiProperty({ type: [ShotDto] }) shots!: ShotDto[];
  @ApiProperty() version!: number;
}

export class NewShotDto {
  @ApiProperty() @IsString() @Length(1, 120) title!: string;
  @ApiProperty() @IsString() @MaxLength(MAX_PROMPT_LENGTH) prompt!: string;
  @ApiProperty({ required: false }) @Optional() @IsString() @MaxLength(4000) notes?: string;
  @ApiProperty({ required: false }) @Optional() @IsInt() @Min(0) @Max(0xffffffff) seed?: number;
}

export class NewShotsDto {
  @ApiProperty({ type: [NewShotDto] })
  @NestedList(() => NewShotDto, { most: MOST_SHOTS })
  shots!: NewShotDto[];
  @ApiProperty({ required: false, description: 'the place of the first of them; at the end when absent' })
  @Optional()
  @IsInt()
  @Min(0)
  at?: number;
}

/** Shots as text: a line each, or a table with a head line. */
export class ShotTextDto {
  @ApiProperty({ description: 'a prompt a line, "Title: prompt" lines, or CSV with a head line' })
  @IsString()
  @Length(1, 200_000)
  text!: string;
}

export class NewSeriesDto {
  @ApiProperty() @IsString() @Length(1, 120) name!: string;
  @ApiProperty() @IsId() mixId!: string;
  @ApiProperty({ type: [NewShotDto], required: false })
  @Optional()
  @NestedList(() => NewShotDto, { most: MOST_SHOTS })
  shots?: NewShotDto[];
}

export class ChangeSeriesDto {
  @ApiProperty() @IsInt() @Min(1) version!: number;
  @ApiProperty({ required: false }) @Optional() @IsString() @Length(1, 120) name?: string;
  @ApiProperty({ required: false }) @Optional() @IsId() mixId?: string;
  @ApiProperty({ required: false, nullable: true, type: Number, description: 'null for the newest state of the mix' })
  @ValidateIf((o: ChangeSeriesDto) => o.mixVersion !== undefined && o.mixVersion !== null)
  @IsInt()
  @Min(1)
  mixVersion?: number | null;
}

export class ChangeShotDto {
  @ApiProperty() @IsInt() @Min(1) version!: number;
  @ApiProperty({ required: false }) @Optional() @IsString() @Length(1, 120) title?: string;
  @ApiProperty({ required: false }) @Optional() @IsString() @MaxLength(MAX_PROMPT_LENGTH) prompt?: string;
  @ApiProperty({ required: false }) @Optional() @IsString() @MaxLength(4000) notes?: string;
  @ApiProperty({ required: false }) @Optional() @IsInt() @Min(0) @Max(0xffffffff) seed?: number;
  @ApiProperty({ required: false }) @Optional() @IsBoolean() skipped?: boolean;
  @ApiProperty({ type: OwnSettingsDto, required: false })
  @Optional()
  @Nested(() => OwnSettingsDto)
  own?: OwnSettingsDto;
  @ApiProperty({ required: false, description: 'its new place, from 0' })
  @Optional()
  @IsInt()
  @Min(0)
  position?: number;
}
