import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Param,
  Patch,
  Post,
  Query,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import { FileInterceptor } from '@nestjs/platform-express';
import { ApiBody, ApiConsumes, ApiOkResponse, ApiCreatedResponse, ApiQuery, ApiTags } from '@nestjs/swagger';
import path from 'path';
import { Problem } from '../platform/problems/problem';
import { LibraryService } from './library.service';
import { ChangeReferenceDto, ImportedDto, ImportFieldsDto, ReferenceDto } from './reference.dto';
import { KINDS, type Kind } from './reference.entity';

@ApiTags('library')
@Controller('references')
export class LibraryController {
  constructor(private readonly library: LibraryService) {}

  @Get()
  @ApiQuery({ name: 'kind', enum: KINDS, enumName: 'Kind', required: false })
  @ApiQuery({ name: 'words', required: false, description: 'all of them must occur in title, tags or notes' })
  @ApiOkResponse({ type: [ReferenceDto] })
  list(@Query('kind') kind?: string, @Query('words') words?: string): Promise<ReferenceDto[]> {
    if (kind !== undefined && !(KINDS as readonly string[]).includes(kind)) {
      throw Problem.invalid([{ field: 'kind', message: `kind must be one of ${KINDS.join(', ')}` }]);
    }
    return this.library.list({ kind: kind as Kind | undefined, words: words?.slice(0, 400) });
  }

  /** Brings in one picture file (PNG, JPEG, WebP, AVIF, TIFF, GIF; at most 40 MB and 100 megapixels). */
  @Post()
  @UseInterceptors(FileInterceptor('file'))
  @ApiConsumes('multipart/form-data')
  @ApiBody({
    schema: {
      type: 'object',
      required: ['file'],
      properties: {
        file: { type: 'string', format: 'binary' },
        kind: { type: 'string', enum: [...KINDS] },
        title: { type: 'string', maxLength: 200 },
      },
    },
  })
  @ApiCreatedResponse({ type: ImportedDto })
  bringIn(
    @UploadedFile() file: Express.Multer.File | undefined,
    @Body() fields: ImportFieldsDto,
  ): Promise<ImportedDto> {
    if (!file) throw Problem.invalid([{ field: 'file', message: 'file: a picture file is expected' }]);
    return this.library.bringIn(file.path, { kind: fields.kind, title: fields.title ?? titleFrom(file.originalname) });
  }

  @Get(':id')
  @ApiOkResponse({ type: ReferenceDto })
  get(@Param('id') id: string): Promise<ReferenceDto> {
    return this.library.get(id);
  }

  @Patch(':id')
  @ApiOkResponse({ type: ReferenceDto })
  change(@Param('id') id: string, @Body() change: ChangeReferenceDto): Promise<ReferenceDto> {
    return this.library.change(id, change);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.library.remove(id);
  }

  @Post(':id/restore')
  @HttpCode(200)
  @ApiOkResponse({ type: ReferenceDto })
  restore(@Param('id') id: string): Promise<ReferenceDto> {
    return this.library.restore(id);
  }
}

/** A file name as a title: no folder, no ending, spaces for dashes. Browsers send names as UTF-8. */
export function titleFrom(fileName: string): string {
  const name = path.basename(Buffer.from(fileName, 'latin1').toString('utf8').replace(/\\/g, '/'));
  const words = path.parse(name).name.replace(/[_-]+/g, ' ').replace(/\s+/g, ' ').trim();
  return (words || 'Untitled').slice(0, 200);
}
