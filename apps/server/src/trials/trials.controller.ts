import { Body, Controller, Delete, Get, HttpCode, Param, Post, Query } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { SolvesService } from './solves.service';
import { StripsService } from './strips.service';
import { NewSolveDto, NewStripDto, ProofCellDto, SolveDto, StripDto } from './trial.dto';
import { May } from '../platform/access/may';

@ApiTags('trials')
@Controller()
export class TrialsController {
  constructor(
    private readonly strips: StripsService,
    private readonly solves: SolvesService,
  ) {}

  /** The test strips of a mix, newest first. */
  @May('see')
  @Get('strips')
  @ApiOkResponse({ type: [StripDto] })
  listStrips(@Query('mixId') mixId: string): Promise<StripDto[]> {
    return this.strips.list(String(mixId ?? ''));
  }

  /** The test strips over shots of a series, newest first. */
  @May('see')
  @Get('strips/of-series/:seriesId')
  @ApiOkResponse({ type: [StripDto] })
  stripsOfSeries(@Param('seriesId') id: string): Promise<StripDto[]> {
    return this.strips.ofSeries(id);
  }

  @May('edit')
  @Post('strips')
  @ApiCreatedResponse({ type: StripDto })
  newStrip(@Body() wish: NewStripDto): Promise<StripDto> {
    return this.strips.create(wish);
  }

  @May('see')
  @Get('strips/:id')
  @ApiOkResponse({ type: StripDto })
  strip(@Param('id') id: string): Promise<StripDto> {
    return this.strips.get(id);
  }

  /** Renders one cell as a proof. */
  @May('edit')
  @Post('strips/:id/proof')
  @ApiCreatedResponse({ type: StripDto })
  proof(@Param('id') id: string, @Body() { cell }: ProofCellDto): Promise<StripDto> {
    return this.strips.proof(id, cell);
  }

  @May('edit')
  @Delete('strips/:id')
  @HttpCode(204)
  removeStrip(@Param('id') id: string): Promise<void> {
    return this.strips.remove(id);
  }

  /** The searches for weights of a mix, newest first. */
  @May('see')
  @Get('solves')
  @ApiOkResponse({ type: [SolveDto] })
  listSolves(@Query('mixId') mixId: string): Promise<SolveDto[]> {
    return this.solves.list(String(mixId ?? ''));
  }

  @May('edit')
  @Post('solves')
  @ApiCreatedResponse({ type: SolveDto })
  newSolve(@Body() wish: NewSolveDto): Promise<SolveDto> {
    return this.solves.create(wish);
  }

  @May('see')
  @Get('solves/:id')
  @ApiOkResponse({ type: SolveDto })
  solve(@Param('id') id: string): Promise<SolveDto> {
    return this.solves.get(id);
  }

  @May('edit')
  @Post('solves/:id/stop')
  @HttpCode(200)
  @ApiOkResponse({ type: SolveDto })
  stop(@Param('id') id: string): Promise<SolveDto> {
    return this.solves.stop(id);
  }
}
