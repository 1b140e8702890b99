import { Controller, Param, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiTags } from '@nestjs/swagger';
import { SamplesService } from './samples.service';
import { TakeDto } from './take.dto';
import { May } from '../platform/access/may';

@ApiTags('looks')
@Controller('looks')
export class SamplesController {
  constructor(private readonly samples: SamplesService) {}

  /** Asks for a plate that shows what the look does. */
  @May('edit')
  @Post(':id/sample')
  @ApiCreatedResponse({ type: TakeDto })
  sample(@Param('id') id: string): Promise<TakeDto> {
    return this.samples.ask(id);
  }
}
