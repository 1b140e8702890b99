import { MAX_PROMPT_LENGTH } from '@urbild/core';
import { ApiProperty } from '@nestjs/swagger';
import { IsIn, IsInt, IsNumber, IsString, Length, Max, MaxLength, Min } from 'class-validator';
import { QUALITIES, type Quality } from '../../mixes/mix.entity';
import { TAKE_STATUSES } from '../../takes/take.dto';
import type { TakeStatus } from '../../takes/take.entity';
import { FEWEST_FRAMES, MOST_FRAMES } from './sequence.entity';
import { IsId, Nested, Optional } from '../../platform/input/decorators';

/** A window of the scene: its middle and its size in parts of the scene. */
export class FrameViewDto {
  @ApiProperty({ minimum: 0, maximum: 1 }) @IsNumber() @Min(0) @Max(1) x!: number;
  @ApiProperty({ minimum: 0, maximum: 1 }) @IsNumber() @Min(0) @Max(1) y!: number;
  @ApiProperty({ minimum: 0.4, maximum: 1, description: '1 sees all of it' })
  @IsNumber()
  @Min(0.4)
  @Max(1)
  size!: number;
}

export class CameraDto {
  @ApiProperty({ type: FrameViewDto }) @Nested(() => FrameViewDto) from!: FrameViewDto;
  @ApiProperty({ type: FrameViewDto }) @Nested(() => FrameViewDto) to!: FrameViewDto;
}

/** How a sequence goes from its first frame to its last; at least one of the three. */
export class FrameMoveDto {
  @ApiProperty({ type: CameraDto, required: false })
  @Optional()
  @Nested(() => CameraDto)
  camera?: CameraDto;
  @ApiProperty({ required: false, description: 'how far the first figure goes, in parts of the width, -1..1' })
  @Optional()
  @IsNumber()
  @Min(-1)
  @Max(1)
  across?: number;
  @ApiProperty({ required: false, description: 'the words of the last frame' })
  @Optional()
  @IsString()
  @MaxLength(MAX_PROMPT_LENGTH)
  towards?: string;
}

export class NewSequenceDto {
  @ApiProperty() @IsString() @Length(1, 120) name!: string;
  @ApiProperty() @IsId() shotId!: string;
  @ApiProperty({ type: FrameMoveDto }) @Nested(() => FrameMoveDto) move!: FrameMoveDto;
  @ApiProperty({ minimum: FEWEST_FRAMES, maximum: MOST_FRAMES })
  @IsInt()
  @Min(FEWEST_FRAMES)
  @Max(MOST_FRAMES)
  frames!: number;
  @ApiProperty({ enum: QUALITIES, enumName: 'Quality', required: false })
  @Optional()
  @IsIn(QUALITIES)
  quality?: Quality;
}

export class HoldDto {
  @ApiProperty({ description: 'index of the frame that holds the others' }) @IsInt() @Min(0) frame!: number;
}

/** One frame, with as much as a player needs. */
export class FrameDto {
  @ApiProperty() takeId!: string;
  @ApiProperty({ enum: TAKE_STATUSES, enumName: 'TakeStatus' }) status!: TakeStatus;
  @ApiProperty({ required: false }) pictureUrl?: string;
  @ApiProperty({ required: false }) thumbnailUrl?: string;
  @ApiProperty({ required: false, description: 'why it failed' }) error?: string;
}

export class SequenceDto {
  @ApiProperty() id!: string;
  @ApiProperty() seriesId!: string;
  @ApiProperty() shotId!: string;
  @ApiProperty() name!: string;
  @ApiProperty() prompt!: string;
  @ApiProperty({ type: FrameMoveDto }) move!: FrameMoveDto;
  @ApiProperty({ enum: QUALITIES, enumName: 'Quality' }) quality!: Quality;
  @ApiProperty() width!: number;
  @ApiProperty() height!: number;
  @ApiProperty({ type: [FrameDto], description: 'each rendered by itself' }) free!: FrameDto[];
  @ApiProperty({ required: false, description: 'the frame that holds the others' }) hold?: number;
  @ApiProperty({ type: [FrameDto], description: 'held by that frame; empty without one' }) held!: FrameDto[];
  @ApiProperty() createdAt!: string;
}

/** How much a sequence changes from frame to frame. */
export class UnsteadinessDto {
  @ApiProperty({ description: '0 strokes that stay .. about 1.4 strokes that are new in every frame' })
  strokes!: number;
  @ApiProperty({ required: false, description: 'mean distance of who is seen, 0..1' }) identity?: number;
}

export class SteadierDto {
  @ApiProperty() strokes!: number;
  @ApiProperty({ required: false }) identity?: number;
}

/** How steady a sequence is, by itself and held; what is not rendered yet is absent. */
export class SteadinessDto {
  @ApiProperty({ type: UnsteadinessDto, required: false }) free?: UnsteadinessDto;
  @ApiProperty({ type: UnsteadinessDto, required: false }) held?: UnsteadinessDto;
  @ApiProperty({ type: SteadierDto, required: false, description: 'so many times steadier when held' })
  times?: SteadierDto;
}
