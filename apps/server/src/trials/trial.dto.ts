import { ApiProperty, getSchemaPath, ApiExtraModels } from '@nestjs/swagger';
import { AXIS_SETTINGS, MOST_VALUES, type AxisSetting } from '@urbild/core';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Max,
  Min,
} from 'class-validator';
import { MixInfluenceDto, MixSettingsDto } from '../mixes/mix.dto';
import { QUALITIES, type Quality } from '../mixes/mix.entity';
import { TakeDto } from '../takes/take.dto';
import { SOLVE_STATES, type SolveState } from './trial.entity';
import { IsId, NestedList, Optional } from '../platform/input/decorators';

/** One axis of a test strip: docs/formats/test-strip.md. */
export class AxisDto {
  @ApiProperty({ enum: AXIS_SETTINGS, enumName: 'AxisSetting' }) @IsIn(AXIS_SETTINGS) setting!: AxisSetting;
  @ApiProperty({ required: false, description: 'the influence whose setting it is' })
  @Optional()
  @IsId()
  influence?: string;
  @ApiProperty({ required: false, description: 'of a fade: the influence that comes' })
  @Optional()
  @IsId()
  other?: string;
  @ApiProperty({ type: 'array', items: { oneOf: [{ type: 'number' }, { type: 'string', maxLength: 2000 }] } })
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_VALUES)
  values!: (number | string)[];
}

/** The most shots over which something is tried at once. */
export const MOST_TRIAL_SHOTS = 6;

/** What may be tried over several shots of a series instead of the mix's own prompt. */
class OverShotsDto {
  @ApiProperty() @IsId() mixId!: string;
  @ApiProperty({ required: false, description: 'the series whose shots these are' })
  @Optional()
  @IsId()
  seriesId?: string;
  @ApiProperty({ type: [String], required: false, description: 'shots of the series' })
  @Optional()
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_TRIAL_SHOTS)
  @IsId({ each: true })
  shotIds?: string[];
}

export class NewStripDto extends OverShotsDto {
  @ApiProperty({ required: false }) @Optional() @IsString() @Length(1, 120) name?: string;
  @ApiProperty({ type: [AxisDto], description: 'one axis, or two for a table' })
  @NestedList(() => AxisDto, { least: 1, most: 2 })
  axes!: AxisDto[];
  @ApiProperty({ enum: QUALITIES, enumName: 'Quality', required: false })
  @Optional()
  @IsIn(QUALITIES)
  quality?: Quality;
}

/** A mix as it was. */
export class MixStateDto {
  @ApiProperty() prompt!: string;
  @ApiProperty() avoid!: string;
  @ApiProperty({ type: MixSettingsDto }) settings!: MixSettingsDto;
  @ApiProperty({ type: [MixInfluenceDto] }) influences!: MixInfluenceDto[];
}

export class TrialShotDto {
  @ApiProperty() id!: string;
  @ApiProperty() title!: string;
}

/** Takes over the values of one or two settings. */
export class StripDto {
  @ApiProperty() id!: string;
  @ApiProperty() mixId!: string;
  @ApiProperty() name!: string;
  @ApiProperty({ type: [AxisDto] }) axes!: AxisDto[];
  @ApiProperty({ type: MixStateDto }) state!: MixStateDto;
  @ApiProperty({ type: [TrialShotDto], required: false, description: 'each cell is these shots' })
  shots?: TrialShotDto[];
  @ApiProperty({ enum: QUALITIES, enumName: 'Quality' }) quality!: Quality;
  @ApiProperty({ type: [TakeDto], description: 'row by row; of a strip over shots: cell by cell, shot by shot' })
  cells!: TakeDto[];
  @ApiProperty() createdAt!: string;
}

export class ProofCellDto {
  @ApiProperty({ minimum: 0 }) @IsInt() @Min(0) @Max(MOST_VALUES * MOST_VALUES) cell!: number;
}

export class TargetDto {
  @ApiProperty() @IsId() influence!: string;
  @ApiProperty({ minimum: 0, maximum: 1 }) @IsNumber() @Min(0) @Max(1) arrival!: number;
}

export class NewSolveDto extends OverShotsDto {
  @ApiProperty({ type: [TargetDto] })
  @NestedList(() => TargetDto, { least: 1, most: 8 })
  targets!: TargetDto[];
  @ApiProperty({ required: false, minimum: 0, maximum: 1, description: 'at least this much of the words' })
  @Optional()
  @IsNumber()
  @Min(0)
  @Max(1)
  wordsKept?: number;
}

export class WeightDto {
  @ApiProperty() influence!: string;
  @ApiProperty() weight!: number;
  @ApiProperty() arrival!: number;
}

export class SolveTrialDto {
  @ApiProperty({ type: [WeightDto] }) weights!: WeightDto[];
  @ApiProperty() wordsKept!: number;
  @ApiProperty({ type: TakeDto, required: false }) take?: TakeDto;
}

/** A search for weights, as far as it is. */
@ApiExtraModels(TargetDto)
export class SolveDto {
  @ApiProperty() id!: string;
  @ApiProperty() mixId!: string;
  @ApiProperty({ type: 'array', items: { $ref: getSchemaPath(TargetDto) } }) targets!: TargetDto[];
  @ApiProperty({ required: false }) wordsKept?: number;
  @ApiProperty({ enum: SOLVE_STATES, enumName: 'SolveState' }) status!: SolveState;
  @ApiProperty({ description: 'what it came to, in words' }) reason!: string;
  @ApiProperty({ required: false, description: 'index of the trial that is nearest' }) best?: number;
  @ApiProperty({ type: [SolveTrialDto] }) path!: SolveTrialDto[];
  @ApiProperty() createdAt!: string;
}
