import { ApiProperty } from '@nestjs/swagger';
import {
  MAX_PROMPT_LENGTH,
  INFLUENCE_SETTINGS,
  MAX_EMPHASES,
  MAX_INFLUENCES,
  SETTINGS,
  SOURCE_KINDS,
  START_KINDS,
  WIDEST_FEATHER,
  type InfluenceSettings,
  type MixSettings,
  type SourceKind,
} from '@urbild/core';
import { IsBoolean, IsIn, IsInt, IsNumber, IsString, Length, Max, MaxLength, Min } from 'class-validator';
import { IsHash, IsId, Nested, NestedList, Optional } from '../platform/input/decorators';
import { declaredFields } from '../platform/input/declaredFields';
import type { Mix } from './mix.entity';

/** A painted mask, sent before to the masks. */
export class MixMaskDto {
  @ApiProperty({ description: 'hash of a mask' }) @IsHash() content!: string;
  @ApiProperty() @IsBoolean() invert!: boolean;
  @ApiProperty({ minimum: 0, maximum: WIDEST_FEATHER, description: 'soft edge in parts of the longer side' })
  @IsNumber()
  @Min(0)
  @Max(WIDEST_FEATHER)
  feather!: number;
}

/** A picture to start from. */
export class MixStartDto {
  @ApiProperty({ enum: START_KINDS }) @IsIn(START_KINDS) of!: (typeof START_KINDS)[number];
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

/** Settings of a mix; a field for each that core declares, and those that are made of parts. */
export class MixSettingsDto extends declaredFields<Omit<MixSettings, 'emphases' | 'start' | 'mask'>>(
  Object.entries(SETTINGS),
) {
  @ApiProperty({ type: [EmphasisDto], required: false, description: SETTINGS.emphases.says })
  @Optional()
  @NestedList(() => EmphasisDto, { most: MAX_EMPHASES })
  emphases?: readonly EmphasisDto[];
  @ApiProperty({ type: MixStartDto, required: false, description: SETTINGS.start.says })
  @Optional()
  @Nested(() => MixStartDto)
  start?: MixStartDto;
  @ApiProperty({ type: MixMaskDto, required: false, description: SETTINGS.mask.says })
  @Optional()
  @Nested(() => MixMaskDto)
  mask?: MixMaskDto;
}

/** An influence of a mix; a field for each setting that core declares, and those that are made of parts. */
export class MixInfluenceDto extends declaredFields<Omit<InfluenceSettings, 'region'>>(
  Object.entries(INFLUENCE_SETTINGS),
) {
  @ApiProperty() @IsId() id!: string;
  @ApiProperty({ enum: SOURCE_KINDS, enumName: 'SourceKind', required: false, description: 'a reference when absent' })
  @Optional()
  @IsIn(SOURCE_KINDS)
  of?: SourceKind;
  @ApiProperty({ description: 'id of the reference, look or character' })
  @IsId()
  referenceId!: string;
  @ApiProperty({ type: MixMaskDto, required: false, description: INFLUENCE_SETTINGS.region.says })
  @Optional()
  @Nested(() => MixMaskDto)
  region?: MixMaskDto;
}

/** Prompt, settings and influences under a name. */
export class MixDto {
  @ApiProperty() id!: string;
  @ApiProperty() name!: string;
  @ApiProperty({ description: 'the project that it belongs to' }) projectId!: string;
  @ApiProperty() prompt!: string;
  @ApiProperty() avoid!: string;
  @ApiProperty({ type: MixSettingsDto }) settings!: MixSettingsDto;
  @ApiProperty({ type: [MixInfluenceDto] }) influences!: MixInfluenceDto[];
  @ApiProperty({ description: 'done with: it stands in no list of what is worked on' }) archived!: boolean;
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
  @ApiProperty({ required: false, description: 'the first project for a new mix when absent' })
  @Optional()
  @IsId()
  projectId?: string;
  @ApiProperty({ required: false }) @Optional() @IsString() @Length(1, 120) name?: string;
  @ApiProperty({ required: false }) @Optional() @IsString() @MaxLength(MAX_PROMPT_LENGTH) prompt?: string;
  @ApiProperty({ required: false }) @Optional() @IsString() @MaxLength(1000) avoid?: string;
  @ApiProperty({ type: MixSettingsDto, required: false })
  @Optional()
  @Nested(() => MixSettingsDto)
  settings?: MixSettingsDto;
  @ApiProperty({ type: [MixInfluenceDto], required: false })
  @Optional()
  @NestedList(() => MixInfluenceDto, { most: MAX_INFLUENCES })
  influences?: MixInfluenceDto[];
}

export class NewMixDto extends MixFieldsDto {}

/** Changes to a mix; what is absent stays. */
export class ChangeMixDto extends MixFieldsDto {
  @ApiProperty({ required: false }) @Optional() @IsBoolean() archived?: boolean;
  @ApiProperty() @IsInt() @Min(1) version!: number;
}

/** The form in which a mix leaves the server. */
export const toMixDto = (m: Mix): MixDto => ({
  id: m.id,
  name: m.name,
  projectId: m.projectId,
  prompt: m.prompt,
  avoid: m.avoid,
  settings: m.settings,
  influences: m.influences,
  archived: m.archived,
  updatedAt: m.updatedAt.toISOString(),
  version: m.version,
});
