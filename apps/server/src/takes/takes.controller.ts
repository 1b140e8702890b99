import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Put, Query, Req } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { requireAskerMay } from '../platform/access/refusal';
import { InForceDto, MixDto } from '../mixes/mix.dto';
import { QUALITIES } from '../mixes/mix.entity';
import { DeriveService } from './derive.service';
import { ApprovalService } from './approval.service';
import { InForceService } from './inForce.service';
import { ChangeTakeDto, CoverDto, EnlargeDto, MoreLikeDto, NewTakeDto, TakeDto, WorkedDto } from './take.dto';
import { TakesService } from './takes.service';
import { May } from '../platform/access/may';

@ApiTags('takes')
@Controller('takes')
export class TakesController {
  constructor(
    private readonly takes: TakesService,
    private readonly deriving: DeriveService,
    private readonly inForce: InForceService,
    private readonly approval: ApprovalService,
  ) {}

  /** The takes of a mix, newest first; those of shots belong to their series. */
  @May('see')
  @Get()
  @ApiOkResponse({ type: [TakeDto] })
  list(@Query('mixId') mixId: string): Promise<TakeDto[]> {
    return this.takes.list({ mixId: String(mixId ?? '') });
  }

  /** Takes that were kept, of all mixes and series. */
  @May('see')
  @Get('keepers')
  @ApiOkResponse({ type: [TakeDto] })
  keepers(): Promise<TakeDto[]> {
    return this.takes.keepers();
  }

  /** For every mix the picture that stands for it: its newest keeper, else its newest take, a draft only where there is nothing else. */
  @May('see')
  @Get('covers')
  @ApiOkResponse({ type: [CoverDto] })
  covers(): Promise<CoverDto[]> {
    return this.takes.covers();
  }

  /** The weights with which references, looks and characters were in kept takes. */
  @May('see')
  @Get('worked')
  @ApiOkResponse({ type: [WorkedDto] })
  worked(@Query('ids') ids: string): Promise<WorkedDto[]> {
    return this.takes.worked(
      String(ids ?? '')
        .split(',')
        .filter(Boolean)
        .slice(0, 100),
    );
  }

  /** Takes that a reference, look or character had a part in. */
  @May('see')
  @Get('made-with/:id')
  @ApiOkResponse({ type: [TakeDto] })
  madeWith(@Param('id') id: string): Promise<TakeDto[]> {
    return this.takes.madeWith(id);
  }

  @May('edit')
  @Post()
  @ApiCreatedResponse({ type: TakeDto })
  ask(@Body() wish: NewTakeDto): Promise<TakeDto> {
    return this.takes.ask(wish);
  }

  @May('see')
  @Get(':id')
  @ApiOkResponse({ type: TakeDto })
  get(@Param('id') id: string): Promise<TakeDto> {
    return this.takes.get(id);
  }

  /** Rates a take or writes something to it; to keep or reject it is an edit. */
  @May('comment')
  @Patch(':id')
  @ApiOkResponse({ type: TakeDto })
  change(@Param('id') id: string, @Body() change: ChangeTakeDto, @Req() request: Request): Promise<TakeDto> {
    if (change.keeper !== undefined || change.rejected !== undefined) requireAskerMay(request, 'edit');
    return this.takes.change(id, change);
  }

  /** Approves a keeper, which is locked from then on; for those who approve in its project, and owners. */
  @May('comment')
  @Put(':id/approval')
  @ApiOkResponse({ type: TakeDto })
  approve(@Param('id') id: string): Promise<TakeDto> {
    return this.approval.approve(id);
  }

  /** Takes an approval back; for the same people. */
  @May('comment')
  @Delete(':id/approval')
  @ApiOkResponse({ type: TakeDto })
  withdraw(@Param('id') id: string): Promise<TakeDto> {
    return this.approval.withdraw(id);
  }

  /** What acts on the next take of a mix, defaults included. */
  @May('see')
  @Get('in-force/:mixId')
  @ApiOkResponse({ type: InForceDto })
  inForceFor(@Param('mixId') mixId: string, @Query('quality') quality: string): Promise<InForceDto> {
    return this.inForce.of(mixId, QUALITIES.find((q) => q === quality) ?? 'proof');
  }

  /** Makes a take again, larger, with detail from its own references. */
  @May('edit')
  @Post(':id/enlarge')
  @ApiCreatedResponse({ type: TakeDto })
  enlarge(@Param('id') id: string, @Body() { times }: EnlargeDto): Promise<TakeDto> {
    return this.deriving.enlarge(id, times);
  }

  /** Makes a take again by the engine as it is now; the one before stays. */
  @May('edit')
  @Post(':id/redraw')
  @ApiCreatedResponse({ type: TakeDto })
  redraw(@Param('id') id: string): Promise<TakeDto> {
    return this.deriving.redraw(id);
  }

  /** Takes that vary one. */
  @May('edit')
  @Post(':id/more')
  @ApiCreatedResponse({ type: [TakeDto] })
  more(@Param('id') id: string, @Body() { count }: MoreLikeDto): Promise<TakeDto[]> {
    return this.deriving.more(id, count);
  }

  @May('edit')
  @Post(':id/cancel')
  @HttpCode(200)
  @ApiOkResponse({ type: TakeDto })
  cancel(@Param('id') id: string): Promise<TakeDto> {
    return this.takes.cancel(id);
  }

  /** A new mix with everything that made a take. */
  @May('edit')
  @Post(':id/mix')
  @ApiCreatedResponse({ type: MixDto })
  mixOf(@Param('id') id: string): Promise<MixDto> {
    return this.deriving.mixOf(id);
  }

  @May('edit')
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.takes.remove(id);
  }
}
