import { ApiProperty } from '@nestjs/swagger';
import type { Arrangement, Placing } from '@urbild/core';
import { ArrayMaxSize, IsInt, IsString, Length, Min } from 'class-validator';
import { IsId, Nested, NestedList, Optional } from '../../platform/input/decorators';
import type { Collection } from './collection.entity';

/** Pictures of a collection at most, and of one change to it. */
export const MOST_ITEMS = 5000;
export const MOST_AT_ONCE = 1000;

/** Pictures that somebody put together: by hand and in an order, or by a search that is asked anew each time. */
export class CollectionDto {
  @ApiProperty() id!: string;
  @ApiProperty() name!: string;
  @ApiProperty({
    required: false,
    description: 'the query string of its search; absent when it is put together by hand',
  })
  search?: string;
  @ApiProperty({ description: 'pictures put in by hand' }) count!: number;
  @ApiProperty({ required: false, description: 'the picture that it is shown by' }) first?: string;
  @ApiProperty() updatedAt!: string;
  @ApiProperty({ description: 'to be sent with a change of its name or search' }) version!: number;
}

export class NewCollectionDto {
  @ApiProperty() @IsString() @Length(1, 120) name!: string;
  @ApiProperty({ required: false, type: [String], description: 'ids of references, in their order' })
  @Optional()
  @IsId({ each: true })
  @ArrayMaxSize(MOST_AT_ONCE, { message: `items: at most ${MOST_AT_ONCE} pictures at once` })
  items?: string[];
  @ApiProperty({ required: false, description: 'a query string of the search: what it finds is the collection' })
  @Optional()
  @IsString()
  @Length(1, 2000)
  search?: string;
}

/** Changes of a collection itself; what is absent stays. */
export class ChangeCollectionDto {
  @ApiProperty() @IsInt() @Min(1) version!: number;
  @ApiProperty({ required: false }) @Optional() @IsString() @Length(1, 120) name?: string;
  @ApiProperty({ required: false, description: 'of a collection that is a search' })
  @Optional()
  @IsString()
  @Length(1, 2000)
  search?: string;
}

class PlacingDto implements Placing {
  @ApiProperty({ description: 'a reference, in the collection already or not' }) @IsId() id!: string;
  @ApiProperty({ required: false, description: 'the one that it goes before; the end when absent or not there' })
  @Optional()
  @IsId()
  before?: string;
}

/** What to change of the pictures of a collection: first some are taken out, then some are put before others. */
export class ArrangementDto implements Arrangement {
  @ApiProperty({ required: false, type: [String] })
  @Optional()
  @IsId({ each: true })
  @ArrayMaxSize(MOST_AT_ONCE, { message: `takeOut: at most ${MOST_AT_ONCE} pictures at once` })
  takeOut?: string[];
  @ApiProperty({ required: false, type: [PlacingDto] })
  @Optional()
  @NestedList(() => PlacingDto, { most: MOST_AT_ONCE, message: `place: at most ${MOST_AT_ONCE} pictures at once` })
  place?: PlacingDto[];
}

/** A collection after it was arranged, and what takes that back. */
export class ArrangedDto {
  @ApiProperty() @Nested(() => CollectionDto) collection!: CollectionDto;
  @ApiProperty() @Nested(() => ArrangementDto) back!: ArrangementDto;
}

/** The form in which a collection leaves the server. */
export const toCollectionDto = (c: Collection): CollectionDto => ({
  id: c.id,
  name: c.name,
  search: c.search ?? undefined,
  count: c.items.length,
  first: c.items[0],
  updatedAt: c.updatedAt.toISOString(),
  version: c.version,
});
