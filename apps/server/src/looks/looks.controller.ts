import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { ChangeLookDto, LookDto, LookReadingDto, NewLookDto, toLookDto } from './look.dto';
import { LooksService } from './looks.service';
import { May } from '../platform/access/may';

@ApiTags('looks')
@Controller('looks')
export class LooksController {
  constructor(private readonly looks: LooksService) {}

  @May('see')
  @Get()
  @ApiOkResponse({ type: [LookDto] })
  list(): Promise<LookDto[]> {
    return this.looks.list();
  }

  @May('edit')
  @Post()
  @ApiCreatedResponse({ type: LookDto })
  create(@Body() fields: NewLookDto): Promise<LookDto> {
    return this.looks.create(fields);
  }

  @May('see')
  @Get(':id')
  @ApiOkResponse({ type: LookDto })
  async get(@Param('id') id: string): Promise<LookDto> {
    return toLookDto(await this.looks.find(id));
  }

  @May('edit')
  @Patch(':id')
  @ApiOkResponse({ type: LookDto })
  change(@Param('id') id: string, @Body() change: ChangeLookDto): Promise<LookDto> {
    return this.looks.change(id, change);
  }

  @May('edit')
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.looks.remove(id);
  }

  @May('edit')
  @Post(':id/restore')
  @HttpCode(200)
  @ApiOkResponse({ type: LookDto })
  restore(@Param('id') id: string): Promise<LookDto> {
    return this.looks.restore(id);
  }

  @May('edit')
  @Post(':id/duplicate')
  @ApiCreatedResponse({ type: LookDto })
  duplicate(@Param('id') id: string): Promise<LookDto> {
    return this.looks.duplicate(id);
  }

  /** How well its pictures belong together, and its palette. */
  @May('see')
  @Get(':id/reading')
  @ApiOkResponse({ type: LookReadingDto })
  read(@Param('id') id: string): Promise<LookReadingDto> {
    return this.looks.read(id);
  }
}
