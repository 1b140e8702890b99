import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { ChangeLookDto, LookDto, LookReadingDto, NewLookDto, toLookDto } from './look.dto';
import { LooksService } from './looks.service';

@ApiTags('looks')
@Controller('looks')
export class LooksController {
  constructor(private readonly looks: LooksService) {}

  @Get()
  @ApiOkResponse({ type: [LookDto] })
  list(): Promise<LookDto[]> {
    return this.looks.list();
  }

  @Post()
  @ApiCreatedResponse({ type: LookDto })
  create(@Body() fields: NewLookDto): Promise<LookDto> {
    return this.looks.create(fields);
  }

  @Get(':id')
  @ApiOkResponse({ type: LookDto })
  async get(@Param('id') id: string): Promise<LookDto> {
    return toLookDto(await this.looks.find(id));
  }

  @Patch(':id')
  @ApiOkResponse({ type: LookDto })
  change(@Param('id') id: string, @Body() change: ChangeLookDto): Promise<LookDto> {
    return this.looks.change(id, change);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.looks.remove(id);
  }

  @Post(':id/restore')
  @HttpCode(200)
  @ApiOkResponse({ type: LookDto })
  restore(@Param('id') id: string): Promise<LookDto> {
    return this.looks.restore(id);
  }

  @Post(':id/duplicate')
  @ApiCreatedResponse({ type: LookDto })
  duplicate(@Param('id') id: string): Promise<LookDto> {
    return this.looks.duplicate(id);
  }

  /** How well its pictures belong together, and its palette. */
  @Get(':id/reading')
  @ApiOkResponse({ type: LookReadingDto })
  read(@Param('id') id: string): Promise<LookReadingDto> {
    return this.looks.read(id);
  }
}
