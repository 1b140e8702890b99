import { ApiProperty } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { QUALITIES, type Quality } from '../mixes/mix.entity';
import { TakeDto } from '../takes/take.dto';

export class ShotDto {
  @ApiProperty() id!: string;
  @ApiProperty() position!: number;
  @ApiProperty() title!: string;
  @ApiProperty() prompt!: string;
  @ApiProperty() seed!: number;
  @ApiProperty() version!: number;
  @ApiProperty({ type: [TakeDto], description: 'newest first' }) takes!: TakeDto[];
  @ApiProperty({ description: 'the newest take was made from the present prompt, seed and mix' }) current!: boolean;
}

/** A list of shots over one mix. */
export class SeriesDto {
  @ApiProperty() id!: string;
  @ApiProperty() name!: string;
  @ApiProperty() mixId!: string;
  @ApiProperty({ type: [ShotDto] }) shots!: ShotDto[];
  @ApiProperty() version!: number;
}

export class NewShotDto {
  @ApiProperty() @IsString() @Length(1, 120) title!: string;
  @ApiProperty() @IsString() @MaxLength(2000) prompt!: string;
  @ApiProperty({ required: false }) @IsOptional() @IsInt() @Min(0) @Max(0xffffffff) seed?: number;
}

export class NewSeriesDto {
  @ApiProperty() @IsString() @Length(1, 120) name!: string;
  @ApiProperty() @IsString() @Length(1, 60) mixId!: string;
  @ApiProperty({ type: [NewShotDto], required: false })
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(120)
  @ValidateNested({ each: true })
  @Type(() => NewShotDto)
  shots?: NewShotDto[];
}

export class ChangeShotDto {
  @ApiProperty() @IsInt() @Min(1) version!: number;
  @ApiProperty({ required: false }) @IsOptional() @IsString() @Length(1, 120) title?: string;
  @ApiProperty({ required: false }) @IsOptional() @IsString() @MaxLength(2000) prompt?: string;
  @ApiProperty({ required: false }) @IsOptional() @IsInt() @Min(0) @Max(0xffffffff) seed?: number;
}

export class RenderSeriesDto {
  @ApiProperty({ enum: QUALITIES, enumName: 'Quality', required: false })
  @IsOptional()
  @IsIn(QUALITIES)
  quality?: Quality;
}

export class RenderedSeriesDto {
  @ApiProperty({ description: 'takes that were put in line; what is up to date is not rendered again' })
  queued!: number;
}
