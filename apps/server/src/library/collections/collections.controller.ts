import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { ArrangedDto, ArrangementDto, ChangeCollectionDto, CollectionDto, NewCollectionDto } from './collection.dto';
import { CollectionsService } from './collections.service';
import { May } from '../../platform/access/may';

/** Collections of references; the search of the library takes one by its id. */
@ApiTags('library')
@Controller('collections')
export class CollectionsController {
  constructor(private readonly collections: CollectionsService) {}

  @May('see')
  @Get()
  @ApiOkResponse({ type: [CollectionDto] })
  list(): Promise<CollectionDto[]> {
    return this.collections.list();
  }

  @May('edit')
  @Post()
  @ApiCreatedResponse({ type: CollectionDto })
  create(@Body() fields: NewCollectionDto): Promise<CollectionDto> {
    return this.collections.create(fields);
  }

  @May('see')
  @Get(':id')
  @ApiOkResponse({ type: CollectionDto })
  get(@Param('id') id: string): Promise<CollectionDto> {
    return this.collections.get(id);
  }

  @May('edit')
  @Patch(':id')
  @ApiOkResponse({ type: CollectionDto })
  change(@Param('id') id: string, @Body() change: ChangeCollectionDto): Promise<CollectionDto> {
    return this.collections.change(id, change);
  }

  /** Takes pictures out, puts some in, moves some; the answer says what takes it back. */
  @May('edit')
  @Post(':id/arrange')
  @HttpCode(200)
  @ApiOkResponse({ type: ArrangedDto })
  arrange(@Param('id') id: string, @Body() arrangement: ArrangementDto): Promise<ArrangedDto> {
    return this.collections.arrange(id, arrangement);
  }

  @May('edit')
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.collections.remove(id);
  }

  @May('edit')
  @Post(':id/restore')
  @HttpCode(200)
  @ApiOkResponse({ type: CollectionDto })
  restore(@Param('id') id: string): Promise<CollectionDto> {
    return this.collections.restore(id);
  }
}
