import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Query } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { ChangeTakeDto, NewTakeDto, TakeDto } from './take.dto';
import { TakesService } from './takes.service';

@ApiTags('takes')
@Controller('takes')
export class TakesController {
  constructor(private readonly takes: TakesService) {}

  /** The takes of a mix, newest first; those of shots belong to their series. */
  @Get()
  @ApiOkResponse({ type: [TakeDto] })
  list(@Query('mixId') mixId: string): Promise<TakeDto[]> {
    return this.takes.list({ mixId: String(mixId ?? '') });
  }

  @Post()
  @ApiCreatedResponse({ type: TakeDto })
  ask(@Body() wish: NewTakeDto): Promise<TakeDto> {
    return this.takes.ask(wish);
  }

  @Get(':id')
  @ApiOkResponse({ type: TakeDto })
  get(@Param('id') id: string): Promise<TakeDto> {
    return this.takes.get(id);
  }

  @Patch(':id')
  @ApiOkResponse({ type: TakeDto })
  change(@Param('id') id: string, @Body() change: ChangeTakeDto): Promise<TakeDto> {
    return this.takes.change(id, change);
  }

  @Post(':id/cancel')
  @HttpCode(200)
  @ApiOkResponse({ type: TakeDto })
  cancel(@Param('id') id: string): Promise<TakeDto> {
    return this.takes.cancel(id);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.takes.remove(id);
  }
}
