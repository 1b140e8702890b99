import { ApiProperty } from '@nestjs/swagger';
import {
  altTextOf,
  CHECK_IDS,
  hexOf,
  mainFace,
  promptsFor,
  seenPeople,
  slotOf,
  SLOTS,
  viewOf,
  type Slot,
} from '@urbild/core';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsString,
  IsUUID,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { correctionsDtoOf } from './preparation/corrections';
import { CorrectionsDto, PreparationDto } from './preparation/preparation.dto';
import {
  KINDS,
  RIGHTS,
  type CheckState,
  type Kind,
  type Reference,
  type RightsKind,
  type VisionState,
} from './reference.entity';
import { IsId, Nested, NestedList, Optional } from '../platform/input/decorators';
import { blobUrl } from '../platform/blobs/blobUrl';

/** A colour of a picture's palette. */
export class SwatchDto {
  @ApiProperty({ example: '#4a6f8c' }) colour!: string;
  @ApiProperty({ description: 'part of the picture, 0..1' }) weight!: number;
}

/** Whose a picture is and what may be done with it. */
export class RightsDto {
  @ApiProperty({ enum: RIGHTS, enumName: 'RightsKind' }) @IsIn(RIGHTS) kind!: RightsKind;
  @ApiProperty({ required: false, description: 'last day of a licence', example: '2027-05-31' })
  @Optional()
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'until: a day as YYYY-MM-DD' })
  until?: string;
  @ApiProperty({ required: false }) @Optional() @IsString() @MaxLength(400) credit?: string;
  @ApiProperty({ required: false }) @Optional() @IsString() @MaxLength(400) source?: string;
}

const SEVERITIES = ['serious', 'warning', 'note'] as const;
const FIXES = ['sharpen', 'focus face', 'cut out', 'flatten', 'split', 'show double'] as const;

/** Something that is wrong with a reference. */
export class CheckDto {
  @ApiProperty({ enum: CHECK_IDS, enumName: 'CheckId' }) id!: (typeof CHECK_IDS)[number];
  @ApiProperty({ enum: SEVERITIES, enumName: 'Severity' }) severity!: (typeof SEVERITIES)[number];
  @ApiProperty() reason!: string;
  @ApiProperty({ required: false, enum: FIXES, enumName: 'CheckFix' }) fix?: (typeof FIXES)[number];
}

/** What the file said of itself. */
export class MetadataDto {
  @ApiProperty({ required: false }) title?: string;
  @ApiProperty({ required: false }) creator?: string;
  @ApiProperty({ required: false }) credit?: string;
  @ApiProperty({ required: false }) rights?: string;
  @ApiProperty({ required: false }) taken?: string;
  @ApiProperty({ required: false, description: 'how the picture was made, if a machine had a part in it' })
  aiSource?: string;
}

const STATES: readonly CheckState[] = ['fine', 'warning', 'serious'];
const VISION: readonly VisionState[] = ['waiting', 'done', 'needs-box', 'unavailable'];

/** A picture in the library. */
export class ReferenceDto {
  @ApiProperty() id!: string;
  @ApiProperty({ enum: KINDS, enumName: 'Kind' }) kind!: Kind;
  @ApiProperty() title!: string;
  @ApiProperty({ type: [String] }) tags!: string[];
  @ApiProperty() notes!: string;
  @ApiProperty({ description: '0 (none) .. 5' }) rating!: number;
  @ApiProperty() favourite!: boolean;
  @ApiProperty({ type: RightsDto }) rights!: RightsDto;
  @ApiProperty({ description: 'px, as it came' }) width!: number;
  @ApiProperty({ description: 'px, as it came' }) height!: number;
  @ApiProperty({ example: 'jpeg' }) format!: string;
  @ApiProperty({ description: 'address of the picture as it came, upright, in sRGB' }) sourceUrl!: string;
  @ApiProperty({ description: 'address of the picture that the engine gets' }) pictureUrl!: string;
  @ApiProperty({ description: 'address of a small version' }) thumbnailUrl!: string;
  @ApiProperty({ description: 'what it looks like, for those who cannot see it' }) alt!: string;
  @ApiProperty({ type: [SwatchDto] }) swatches!: SwatchDto[];
  @ApiProperty({ type: PreparationDto }) preparation!: PreparationDto;
  @ApiProperty({ type: CorrectionsDto }) corrections!: CorrectionsDto;
  @ApiProperty({ type: [CheckDto] }) checks!: CheckDto[];
  @ApiProperty({ enum: STATES, enumName: 'CheckState' }) checkState!: CheckState;
  @ApiProperty({ enum: VISION, enumName: 'VisionState' }) visionState!: VisionState;
  @ApiProperty({ required: false, description: 'the head, with what was taken for skin, hair and clothes tinted' })
  headUrl?: string;
  @ApiProperty({
    required: false,
    description: 'what of the whole source was taken for figure: hash of a mask, white is figure',
  })
  matte?: string;
  @ApiProperty({ required: false, description: 'the view of its face', example: 'three-quarter' }) view?: string;
  @ApiProperty({
    enum: SLOTS,
    enumName: 'Slot',
    required: false,
    description: 'the place on a model sheet that it suits, by what is seen of it',
  })
  slot?: Slot;
  @ApiProperty({ type: [String], description: 'prompts that could have made it' }) prompts!: string[];
  @ApiProperty({ type: MetadataDto }) metadata!: MetadataDto;
  @ApiProperty({ description: 'mixes that use it' }) usedIn!: number;
  @ApiProperty({ description: 'was archived' }) away!: boolean;
  @ApiProperty() createdAt!: string;
  @ApiProperty({ description: 'to be sent with every change' }) version!: number;
}

/** The answer to bringing in a picture. */
export class ImportedDto {
  @ApiProperty({ type: ReferenceDto }) reference!: ReferenceDto;
  @ApiProperty({ description: 'the same file was in the library already' }) duplicate!: boolean;
}

/** What can be said of one reference or of many at once; what is absent stays. */
export class ReferenceFieldsDto {
  @ApiProperty({ enum: KINDS, enumName: 'Kind', required: false }) @Optional() @IsIn(KINDS) kind?: Kind;
  @ApiProperty({ required: false, minimum: 0, maximum: 5 }) @Optional() @IsInt() @Min(0) @Max(5) rating?: number;
  @ApiProperty({ required: false }) @Optional() @IsBoolean() favourite?: boolean;
  @ApiProperty({ required: false, type: RightsDto })
  @Optional()
  @Nested(() => RightsDto)
  rights?: RightsDto;
}

/** Changes to a reference; what is absent stays. */
export class ChangeReferenceDto extends ReferenceFieldsDto {
  @ApiProperty() @IsInt() @Min(1) version!: number;
  @ApiProperty({ required: false }) @Optional() @IsString() @Length(1, 200) title?: string;
  @ApiProperty({ type: [String], required: false })
  @Optional()
  @IsArray()
  @ArrayMaxSize(40)
  @IsString({ each: true })
  @Length(1, 60, { each: true })
  tags?: string[];
  @ApiProperty({ required: false }) @Optional() @IsString() @MaxLength(5000) notes?: string;
}

/** One change to many references. */
export class BulkChangeDto extends ReferenceFieldsDto {
  @ApiProperty({ type: [String] })
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(2000)
  @IsId({ each: true })
  ids!: string[];
  @ApiProperty({ required: false, type: [String] })
  @Optional()
  @IsArray()
  @ArrayMaxSize(20)
  @IsString({ each: true })
  @Length(1, 60, { each: true })
  addTags?: string[];
  @ApiProperty({ required: false, type: [String] })
  @Optional()
  @IsArray()
  @ArrayMaxSize(20)
  @IsString({ each: true })
  @Length(1, 60, { each: true })
  removeTags?: string[];
  @ApiProperty({ required: false, description: 'put away (true) or bring back (false)' })
  @Optional()
  @IsBoolean()
  away?: boolean;
}

/** What a reference said before a change: sent back, it undoes the change. */
export class RememberedDto extends ReferenceFieldsDto {
  @ApiProperty() @IsId() id!: string;
  @ApiProperty({ type: [String] })
  @IsArray()
  @ArrayMaxSize(60)
  @IsString({ each: true })
  @Length(1, 60, { each: true })
  tags!: string[];
  @ApiProperty() @IsBoolean() away!: boolean;
}

/** The answer to a change of many: how to undo it. */
export class BulkChangedDto {
  @ApiProperty() changed!: number;
  @ApiProperty({ type: [RememberedDto] }) before!: RememberedDto[];
}

export class BulkUndoDto {
  @ApiProperty({ type: [RememberedDto] })
  @NestedList(() => RememberedDto, { least: 1, most: 2000 })
  before!: RememberedDto[];
}

/** Fields that go with an uploaded picture. */
export class ImportFieldsDto {
  @ApiProperty({ required: false, format: 'uuid', description: 'sent again after a break, it is taken only once' })
  @Optional()
  @IsUUID()
  id?: string;
  @ApiProperty({ enum: KINDS, enumName: 'Kind', required: false }) @Optional() @IsIn(KINDS) kind?: Kind;
  @ApiProperty({ required: false }) @Optional() @IsString() @Length(1, 200) title?: string;
}

/** The faces of a reference: as a person drew them, else as they were found. */
export const facesOf = (r: Pick<Reference, 'corrections' | 'vision'>) => r.corrections.faces ?? r.vision?.faces;

/** The slot of a model sheet that a reference suits, by what is seen of it or was set right; undefined where nobody has looked yet. */
export const slotSeen = (r: Pick<Reference, 'corrections' | 'vision'>): Slot | undefined =>
  slotOf({ faces: facesOf(r) ?? [], joints: r.corrections.joints ?? r.vision?.joints ?? [] });

/** The form in which a reference leaves the server. */
export function toReferenceDto(r: Reference, usedIn: number): ReferenceDto {
  const face = mainFace(facesOf(r) ?? []);
  const joints = r.corrections.joints ?? r.vision?.joints ?? [];
  const seen = seenPeople({ faces: facesOf(r) ?? [], joints, traits: r.vision?.traits });
  const plainGround = r.checks.some((c) => c.id === 'plain background');
  return {
    id: r.id,
    kind: r.kind,
    title: r.title,
    tags: r.tags,
    notes: r.notes,
    rating: r.rating,
    favourite: r.favourite,
    rights: r.rights,
    width: r.width,
    height: r.height,
    format: r.format,
    sourceUrl: blobUrl(r.sourceHash),
    pictureUrl: blobUrl(r.pictureHash),
    thumbnailUrl: blobUrl(r.thumbnailHash),
    alt: r.reading ? altTextOf(r.title, r.reading, { seen, plainGround }) : r.title,
    swatches: (r.corrections.swatches ?? r.swatches).map((s) => ({
      colour: hexOf(s.lab),
      weight: Math.round(s.weight * 1000) / 1000,
    })),
    preparation: r.preparation,
    corrections: correctionsDtoOf(r.corrections),
    checks: r.checks,
    checkState: r.checkState,
    visionState: r.visionState,
    headUrl: r.vision?.head ? blobUrl(r.vision.head) : undefined,
    matte: r.corrections.matte ?? r.vision?.matte,
    view: face?.yaw === undefined ? undefined : viewOf(face.yaw),
    slot: slotSeen(r),
    prompts: r.reading ? promptsFor(r.reading, seen) : [],
    metadata: r.metadata,
    usedIn,
    away: r.deletedAt !== null,
    createdAt: r.createdAt.toISOString(),
    version: r.version,
  };
}
