import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Param,
  ParseIntPipe,
  Patch,
  Post,
  Put,
  Query,
  Res,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import { FileInterceptor } from '@nestjs/platform-express';
import { ApiBody, ApiConsumes, ApiCreatedResponse, ApiOkResponse, ApiQuery, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { Problem } from '../platform/problems/problem';
import { CatalogueService } from './catalogue/catalogue.service';
import { catalogueQuery, SearchDto, SearchQueryDto } from './catalogue/search.dto';
import { titleFrom } from './fileNames';
import { ImportFileDto } from './imports/import.dto';
import { LibraryService } from './library.service';
import { CorrectDto, EngineViewDto, PrepareDto, ReferenceVersionDto } from './preparation/preparation.dto';
import { PreparationService } from './preparation/preparation.service';
import { ReplaceFileService } from './preparation/replaceFile.service';
import { SplitService } from './preparation/split.service';
import {
  BulkChangedDto,
  BulkChangeDto,
  BulkUndoDto,
  ChangeReferenceDto,
  ImportedDto,
  ImportFieldsDto,
  ReferenceDto,
} from './reference.dto';
import { KINDS } from './reference.entity';
import { reachNow } from '../platform/access/asker';
import { May } from '../platform/access/may';

@ApiTags('library')
@Controller('references')
export class LibraryController {
  constructor(
    private readonly library: LibraryService,
    private readonly catalogue: CatalogueService,
    private readonly preparation: PreparationService,
    private readonly splitting: SplitService,
    private readonly replacing: ReplaceFileService,
  ) {}

  /** Some references by id. */
  @May('see')
  @Get()
  @ApiQuery({ name: 'ids', description: 'at most 200 ids with commas between them' })
  @ApiOkResponse({ type: [ReferenceDto] })
  many(@Query('ids') ids?: string): Promise<ReferenceDto[]> {
    const wanted = (ids ?? '').split(',').filter(Boolean);
    if (wanted.length > 200) throw Problem.invalid([{ field: 'ids', message: 'ids: at most 200 at once' }]);
    return this.library.many(wanted);
  }

  /** Finds references: all that match, as ids, with counts for narrowing further. */
  @May('see')
  @Get('search')
  @ApiOkResponse({ type: SearchDto })
  @Header('content-type', 'application/json')
  async search(@Query() query: SearchQueryDto, @Res() response: Response): Promise<void> {
    const json = await this.catalogue.search({ ...catalogueQuery(query), hidden: reachNow().hidden }, query.words);
    response.end(Buffer.from(json.buffer, json.byteOffset, json.byteLength));
  }

  /** Brings in one picture file (PNG, JPEG, WebP, AVIF, TIFF, GIF; at most 40 MB and 100 megapixels) and waits for it. */
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

  /** One change to many references; the answer says how to undo it. */
  @May('edit')
  @Post('change')
  @HttpCode(200)
  @ApiOkResponse({ type: BulkChangedDto })
  changeMany(@Body() change: BulkChangeDto): Promise<BulkChangedDto> {
    return this.library.changeMany(change);
  }

  /** Puts back what a change of many had changed. */
  @May('edit')
  @Post('undo')
  @HttpCode(200)
  @ApiOkResponse({ type: BulkChangedDto })
  undo(@Body() { before }: BulkUndoDto): Promise<BulkChangedDto> {
    return this.library.undoMany(before);
  }

  @May('see')
  @Get(':id')
  @ApiOkResponse({ type: ReferenceDto })
  get(@Param('id') id: string): Promise<ReferenceDto> {
    return this.library.get(id);
  }

  @May('edit')
  @Patch(':id')
  @ApiOkResponse({ type: ReferenceDto })
  change(@Param('id') id: string, @Body() change: ChangeReferenceDto): Promise<ReferenceDto> {
    return this.library.change(id, change);
  }

  @May('edit')
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.library.remove(id);
  }

  @May('edit')
  @Post(':id/restore')
  @HttpCode(200)
  @ApiOkResponse({ type: ReferenceDto })
  restore(@Param('id') id: string): Promise<ReferenceDto> {
    return this.library.restore(id);
  }

  /** What the engine gets of it, for every way of using it. */
  @May('see')
  @Get(':id/gives')
  @ApiOkResponse({ type: EngineViewDto })
  gives(@Param('id') id: string): Promise<EngineViewDto> {
    return this.preparation.gives(id);
  }

  /** Puts a new picture file in the place of its own; the one before stays among its versions, and takes keep theirs. */
  @May('edit')
  @Put(':id/file')
  @UseInterceptors(FileInterceptor('file'))
  @ApiConsumes('multipart/form-data')
  @ApiBody({
    schema: { type: 'object', required: ['file'], properties: { file: { type: 'string', format: 'binary' } } },
  })
  @ApiQuery({ name: 'version', description: 'the version of the reference that this is based on' })
  @ApiOkResponse({ type: ReferenceDto })
  replaceFile(
    @Param('id') id: string,
    @Query('version', ParseIntPipe) version: number,
    @UploadedFile() file: Express.Multer.File | undefined,
  ): Promise<ReferenceDto> {
    if (!file) throw Problem.invalid([{ field: 'file', message: 'file: a picture file is expected' }]);
    return this.replacing.replace(id, file.path, version);
  }

  /** Sets focus, sharpening, cut-out and flattening. */
  @May('edit')
  @Put(':id/preparation')
  @ApiOkResponse({ type: ReferenceDto })
  prepare(@Param('id') id: string, @Body() wish: PrepareDto): Promise<ReferenceDto> {
    return this.preparation.prepare(id, wish);
  }

  /** Sets right by hand what was read: faces, joints, horizon, palette. */
  @May('edit')
  @Patch(':id/corrections')
  @ApiOkResponse({ type: ReferenceDto })
  correct(@Param('id') id: string, @Body() wish: CorrectDto): Promise<ReferenceDto> {
    return this.preparation.correct(id, wish);
  }

  @May('see')
  @Get(':id/versions')
  @ApiOkResponse({ type: [ReferenceVersionDto] })
  versions(@Param('id') id: string): Promise<ReferenceVersionDto[]> {
    return this.preparation.versions(id);
  }

  /** Makes an earlier version the newest. */
  @May('edit')
  @Post(':id/versions/:number')
  @HttpCode(200)
  @ApiQuery({ name: 'version', description: 'the version of the reference that this is based on' })
  @ApiOkResponse({ type: ReferenceDto })
  goBack(
    @Param('id') id: string,
    @Param('number', ParseIntPipe) number: number,
    @Query('version', ParseIntPipe) version: number,
  ): Promise<ReferenceDto> {
    return this.preparation.goBack(id, number, version);
  }

  /** Splits a collage into its single pictures, which come in as files do. */
  @May('edit')
  @Post(':id/split')
  @ApiCreatedResponse({ type: [ImportFileDto] })
  split(@Param('id') id: string): Promise<ImportFileDto[]> {
    return this.splitting.split(id);
  }
}
