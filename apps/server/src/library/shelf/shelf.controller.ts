import { EntityManager } from '@mikro-orm/better-sqlite';
import { Body, Controller, Delete, Get, HttpCode, Param, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiProperty, ApiTags } from '@nestjs/swagger';
import { IsIn, IsString, Length } from 'class-validator';
import { randomUUID } from 'crypto';
import { EventsService } from '../../platform/events/events.service';
import { Problem } from '../../platform/problems/problem';
import { SHELF_KINDS, ShelfItemEntity, type ShelfKind } from './shelf.entity';
import { May } from '../../platform/access/may';

class NewShelfItemDto {
  @ApiProperty({ enum: SHELF_KINDS, enumName: 'ShelfKind' }) @IsIn(SHELF_KINDS) kind!: ShelfKind;
  @ApiProperty() @IsString() @Length(1, 120) name!: string;
  @ApiProperty({ description: 'the words of a phrase' })
  @IsString()
  @Length(1, 2000)
  text!: string;
}

/** A stored phrase. */
export class ShelfItemDto extends NewShelfItemDto {
  @ApiProperty() id!: string;
}

const LIMIT = 500;

/** Stored phrases. */
@ApiTags('library')
@Controller('shelf')
export class ShelfController {
  constructor(
    private readonly em: EntityManager,
    private readonly events: EventsService,
  ) {}

  @May('see')
  @Get()
  @ApiOkResponse({ type: [ShelfItemDto] })
  async list(): Promise<ShelfItemDto[]> {
    const items = await this.em.find(ShelfItemEntity, {}, { orderBy: { name: 'asc', id: 'asc' }, limit: LIMIT });
    return items.map(({ id, kind, name, text }) => ({ id, kind, name, text }));
  }

  @May('edit')
  @Post()
  @ApiCreatedResponse({ type: ShelfItemDto })
  async add(@Body() { kind, name, text }: NewShelfItemDto): Promise<ShelfItemDto> {
    if ((await this.em.count(ShelfItemEntity)) >= LIMIT)
      throw Problem.busy(`${LIMIT} things lie on the shelf already. Take some away first.`);
    const item = this.em.create(ShelfItemEntity, { id: randomUUID(), kind, name, text, createdAt: new Date() });
    await this.em.flush();
    this.events.publish({ type: 'shelf' });
    return { id: item.id, kind, name, text };
  }

  @May('edit')
  @Delete(':id')
  @HttpCode(204)
  async remove(@Param('id') id: string): Promise<void> {
    if (!(await this.em.nativeDelete(ShelfItemEntity, { id }))) throw Problem.notFound('This phrase');
    this.events.publish({ type: 'shelf' });
  }
}
