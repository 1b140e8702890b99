import { Body, Controller, Delete, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { MixDto } from '../mixes/mix.dto';
import { ChangeShotDto, NewShotDto, NewShotsDto, SeriesDto, ShotTextDto } from './series.dto';
import { shotsOfText } from './shotText';
import { ShotsService } from './shots.service';
import { May } from '../platform/access/may';

@ApiTags('series')
@Controller()
export class ShotsController {
  constructor(private readonly shots: ShotsService) {}

  @May('edit')
  @Post('series/:id/shots')
  @ApiCreatedResponse({ type: SeriesDto })
  add(@Param('id') id: string, @Body() { shots, at }: NewShotsDto): Promise<SeriesDto> {
    return this.shots.add(id, shots, at);
  }

  /** What shots a text holds: a prompt a line, or CSV. Nothing is added. */
  @May('see')
  @Post('shots/read')
  @HttpCode(200)
  @ApiOkResponse({ type: [NewShotDto] })
  read(@Body() { text }: ShotTextDto): NewShotDto[] {
    return shotsOfText(text);
  }

  @May('edit')
  @Patch('shots/:id')
  @ApiOkResponse({ type: SeriesDto })
  change(@Param('id') id: string, @Body() change: ChangeShotDto): Promise<SeriesDto> {
    return this.shots.change(id, change);
  }

  @May('edit')
  @Post('shots/:id/duplicate')
  @ApiCreatedResponse({ type: SeriesDto })
  duplicate(@Param('id') id: string): Promise<SeriesDto> {
    return this.shots.duplicate(id);
  }

  /** A mix of its own from what a shot is made from. */
  @May('edit')
  @Post('shots/:id/mix')
  @ApiCreatedResponse({ type: MixDto })
  toMix(@Param('id') id: string): Promise<MixDto> {
    return this.shots.toMix(id);
  }

  @May('edit')
  @Delete('shots/:id')
  @ApiOkResponse({ type: SeriesDto })
  remove(@Param('id') id: string): Promise<SeriesDto> {
    return this.shots.remove(id);
  }

  @May('edit')
  @Post('shots/:id/restore')
  @HttpCode(200)
  @ApiOkResponse({ type: SeriesDto })
  restore(@Param('id') id: string): Promise<SeriesDto> {
    return this.shots.remove(id, false);
  }
}
