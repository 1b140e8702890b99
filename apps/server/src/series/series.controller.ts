import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiAcceptedResponse, ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { ChangeShotDto, NewSeriesDto, NewShotDto, RenderedSeriesDto, RenderSeriesDto, SeriesDto } from './series.dto';
import { SeriesService } from './series.service';

@ApiTags('series')
@Controller()
export class SeriesController {
  constructor(private readonly series: SeriesService) {}

  @Get('series')
  @ApiOkResponse({ type: [SeriesDto] })
  list(): Promise<SeriesDto[]> {
    return this.series.list();
  }

  @Post('series')
  @ApiCreatedResponse({ type: SeriesDto })
  create(@Body() fields: NewSeriesDto): Promise<SeriesDto> {
    return this.series.create(fields);
  }

  @Get('series/:id')
  @ApiOkResponse({ type: SeriesDto })
  get(@Param('id') id: string): Promise<SeriesDto> {
    return this.series.get(id);
  }

  @Post('series/:id/shots')
  @ApiCreatedResponse({ type: SeriesDto })
  addShot(@Param('id') id: string, @Body() shot: NewShotDto): Promise<SeriesDto> {
    return this.series.addShot(id, shot);
  }

  @Post('series/:id/render')
  @HttpCode(202)
  @ApiAcceptedResponse({ type: RenderedSeriesDto })
  async render(@Param('id') id: string, @Body() { quality }: RenderSeriesDto): Promise<RenderedSeriesDto> {
    return { queued: await this.series.render(id, quality ?? 'proof') };
  }

  @Patch('shots/:id')
  @ApiOkResponse({ type: SeriesDto })
  changeShot(@Param('id') id: string, @Body() change: ChangeShotDto): Promise<SeriesDto> {
    return this.series.changeShot(id, change);
  }

  @Delete('shots/:id')
  @ApiOkResponse({ type: SeriesDto })
  removeShot(@Param('id') id: string): Promise<SeriesDto> {
    return this.series.removeShot(id);
  }
}
