import { ApiProperty } from '@nestjs/swagger';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Max,
  Min,
} from 'class-validator';
import { IsId, Nested, Optional } from '../platform/input/decorators';
import { COMMENTED, type Comment, type Commented } from './comment.entity';

/** Characters of one comment. */
const MOST_TEXT = 4_000;
/** Comments that are marked as read at once. */
const MOST_READ = 500;

export class PointDto {
  @ApiProperty({ description: 'part of the width, 0..1 from the left' }) @IsNumber() @Min(0) @Max(1) x!: number;
  @ApiProperty({ description: 'part of the height, 0..1 from the top' }) @IsNumber() @Min(0) @Max(1) y!: number;
}

/** What is commented on: exactly one of them. */
export class ThingDto {
  @ApiProperty({ required: false }) @Optional() @IsId() takeId?: string;
  @ApiProperty({ required: false }) @Optional() @IsId() shotId?: string;
  @ApiProperty({ required: false }) @Optional() @IsId() mixId?: string;
  @ApiProperty({ required: false }) @Optional() @IsId() referenceId?: string;
}

export class NewCommentDto extends ThingDto {
  @ApiProperty() @IsString() @Length(1, MOST_TEXT) text!: string;
  @ApiProperty({ required: false, description: 'the point of the picture that it is about' })
  @Optional()
  @Nested(() => PointDto)
  point?: PointDto;
}

export class AnswerDto {
  @ApiProperty() @IsString() @Length(1, MOST_TEXT) text!: string;
}

/** Changes to a comment; what is absent stays. */
export class ChangeCommentDto {
  @ApiProperty() @IsInt() @Min(1) version!: number;
  @ApiProperty({ required: false, description: 'only whoever wrote it can change it' })
  @Optional()
  @IsString()
  @Length(1, MOST_TEXT)
  text?: string;
  @ApiProperty({ required: false, description: 'of the first of a thread: whether it is dealt with' })
  @Optional()
  @IsBoolean()
  resolved?: boolean;
}

export class ReadDto {
  @ApiProperty({ type: [String], description: 'comments that were read, with those before them in their threads' })
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_READ)
  @IsId({ each: true })
  ids!: string[];
}

export class CommentDto {
  @ApiProperty() id!: string;
  @ApiProperty({ enum: COMMENTED, enumName: 'Commented' }) kind!: Commented;
  @ApiProperty({ description: 'the id of what it is about' }) thingId!: string;
  @ApiProperty({ description: 'the first comment of its thread; of that one its own id' }) threadId!: string;
  @ApiProperty({ required: false, description: 'the id of who wrote it; absent for whoever worked alone' })
  person?: string;
  @ApiProperty({ description: 'empty where it was deleted, and answers to it are left' }) text!: string;
  @ApiProperty({ required: false, type: PointDto }) point?: PointDto;
  @ApiProperty({ type: [String], description: 'ids of the people whom it names' }) mentioned!: string[];
  @ApiProperty({ description: 'of the first of a thread: whether it is dealt with' }) resolved!: boolean;
  @ApiProperty({ required: false, description: 'who resolved it; absent for whoever worked alone' })
  resolvedBy?: string;
  @ApiProperty() createdAt!: string;
  @ApiProperty({ required: false, description: 'when its text was changed last' }) editedAt?: string;
  @ApiProperty({ description: 'deleted; it stands for its answers' }) deleted!: boolean;
  @ApiProperty({ description: 'to be sent with every change' }) version!: number;
}

/** A comment as it comes in: with what it is about. */
export class InboxCommentDto extends CommentDto {
  @ApiProperty({ description: 'names whoever asks, or belongs to a thread in which they take part' }) forMe!: boolean;
  @ApiProperty({ description: 'not read yet' }) unread!: boolean;
  @ApiProperty({ description: 'what it is about, in words' }) about!: string;
  @ApiProperty({ required: false, description: 'a small picture of what it is about' }) thumbnailUrl?: string;
  @ApiProperty({ required: false, description: 'the series of what it is about' }) seriesId?: string;
  @ApiProperty({ required: false, description: 'the mix of what it is about' }) mixId?: string;
}

export class InboxDto {
  @ApiProperty({ type: [InboxCommentDto], description: 'the newest first' }) comments!: InboxCommentDto[];
  @ApiProperty({ description: 'unread comments for whoever asks, the others included that are not in this list' })
  unread!: number;
}

/** The form in which a comment leaves the server. */
export const toCommentDto = (c: Comment): CommentDto => ({
  id: c.id,
  kind: c.kind,
  thingId: c.thingId,
  threadId: c.threadId,
  person: c.personId ?? undefined,
  text: c.deletedAt ? '' : c.text,
  point: c.point ?? undefined,
  mentioned: c.deletedAt ? [] : c.mentioned,
  resolved: !!c.resolvedAt,
  resolvedBy: c.resolvedBy ?? undefined,
  createdAt: c.createdAt.toISOString(),
  editedAt: c.editedAt?.toISOString(),
  deleted: !!c.deletedAt,
  version: c.version,
});
