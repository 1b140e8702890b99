import { Body, Controller, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiProperty, ApiTags } from '@nestjs/swagger';
import { IsIn } from 'class-validator';
import { ImportFileDto } from '../library/imports/import.dto';
import { ImportsService } from '../library/imports/imports.service';
import { KINDS, type Kind } from '../library/reference.entity';
import { IsId, Optional } from '../platform/input/decorators';
import { Problem } from '../platform/problems/problem';
import { TakesService } from './takes.service';
import { May } from '../platform/access/may';

/** A take that becomes a reference. */
export class FromTakeDto {
  @ApiProperty() @IsId() takeId!: string;
  @ApiProperty({ enum: KINDS, enumName: 'Kind', required: false }) @Optional() @IsIn(KINDS) kind?: Kind;
}

@ApiTags('imports')
@Controller('imports')
export class FromTakeController {
  constructor(
    private readonly takes: TakesService,
    private readonly imports: ImportsService,
  ) {}

  /** Makes a reference of a finished take, by the same way as a file. */
  @May('edit')
  @Post('from-take')
  @ApiCreatedResponse({ type: ImportFileDto })
  async takeOver(@Body() { takeId, kind }: FromTakeDto): Promise<ImportFileDto> {
    const { pictureHash, origin } = await this.takes.find(takeId);
    if (!pictureHash) throw Problem.notFound('A finished take with this id');
    const words = origin.request.prompt.slice(0, 80) || 'A take';
    return this.imports.takeOver(pictureHash, { name: words, title: words, kind });
  }
}
