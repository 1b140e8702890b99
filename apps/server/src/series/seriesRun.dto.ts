import { ApiProperty } from '@nestjs/swagger';
import { ArrayMaxSize, IsArray, IsIn, IsInt, IsOptional, IsString, Length, Max, Min } from 'class-validator';
import { QUALITIES, type Quality } from '../mixes/mix.entity';
import { MOST_SHOTS } from './series.dto';

export class FromMixDto {
  @ApiProperty() @IsString() @Length(1, 60) mixId!: string;
  @ApiProperty({ required: false, description: "the mix's own when absent" })
  @IsOptional()
  @IsString()
  @Length(1, 120)
  name?: string;
}

export class RenderSeriesDto {
  @ApiProperty({ enum: QUALITIES, enumName: 'Quality', required: false })
  @IsOptional()
  @IsIn(QUALITIES)
  quality?: Quality;
  @ApiProperty({ type: [String], required: false, description: 'all shots when absent' })
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(MOST_SHOTS)
  @IsString({ each: true })
  @Length(1, 60, { each: true })
  shotIds?: string[];
  @ApiProperty({ required: false, minimum: 1, maximum: 5, description: 'takes for each shot; 1 when absent' })
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(5)
  takes?: number;
}

export class RenderedSeriesDto {
  @ApiProperty({ description: 'takes that were put in line; what is up to date is not rendered again' })
  queued!: number;
}
