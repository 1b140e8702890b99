import { ApiProperty } from '@nestjs/swagger';
import { Matches, MaxLength } from 'class-validator';
import { Optional } from '../platform/input/decorators';

const MOST = 200;

/** Where a window of somebody is, as the page tells it. */
export class HereDto {
  @ApiProperty({ description: 'path of the page, without what is asked of it', example: '/bench/demo-mix' })
  @MaxLength(MOST)
  @Matches(/^\/[\w/-]*$/, { message: 'at: a path of the page' })
  at!: string;
  @ApiProperty({ required: false, description: 'what of that they hold', example: 'influence a' })
  @Optional()
  @MaxLength(MOST)
  @Matches(/^[\w -]+$/, { message: 'holds: a word and an id' })
  holds?: string;
}

/** Where somebody of the studio is just now, in one window. */
export class PlaceDto extends HereDto {
  @ApiProperty({ description: 'the id of the person' }) person!: string;
  @ApiProperty() name!: string;
  @ApiProperty({ description: 'hue of their mark, degrees' }) hue!: number;
}
