import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { ChangeMixDto, MixDto, MixVersionDto, NewMixDto } from './mix.dto';
import { MixVersionsService } from './mixVersions.service';
import { MixesService } from './mixes.service';
import { May } from '../platform/access/may';

@ApiTags('mixes')
@Controller('mixes')
export class MixesController {
  constructor(
    private readonly mixes: MixesService,
    private readonly versions: MixVersionsService,
  ) {}

  @May('see')
  @Get()
  @ApiOkResponse({ type: [MixDto] })
  list(): Promise<MixDto[]> {
    return this.mixes.list();
  }

  @May('edit')
  @Post()
  @ApiCreatedResponse({ type: MixDto })
  create(@Body() fields: NewMixDto): Promise<MixDto> {
    return this.mixes.create(fields);
  }

  @May('see')
  @Get(':id')
  @ApiOkResponse({ type: MixDto })
  get(@Param('id') id: string): Promise<MixDto> {
    return this.mixes.get(id);
  }

  @May('edit')
  @Patch(':id')
  @ApiOkResponse({ type: MixDto })
  change(@Param('id') id: string, @Body() change: ChangeMixDto): Promise<MixDto> {
    return this.mixes.change(id, change);
  }

  /** The states that a mix had when takes were asked of it, newest first. */
  @May('see')
  @Get(':id/versions')
  @ApiOkResponse({ type: [MixVersionDto] })
  versionsOf(@Param('id') id: string): Promise<MixVersionDto[]> {
    return this.versions.list(id);
  }

  @May('edit')
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.mixes.remove(id);
  }
}
