import { ApiProperty } from '@nestjs/swagger';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn } from 'class-validator';
import { ReferenceDto } from '../reference.dto';
import { blobUrl } from '../../platform/blobs/blobUrl';
import { IMPORT_STATES, type ImportFile, type ImportState } from './importFile.entity';
import { IsId } from '../../platform/input/decorators';

export const DECISIONS = ['keep both', 'replace', 'skip'] as const;
export type Decision = (typeof DECISIONS)[number];
const TWINS = ['the same file', 'nearly the same'] as const;

/** A file on its way into the library. */
export class ImportFileDto {
  @ApiProperty() id!: string;
  @ApiProperty() name!: string;
  @ApiProperty({ enum: IMPORT_STATES, enumName: 'ImportState' }) state!: ImportState;
  @ApiProperty({ required: false, description: 'why it was refused' }) reason?: string;
  @ApiProperty({ required: false }) referenceId?: string;
  @ApiProperty({ description: 'address of the file as it came' }) fileUrl!: string;
  @ApiProperty({ required: false, enum: TWINS, description: 'how sure it is that it is a double' })
  twinIs?: (typeof TWINS)[number];
  @ApiProperty({ required: false, type: ReferenceDto, description: 'the reference that it is a double of' })
  twin?: ReferenceDto;
}

/** What to do with files that are doubles. */
export class DecideDto {
  @ApiProperty({ type: [String] })
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(500)
  @IsId({ each: true })
  ids!: string[];
  @ApiProperty({ enum: DECISIONS, enumName: 'Decision' }) @IsIn(DECISIONS) decision!: Decision;
}

/** The form in which a file on its way leaves the server. */
export const toImportFileDto = (f: ImportFile, twin?: ReferenceDto): ImportFileDto => ({
  id: f.id,
  name: f.name,
  state: f.state,
  reason: f.reason ?? undefined,
  referenceId: f.referenceId ?? undefined,
  fileUrl: blobUrl(f.hash),
  twinIs: f.twinIs ?? undefined,
  twin,
});
