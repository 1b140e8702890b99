import { ApiProperty } from '@nestjs/swagger';
import { ArrayMaxSize, IsArray, IsIn, IsInt, IsString, Length, Max, Min } from 'class-validator';
import { QUALITIES, type Quality } from '../mixes/mix.entity';
import { MOST_SHOTS } from './series.dto';
import { IsId, Optional } from '../platform/input/decorators';

export class FromMixDto {
  @ApiProperty() @IsId() mixId!: string;
  @ApiProperty({ required: false, description: "the mix's own when absent" })
  @Optional()
  @IsString()
  @Length(1, 120)
  name?: string;
}

export class RenderSeriesDto {
  @ApiProperty({ enum: QUALITIES, enumName: 'Quality', required: false })
  @Optional()
  @IsIn(QUALITIES)
  quality?: Quality;
  @ApiProperty({ type: [String], required: false, description: 'all shots when absent' })
  @Optional()
  @IsArray()
  @ArrayMaxSize(MOST_SHOTS)
  @IsId({ each: true })
  shotIds?: string[];
  @ApiProperty({ required: false, minimum: 1, maximum: 5, description: 'takes for each shot; 1 when absent' })
  @Optional()
  @IsInt()
  @Min(1)
  @Max(5)
  takes?: number;
}

export class RenderedSeriesDto {
  @ApiProperty({ description: 'takes that were put in line; what is up to date is not rendered again' })
  queued!: number;
}
