import { ApiProperty } from '@nestjs/swagger';
import { AREA_KINDS, MAX_AREAS, MAX_NAMED_PLACES, SEEN_KINDS, type AreaKind, type SeenKind } from '@urbild/core';
import { IsBoolean, IsIn, IsInt, IsNumber, IsString, Length, Matches, Max, Min, ValidateIf } from 'class-validator';
import { Nested, NestedList, Optional } from '../../platform/input/decorators';

/** A part of a picture, as parts of its width and height. */
export class BoxDto {
  @ApiProperty({ minimum: 0, maximum: 1 }) @IsNumber() @Min(0) @Max(1) left!: number;
  @ApiProperty({ minimum: 0, maximum: 1 }) @IsNumber() @Min(0) @Max(1) top!: number;
  @ApiProperty({ minimum: 0, maximum: 1 }) @IsNumber() @Min(0) @Max(1) right!: number;
  @ApiProperty({ minimum: 0, maximum: 1 }) @IsNumber() @Min(0) @Max(1) bottom!: number;
}

/** What is done to a picture before the engine gets it. */
export class PreparationDto {
  @ApiProperty({ required: false, type: BoxDto, description: 'the part that matters; the whole picture when absent' })
  @Optional()
  @Nested(() => BoxDto)
  focus?: BoxDto;
  @ApiProperty({ minimum: 0, maximum: 1 }) @IsNumber() @Min(0) @Max(1) sharpen!: number;
  @ApiProperty({ description: 'fill a plain background with the colours of the subject' })
  @IsBoolean()
  cutOut!: boolean;
  @ApiProperty({ description: 'lay transparency over white' }) @IsBoolean() flatten!: boolean;
}

export class PrepareDto {
  @ApiProperty() @IsInt() @Min(1) version!: number;
  @ApiProperty({ type: PreparationDto }) @Nested(() => PreparationDto) preparation!: PreparationDto;
}

/** A face, found or drawn by hand. */
export class FaceDto {
  @ApiProperty({ type: BoxDto }) @Nested(() => BoxDto) box!: BoxDto;
  @ApiProperty({ minimum: 0, maximum: 1 }) @IsNumber() @Min(0) @Max(1) score!: number;
  @ApiProperty({ required: false, description: 'turn in degrees' })
  @Optional()
  @IsNumber()
  @Min(-90)
  @Max(90)
  yaw?: number;
  @ApiProperty({ required: false }) @Optional() @IsNumber() @Min(-180) @Max(180) roll?: number;
  @ApiProperty({ required: false, description: 'part outside the picture' })
  @Optional()
  @IsNumber()
  @Min(0)
  @Max(1)
  outside?: number;
  @ApiProperty({ required: false }) @Optional() @IsNumber() @Min(0) @Max(1) covered?: number;
  @ApiProperty({ required: false }) @Optional() @IsBoolean() byHand?: boolean;
}

/** A joint of a body, as parts of the picture. */
export class JointDto {
  @ApiProperty() @IsString() @Length(1, 40) name!: string;
  @ApiProperty() @IsNumber() @Min(-1) @Max(2) x!: number;
  @ApiProperty() @IsNumber() @Min(-1) @Max(2) y!: number;
  @ApiProperty({ minimum: 0, maximum: 1 }) @IsNumber() @Min(0) @Max(1) score!: number;
}

class HexSwatchDto {
  @ApiProperty({ example: '#4a6f8c' }) @Matches(/^#[0-9a-f]{6}$/) colour!: string;
  @ApiProperty({ minimum: 0, maximum: 1 }) @IsNumber() @Min(0) @Max(1) weight!: number;
}

/** A flat colour of a plan, and what it stands for. */
export class NamedAreaDto {
  @ApiProperty({ example: '#3a6ea5' }) @Matches(/^#[0-9a-f]{6}$/) colour!: string;
  @ApiProperty({ enum: AREA_KINDS }) @IsIn(AREA_KINDS) is!: AreaKind;
}

/** How a layout is read: as a picture, as a plan of named areas, or as a map of near and far. */
export class LayoutMapDto {
  @ApiProperty({ enum: ['picture', 'areas', 'distance'] })
  @IsIn(['picture', 'areas', 'distance'])
  read!: 'picture' | 'areas' | 'distance';
  @ApiProperty({ required: false, type: [NamedAreaDto], description: 'of a plan: what its colours stand for' })
  @ValidateIf((o: LayoutMapDto) => o.read === 'areas')
  @NestedList(() => NamedAreaDto, { least: 1, most: MAX_AREAS })
  areas?: NamedAreaDto[];
  @ApiProperty({ required: false, enum: ['light', 'dark'], description: 'of a map of near and far: how near is drawn' })
  @ValidateIf((o: LayoutMapDto) => o.read === 'distance')
  @IsIn(['light', 'dark'])
  near?: 'light' | 'dark';
}

/** What the area at a place shows. */
export class NamedPlaceDto {
  @ApiProperty({ minimum: 0, maximum: 1 }) @IsNumber() @Min(0) @Max(1) x!: number;
  @ApiProperty({ minimum: 0, maximum: 1 }) @IsNumber() @Min(0) @Max(1) y!: number;
  @ApiProperty({ enum: SEEN_KINDS }) @IsIn(SEEN_KINDS) is!: SeenKind;
}

/** What a person sets right; what is absent stays, an empty list goes back to what was read. */
export class CorrectDto {
  @ApiProperty() @IsInt() @Min(1) version!: number;
  @ApiProperty({ required: false, type: [FaceDto] })
  @Optional()
  @NestedList(() => FaceDto, { most: 8 })
  faces?: FaceDto[];
  @ApiProperty({ required: false, type: [JointDto] })
  @Optional()
  @NestedList(() => JointDto, { most: 40 })
  joints?: JointDto[];
  @ApiProperty({ required: false, description: '0 top .. 1 bottom; -1 goes back to what was read' })
  @Optional()
  @IsNumber()
  @Min(-1)
  @Max(1)
  horizon?: number;
  @ApiProperty({ required: false, type: [HexSwatchDto] })
  @Optional()
  @NestedList(() => HexSwatchDto, { most: 8 })
  swatches?: HexSwatchDto[];
  @ApiProperty({ required: false, type: LayoutMapDto, description: 'read: picture goes back to its own areas' })
  @Optional()
  @Nested(() => LayoutMapDto)
  layout?: LayoutMapDto;
  @ApiProperty({ required: false, type: [NamedPlaceDto], description: 'what areas show, by a place within each' })
  @Optional()
  @NestedList(() => NamedPlaceDto, { most: MAX_NAMED_PLACES })
  areas?: NamedPlaceDto[];
  @ApiProperty({
    required: false,
    description: 'hash of a painted mask, white is figure; empty goes back to what was found',
  })
  @Optional()
  @Matches(/^([0-9a-f]{64})?$/)
  matte?: string;
}

/** All that a person set right of a picture, as it is sent to be set again. */
export class CorrectionsDto {
  @ApiProperty({ type: [FaceDto], description: 'none: as found' }) faces!: FaceDto[];
  @ApiProperty({ type: [JointDto], description: 'none: as found' }) joints!: JointDto[];
  @ApiProperty({ description: '0 top .. 1 bottom; -1: as read' }) horizon!: number;
  @ApiProperty({ type: [HexSwatchDto], description: 'none: as read' }) swatches!: HexSwatchDto[];
  @ApiProperty({ type: LayoutMapDto }) layout!: LayoutMapDto;
  @ApiProperty({ type: [NamedPlaceDto], description: 'none: as read' }) areas!: NamedPlaceDto[];
  @ApiProperty({ description: 'hash of a painted mask, white is figure; empty: as found' }) matte!: string;
}

class HorizonDto {
  @ApiProperty({ description: '0 top .. 1 bottom' }) at!: number;
  @ApiProperty({ description: '0..1' }) confidence!: number;
  @ApiProperty() byHand!: boolean;
}

class PlanColourDto extends NamedAreaDto {
  @ApiProperty({ description: 'part of the picture, 0..1' }) part!: number;
}

class SeenAreaDto {
  @ApiProperty({ description: 'where its widest part lies, part of the width' }) x!: number;
  @ApiProperty({ description: 'part of the height' }) y!: number;
  @ApiProperty({ enum: SEEN_KINDS }) kind!: SeenKind;
  @ApiProperty({ description: 'by what it was told, in plain words' }) why!: string;
  @ApiProperty({ description: 'part of the picture, 0..1' }) share!: number;
}

/** The pictures and numbers that stand for what a reference gives: just what the engine gets. */
export class EngineViewDto {
  @ApiProperty() pictureUrl!: string;
  @ApiProperty({ description: 'px' }) width!: number;
  @ApiProperty({ description: 'px' }) height!: number;
  @ApiProperty() linesUrl!: string;
  @ApiProperty({ description: 'a line drawing already: its lines are taken as they are' }) isLineDrawing!: boolean;
  @ApiProperty() depthUrl!: string;
  @ApiProperty({ description: 'its areas, parted by lines and tinted by what they show' }) areasUrl!: string;
  @ApiProperty({ type: [SeenAreaDto], description: 'what was read of its areas, the largest first' })
  areas!: SeenAreaDto[];
  @ApiProperty() shapeUrl!: string;
  @ApiProperty({ description: 'two-valued enough to be a shape' }) isShape!: boolean;
  @ApiProperty({ type: LayoutMapDto, description: 'how its layout is read' }) layout!: LayoutMapDto;
  @ApiProperty({ description: 'part of it that lies in flat colours, 0..1; from about .9 on it looks like a plan' })
  flat!: number;
  @ApiProperty({ type: [PlanColourDto], description: 'its flat colours and what they most likely stand for' })
  planColours!: PlanColourDto[];
  @ApiProperty({ type: HorizonDto }) horizon!: HorizonDto;
  @ApiProperty({ type: [FaceDto] }) faces!: FaceDto[];
  @ApiProperty({ type: [JointDto] }) joints!: JointDto[];
  @ApiProperty({ type: BoxDto, description: 'a first proposal of the focus' }) proposedFocus!: BoxDto;
}

/** A state of a reference that can be gone back to. */
export class ReferenceVersionDto {
  @ApiProperty() number!: number;
  @ApiProperty() at!: string;
  @ApiProperty({ example: 'prepared' }) why!: string;
  @ApiProperty() thumbnailUrl!: string;
  @ApiProperty() current!: boolean;
}
