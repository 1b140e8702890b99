import { ApiProperty } from '@nestjs/swagger';
import {
  type Gives,
  GIVES,
  IDENTITY_PARTS,
  type IdentityPart,
  MAX_EMPHASES,
  MEDIA,
  type Medium,
  type Reading,
  READINGS,
  TYPED_MAX_WEIGHT,
} from '@urbild/core';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { MAX_MOTIF, MIN_MOTIF } from '@urbild/engine';
import { ASPECTS, SOURCE_KINDS, type Aspect, type Mix, type SourceKind } from './mix.entity';
import { IsHash, IsId, Nested, NestedList, Optional } from '../platform/input/decorators';

/** A painted mask, sent before to the masks. */
export class MixMaskDto {
  @ApiProperty({ description: 'hash of a mask' }) @IsHash() content!: string;
  @ApiProperty() @IsBoolean() invert!: boolean;
  @ApiProperty({ minimum: 0, maximum: 0.1, description: 'soft edge in parts of the longer side' })
  @IsNumber()
  @Min(0)
  @Max(0.1)
  feather!: number;
}

/** A picture to start from. */
export class MixStartDto {
  @ApiProperty({ enum: ['take', 'reference'] }) @IsIn(['take', 'reference']) of!: 'take' | 'reference';
  @ApiProperty() @IsId() id!: string;
  @ApiProperty({ minimum: 0, maximum: 1, description: '0 the picture itself, 1 nothing of it' })
  @IsNumber()
  @Min(0)
  @Max(1)
  change!: number;
}

/** Words of the prompt that count more or less than the others. */
export class EmphasisDto {
  @ApiProperty() @IsString() @Length(1, 200) words!: string;
  @ApiProperty({ minimum: 0, maximum: 2, description: '0 left out, 1 as said, 2 twice as much' })
  @IsNumber()
  @Min(0)
  @Max(2)
  weight!: number;
}

export class MixSettingsDto {
  @ApiProperty({ enum: ASPECTS, enumName: 'Aspect' }) @IsIn(ASPECTS) aspect!: Aspect;
  @ApiProperty({ minimum: 0, maximum: 4294967295 }) @IsInt() @Min(0) @Max(0xffffffff) seed!: number;
  @ApiProperty({ minimum: 0, maximum: 2, description: 'multiplies every reference; 1 is neutral' })
  @IsNumber()
  @Min(0)
  @Max(2)
  balance!: number;
  @ApiProperty({
    minimum: 0,
    maximum: 1,
    required: false,
    description: 'how freely the seed composes: 0 one composition for every seed, 1 a free one; 1 when absent',
  })
  @Optional()
  @IsNumber()
  @Min(0)
  @Max(1)
  spread?: number;
  @ApiProperty({
    minimum: 0,
    maximum: 1,
    required: false,
    description: 'how strictly the words hold against references; .5 when absent',
  })
  @Optional()
  @IsNumber()
  @Min(0)
  @Max(1)
  strictness?: number;
  @ApiProperty({
    minimum: 0,
    maximum: 1,
    required: false,
    description: 'how ornate the painter draws: 0 plain, 1 ornate; .5 when absent',
  })
  @Optional()
  @IsNumber()
  @Min(0)
  @Max(1)
  ornateness?: number;
  @ApiProperty({ type: [EmphasisDto], required: false })
  @Optional()
  @NestedList(() => EmphasisDto, { most: MAX_EMPHASES })
  emphases?: readonly EmphasisDto[];
  @ApiProperty({
    enum: MEDIA,
    enumName: 'Medium',
    required: false,
    description: "what the stage is drawn in: the words' own, or the medium nearest to the looks, when absent",
  })
  @Optional()
  @IsIn(MEDIA)
  medium?: Medium;
  @ApiProperty({ type: MixStartDto, required: false })
  @Optional()
  @Nested(() => MixStartDto)
  start?: MixStartDto;
  @ApiProperty({ type: MixMaskDto, required: false, description: 'the only part of the start picture that changes' })
  @Optional()
  @Nested(() => MixMaskDto)
  mask?: MixMaskDto;
}

export class MixInfluenceDto {
  @ApiProperty() @IsId() id!: string;
  @ApiProperty({ enum: SOURCE_KINDS, enumName: 'SourceKind', required: false, description: 'a reference when absent' })
  @Optional()
  @IsIn(SOURCE_KINDS)
  of?: SourceKind;
  @ApiProperty({ description: 'id of the reference, look or character' })
  @IsId()
  referenceId!: string;
  @ApiProperty({ enum: GIVES, enumName: 'Gives' }) @IsIn(GIVES) gives!: Gives;
  @ApiProperty({ minimum: 0, maximum: TYPED_MAX_WEIGHT }) @IsNumber() @Min(0) @Max(TYPED_MAX_WEIGHT) weight!: number;
  @ApiProperty({ minimum: 0, maximum: 1 }) @IsNumber() @Min(0) @Max(1) from!: number;
  @ApiProperty({ minimum: 0, maximum: 1 }) @IsNumber() @Min(0) @Max(1) to!: number;
  @ApiProperty({ enum: READINGS, enumName: 'Reading' }) @IsIn(READINGS) reading!: Reading;
  @ApiProperty() @IsBoolean() on!: boolean;
  @ApiProperty({ required: false, description: "whose identity it carries; a character's own name when absent" })
  @Optional()
  @IsString()
  @Length(1, 120)
  subject?: string;
  @ApiProperty({ enum: IDENTITY_PARTS, enumName: 'IdentityPart', isArray: true, required: false })
  @Optional()
  @IsArray()
  @ArrayMaxSize(IDENTITY_PARTS.length)
  @IsIn(IDENTITY_PARTS, { each: true })
  parts?: readonly IdentityPart[];
  @ApiProperty({ enum: ['inside', 'around'], required: false, description: 'of a shape: what the picture fills' })
  @Optional()
  @IsIn(['inside', 'around'])
  fill?: 'inside' | 'around';
  @ApiProperty({
    required: false,
    minimum: MIN_MOTIF,
    maximum: MAX_MOTIF,
    description: 'how large its strokes and motifs come out; 1 as they are',
  })
  @Optional()
  @IsNumber()
  @Min(MIN_MOTIF)
  @Max(MAX_MOTIF)
  motif?: number;
  @ApiProperty({ type: MixMaskDto, required: false, description: 'where it acts; everywhere when absent' })
  @Optional()
  @Nested(() => MixMaskDto)
  region?: MixMaskDto;
  @ApiProperty({ type: [String], required: false, description: 'references of a look or character that are left out' })
  @Optional()
  @IsArray()
  @ArrayMaxSize(64)
  @IsId({ each: true })
  except?: readonly string[];
}

/** Prompt, settings and influences under a name. */
export class MixDto {
  @ApiProperty() id!: string;
  @ApiProperty() name!: string;
  @ApiProperty() prompt!: string;
  @ApiProperty() avoid!: string;
  @ApiProperty({ type: MixSettingsDto }) settings!: MixSettingsDto;
  @ApiProperty({ type: [MixInfluenceDto] }) influences!: MixInfluenceDto[];
  @ApiProperty() updatedAt!: string;
  @ApiProperty({ description: 'to be sent with every change' }) version!: number;
}

/** A state of a mix as it was when a take was asked of it. */
export class MixVersionDto {
  @ApiProperty() id!: string;
  @ApiProperty() number!: number;
  @ApiProperty() prompt!: string;
  @ApiProperty() avoid!: string;
  @ApiProperty({ type: MixSettingsDto }) settings!: MixSettingsDto;
  @ApiProperty({ type: [MixInfluenceDto] }) influences!: MixInfluenceDto[];
  @ApiProperty() createdAt!: string;
}

/** A picture that acts on the next take, as it really is. */
export class InForcePictureDto {
  @ApiProperty() referenceId!: string;
  @ApiProperty() title!: string;
  @ApiProperty({ description: 'what the engine gets' }) pictureUrl!: string;
  @ApiProperty({ description: 'its part of the weight of its influence' }) weight!: number;
  @ApiProperty({ description: 'versions of the file so far' }) fileVersion!: number;
  @ApiProperty({ description: 'cropped, sharpened or cut out' }) prepared!: boolean;
}

/** An influence as it acts on the next take. */
export class InForceInfluenceDto {
  @ApiProperty() id!: string;
  @ApiProperty() acts!: boolean;
  @ApiProperty({ required: false, description: 'why it does not act' }) why?: string;
  @ApiProperty({ type: [InForcePictureDto] }) pictures!: InForcePictureDto[];
}

/** Everything that acts on the next take of a mix, defaults included. */
export class InForceDto {
  @ApiProperty() width!: number;
  @ApiProperty() height!: number;
  @ApiProperty() engine!: string;
  @ApiProperty({ description: 'milliseconds that takes of this size took lately', required: false }) usually?: number;
  @ApiProperty({ description: 'takes that are rendered before' }) ahead!: number;
  @ApiProperty({ required: false, description: 'the picture that it starts from' }) startUrl?: string;
  @ApiProperty({ type: [String], description: 'names of the cast that the prompt says' }) names!: string[];
  @ApiProperty({ type: [InForceInfluenceDto] }) influences!: InForceInfluenceDto[];
}

class MixFieldsDto {
  @ApiProperty({ required: false }) @Optional() @IsString() @Length(1, 120) name?: string;
  @ApiProperty({ required: false }) @Optional() @IsString() @MaxLength(2000) prompt?: string;
  @ApiProperty({ required: false }) @Optional() @IsString() @MaxLength(1000) avoid?: string;
  @ApiProperty({ type: MixSettingsDto, required: false })
  @Optional()
  @Nested(() => MixSettingsDto)
  settings?: MixSettingsDto;
  @ApiProperty({ type: [MixInfluenceDto], required: false })
  @Optional()
  @NestedList(() => MixInfluenceDto, { most: 24 })
  influences?: MixInfluenceDto[];
}

export class NewMixDto extends MixFieldsDto {}

/** Changes to a mix; what is absent stays. */
export class ChangeMixDto extends MixFieldsDto {
  @ApiProperty() @IsInt() @Min(1) version!: number;
}

/** The form in which a mix leaves the server. */
export const toMixDto = (m: Mix): MixDto => ({
  id: m.id,
  name: m.name,
  prompt: m.prompt,
  avoid: m.avoid,
  settings: m.settings,
  influences: m.influences,
  updatedAt: m.updatedAt.toISOString(),
  version: m.version,
});
