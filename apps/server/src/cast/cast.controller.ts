import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { CastService } from './cast.service';
import {
  CandidateDto,
  ChangeCharacterDto,
  CharacterDto,
  CharacterReadingDto,
  DescribeDto,
  NewCharacterDto,
  PickDto,
  toCharacterDto,
} from './character.dto';
import { May } from '../platform/access/may';

@ApiTags('cast')
@Controller('cast')
export class CastController {
  constructor(private readonly cast: CastService) {}

  @May('see')
  @Get()
  @ApiOkResponse({ type: [CharacterDto] })
  list(): Promise<CharacterDto[]> {
    return this.cast.list();
  }

  @May('edit')
  @Post()
  @ApiCreatedResponse({ type: CharacterDto })
  create(@Body() fields: NewCharacterDto): Promise<CharacterDto> {
    return this.cast.create(fields);
  }

  /** Paints some people from a description, to pick one of. */
  @May('see')
  @Post('candidates')
  @ApiCreatedResponse({ type: [CandidateDto] })
  candidates(@Body() { description }: DescribeDto): Promise<CandidateDto[]> {
    return this.cast.candidates(description);
  }

  /** Makes a character of a painted candidate. */
  @May('edit')
  @Post('pick')
  @ApiCreatedResponse({ type: CharacterDto })
  pick(@Body() wish: PickDto): Promise<CharacterDto> {
    return this.cast.pick(wish);
  }

  @May('see')
  @Get(':id')
  @ApiOkResponse({ type: CharacterDto })
  async get(@Param('id') id: string): Promise<CharacterDto> {
    return toCharacterDto(await this.cast.find(id));
  }

  @May('edit')
  @Patch(':id')
  @ApiOkResponse({ type: CharacterDto })
  change(@Param('id') id: string, @Body() change: ChangeCharacterDto): Promise<CharacterDto> {
    return this.cast.change(id, change);
  }

  @May('edit')
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.cast.remove(id);
  }

  @May('edit')
  @Post(':id/restore')
  @HttpCode(200)
  @ApiOkResponse({ type: CharacterDto })
  restore(@Param('id') id: string): Promise<CharacterDto> {
    return this.cast.restore(id);
  }

  /** What all its pictures say together, how well they agree, and what to do about it. */
  @May('see')
  @Get(':id/reading')
  @ApiOkResponse({ type: CharacterReadingDto })
  read(@Param('id') id: string): Promise<CharacterReadingDto> {
    return this.cast.read(id);
  }
}
