import { Body, Controller, Get, HttpCode, Post, UploadedFile, UseInterceptors } from '@nestjs/common';
import { FileInterceptor } from '@nestjs/platform-express';
import { ApiBody, ApiConsumes, ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { Problem } from '../../platform/problems/problem';
import { fileNameOf, titleFrom } from '../fileNames';
import { ImportFieldsDto } from '../reference.dto';
import { KINDS } from '../reference.entity';
import { DecideDto, ImportFileDto } from './import.dto';
import { ImportsService } from './imports.service';
import { May } from '../../platform/access/may';

@ApiTags('library')
@Controller('imports')
export class ImportsController {
  constructor(private readonly imports: ImportsService) {}

  @May('see')
  @Get()
  @ApiOkResponse({ type: [ImportFileDto] })
  list(): Promise<ImportFileDto[]> {
    return this.imports.list();
  }

  /** Hands over one picture file; it is read in the background. */
  @May('edit')
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
        id: { type: 'string', format: 'uuid' },
      },
    },
  })
  @ApiCreatedResponse({ type: ImportFileDto })
  take(@UploadedFile() file: Express.Multer.File | undefined, @Body() fields: ImportFieldsDto): Promise<ImportFileDto> {
    if (!file) throw Problem.invalid([{ field: 'file', message: 'file: a picture file is expected' }]);
    const { title = titleFrom(file.originalname), kind, id } = fields;
    return this.imports.take(file.path, { name: fileNameOf(file.originalname), title, kind, id });
  }

  /** What to do with doubles: keep both, replace what is there by a new version, or skip. */
  @May('edit')
  @Post('decide')
  @HttpCode(200)
  @ApiOkResponse({ type: [ImportFileDto] })
  decide(@Body() decision: DecideDto): Promise<ImportFileDto[]> {
    return this.imports.decide(decision);
  }

  @May('edit')
  @Post('clear')
  @HttpCode(204)
  clear(): Promise<void> {
    return this.imports.clear();
  }
}
