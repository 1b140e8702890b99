import { ApiProperty } from '@nestjs/swagger';
import { lchToRgb, labToLch } from '@urbild/core';
import { ArrayMaxSize, IsArray, IsIn, IsInt, IsOptional, IsString, Length, MaxLength, Min } from 'class-validator';
import { KINDS, type Kind, type Reference } from './reference.entity';

/** A colour of a picture's palette. */
export class SwatchDto {
  @ApiProperty({ example: '#4a6f8c' }) colour!: string;
  @ApiProperty({ description: 'part of the picture, 0..1' }) weight!: number;
}

/** A picture in the library. */
export class ReferenceDto {
  @ApiProperty() id!: string;
  @ApiProperty({ enum: KINDS, enumName: 'Kind' }) kind!: Kind;
  @ApiProperty() title!: string;
  @ApiProperty({ type: [String] }) tags!: string[];
  @ApiProperty() notes!: string;
  @ApiProperty({ description: 'px, as it came' }) width!: number;
  @ApiProperty({ description: 'px, as it came' }) height!: number;
  @ApiProperty({ example: 'jpeg' }) format!: string;
  @ApiProperty({ description: 'address of the sRGB picture' }) pictureUrl!: string;
  @ApiProperty({ description: 'address of a small version' }) thumbnailUrl!: string;
  @ApiProperty({ type: [SwatchDto] }) swatches!: SwatchDto[];
  @ApiProperty({ description: 'mixes that use it' }) usedIn!: number;
  @ApiProperty() createdAt!: string;
  @ApiProperty({ description: 'to be sent with every change' }) version!: number;
}

/** The answer to bringing in a picture. */
export class ImportedDto {
  @ApiProperty({ type: ReferenceDto }) reference!: ReferenceDto;
  @ApiProperty({ description: 'the same file was in the library already' }) duplicate!: boolean;
}

/** Changes to a reference; what is absent stays. */
export class ChangeReferenceDto {
  @ApiProperty() @IsInt() @Min(1) version!: number;
  @ApiProperty({ enum: KINDS, enumName: 'Kind', required: false }) @IsOptional() @IsIn(KINDS) kind?: Kind;
  @ApiProperty({ required: false }) @IsOptional() @IsString() @Length(1, 200) title?: string;
  @ApiProperty({ type: [String], required: false })
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(40)
  @IsString({ each: true })
  @Length(1, 60, { each: true })
  tags?: string[];
  @ApiProperty({ required: false }) @IsOptional() @IsString() @MaxLength(5000) notes?: string;
}

/** Fields that go with an uploaded picture. */
export class ImportFieldsDto {
  @ApiProperty({ enum: KINDS, enumName: 'Kind', required: false }) @IsOptional() @IsIn(KINDS) kind?: Kind;
  @ApiProperty({ required: false }) @IsOptional() @IsString() @Length(1, 200) title?: string;
}

export const blobUrl = (hash: string): string => `/api/v1/blobs/${hash}`;

/** The form in which a reference leaves the server. */
export const toReferenceDto = (r: Reference, usedIn: number): ReferenceDto => ({
  id: r.id,
  kind: r.kind,
  title: r.title,
  tags: r.tags,
  notes: r.notes,
  width: r.width,
  height: r.height,
  format: r.format,
  pictureUrl: blobUrl(r.pictureHash),
  thumbnailUrl: blobUrl(r.thumbnailHash),
  swatches: r.swatches.map((s) => ({
    colour: `#${lchToRgb(labToLch(s.lab))
      .map((v) => v.toString(16).padStart(2, '0'))
      .join('')}`,
    weight: Math.round(s.weight * 1000) / 1000,
  })),
  usedIn,
  createdAt: r.createdAt.toISOString(),
  version: r.version,
});
