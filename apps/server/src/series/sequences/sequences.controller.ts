import { Body, Controller, Delete, Get, HttpCode, Param, Post, Query, Res } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiProduces, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { Problem } from '../../platform/problems/problem';
import { sendMade } from '../sendMade';
import { HoldDto, NewSequenceDto, SequenceDto, SteadinessDto } from './sequence.dto';
import { SEQUENCE_FORMS, SequenceExportService, type SequenceForm } from './sequenceExport.service';
import { SequencesService } from './sequences.service';
import { May } from '../../platform/access/may';

/** Frames a second of an export. */
const RATES = { least: 1, most: 30, usual: 12 };

@ApiTags('series')
@Controller()
export class SequencesController {
  constructor(
    private readonly sequences: SequencesService,
    private readonly exporting: SequenceExportService,
  ) {}

  /** The sequences of a series, newest first. */
  @May('see')
  @Get('series/:id/sequences')
  @ApiOkResponse({ type: [SequenceDto] })
  list(@Param('id') id: string): Promise<SequenceDto[]> {
    return this.sequences.list(id);
  }

  /** Renders a shot as frames between a beginning and an end. */
  @May('edit')
  @Post('series/:id/sequences')
  @ApiCreatedResponse({ type: SequenceDto })
  create(@Param('id') id: string, @Body() wish: NewSequenceDto): Promise<SequenceDto> {
    return this.sequences.create(id, wish);
  }

  @May('see')
  @Get('sequences/:id')
  @ApiOkResponse({ type: SequenceDto })
  get(@Param('id') id: string): Promise<SequenceDto> {
    return this.sequences.get(id);
  }

  /** Renders all other frames once more, held by one that is finished. */
  @May('edit')
  @Post('sequences/:id/hold')
  @ApiCreatedResponse({ type: SequenceDto })
  hold(@Param('id') id: string, @Body() { frame }: HoldDto): Promise<SequenceDto> {
    return this.sequences.holdBy(id, frame);
  }

  @May('see')
  @Get('sequences/:id/steadiness')
  @ApiOkResponse({ type: SteadinessDto })
  steadiness(@Param('id') id: string): Promise<SteadinessDto> {
    return this.sequences.steadiness(id);
  }

  @May('edit')
  @Delete('sequences/:id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.sequences.remove(id);
  }

  @May('edit')
  @Post('sequences/:id/restore')
  @HttpCode(204)
  restore(@Param('id') id: string): Promise<void> {
    return this.sequences.remove(id, false);
  }

  /** The frames as one moving picture (APNG, WebP) or as a folder of PNG files. */
  @May('export')
  @Get('sequences/:id/export/:form')
  @ApiProduces('image/apng', 'image/webp', 'application/zip')
  async export(
    @Param('id') id: string,
    @Param('form') form: string,
    @Query('rate') rate: string | undefined,
    @Res() response: Response,
  ): Promise<void> {
    const wanted = rate === undefined ? RATES.usual : Number(rate);
    if (!SEQUENCE_FORMS.includes(form as SequenceForm))
      throw Problem.invalid([{ field: 'form', message: `One of ${SEQUENCE_FORMS.join(', ')}, not "${form}".` }]);
    if (!(wanted >= RATES.least && wanted <= RATES.most))
      throw Problem.invalid([{ field: 'rate', message: `${RATES.least} to ${RATES.most} frames a second.` }]);
    sendMade(response, await this.exporting.make(id, form as SequenceForm, wanted));
  }
}
