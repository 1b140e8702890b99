import { Controller, Get, Param } from '@nestjs/common';
import { ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { TraitTalliesDto } from '../cast/character.dto';
import { TallyService } from './tally.service';
import { May } from '../platform/access/may';

@ApiTags('cast')
@Controller('cast')
export class TallyController {
  constructor(private readonly tallies: TallyService) {}

  /** Which of its traits its takes kept, and whether words, pictures or neither decided them. */
  @May('see')
  @Get(':id/tally')
  @ApiOkResponse({ type: TraitTalliesDto })
  tally(@Param('id') id: string): Promise<TraitTalliesDto> {
    return this.tallies.of(id);
  }
}
