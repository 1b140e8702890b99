import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Query } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { ChangeTakeDto, NewTakeDto, TakeDto } from './take.dto';
import { MixDto } from '../mixes/mix.dto';
import { GoOnService } from './goOn.service';
import { TakesService } from './takes.service';

@ApiTags('takes')
@Controller('takes')
export class TakesController {
  constructor(
    private readonly takes: TakesService,
    private readonly goingOn: GoOnService,
  ) {}

  /** The takes of a mix, newest first; those of shots belong to their series. */
  @Get()
  @ApiOkResponse({ type: [TakeDto] })
  list(@Query('mixId') mixId: string): Promise<TakeDto[]> {
    return this.takes.list({ mixId: String(mixId ?? '') });
  }

  /** Takes that were kept, of all mixes and series. */
  @Get('keepers')
  @ApiOkResponse({ type: [TakeDto] })
  keepers(): Promise<TakeDto[]> {
    return this.takes.keepers();
  }

  /** Takes that a reference, look or character had a part in. */
  @Get('made-with/:id')
  @ApiOkResponse({ type: [TakeDto] })
  madeWith(@Param('id') id: string): Promise<TakeDto[]> {
    return this.takes.madeWith(id);
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

  /** A new mix with everything that made a take. */
  @Post(':id/mix')
  @ApiCreatedResponse({ type: MixDto })
  mixOf(@Param('id') id: string): Promise<MixDto> {
    return this.goingOn.mixOf(id);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.takes.remove(id);
  }
}
