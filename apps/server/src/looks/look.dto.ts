import { ApiProperty } from '@nestjs/swagger';
import { IsBoolean, IsInt, IsNumber, IsString, Length, Max, MaxLength, Min } from 'class-validator';
import { SwatchDto } from '../library/reference.dto';
import type { Look } from './look.entity';
import { IsId, NestedList, Optional } from '../platform/input/decorators';

export class LookItemDto {
  @ApiProperty() @IsId() referenceId!: string;
  @ApiProperty({ minimum: 0, maximum: 2 }) @IsNumber() @Min(0) @Max(2) weight!: number;
}

/** A named, weighted set of style pictures that is used as one reference. */
export class LookDto {
  @ApiProperty() id!: string;
  @ApiProperty() name!: string;
  @ApiProperty() notes!: string;
  @ApiProperty({ type: [LookItemDto] }) items!: LookItemDto[];
  @ApiProperty({ description: 'new mixes begin with it' }) isDefault!: boolean;
  @ApiProperty({ required: false, description: 'the take that shows a sample drawn with it' }) sampleTakeId?: string;
  @ApiProperty() updatedAt!: string;
  @ApiProperty({ description: 'to be sent with every change' }) version!: number;
}

class LookFieldsDto {
  @ApiProperty({ required: false }) @Optional() @IsString() @MaxLength(5000) notes?: string;
  @ApiProperty({ type: [LookItemDto], required: false })
  @Optional()
  @NestedList(() => LookItemDto, { most: 40, message: 'items: a look has at most 40 pictures' })
  items?: LookItemDto[];
}

export class NewLookDto extends LookFieldsDto {
  @ApiProperty() @IsString() @Length(1, 120) name!: string;
}

/** Changes to a look; what is absent stays. */
export class ChangeLookDto extends LookFieldsDto {
  @ApiProperty() @IsInt() @Min(1) version!: number;
  @ApiProperty({ required: false }) @Optional() @IsString() @Length(1, 120) name?: string;
  @ApiProperty({ required: false }) @Optional() @IsBoolean() isDefault?: boolean;
}

/** One picture of a look on its map. */
class LookPointDto {
  @ApiProperty() referenceId!: string;
  @ApiProperty({ description: '-1..1' }) x!: number;
  @ApiProperty({ description: '-1..1' }) y!: number;
  @ApiProperty({ description: 'distance to the others, over what is usual in this look' }) off!: number;
}

/** What was read of a look: how well its pictures belong together, and its palette. */
export class LookReadingDto {
  @ApiProperty({ description: '0 a heap .. 1 of one piece' }) coherence!: number;
  @ApiProperty({ required: false, description: 'the picture that does not belong' }) stranger?: string;
  @ApiProperty({ type: [LookPointDto] }) map!: LookPointDto[];
  @ApiProperty({ type: [SwatchDto] }) swatches!: SwatchDto[];
  @ApiProperty({ type: [String] }) advice!: string[];
}

/** The form in which a look leaves the server. */
export const toLookDto = (l: Look): LookDto => ({
  id: l.id,
  name: l.name,
  notes: l.notes,
  items: l.items,
  isDefault: l.isDefault,
  sampleTakeId: l.sampleTakeId ?? undefined,
  updatedAt: l.updatedAt.toISOString(),
  version: l.version,
});
