import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Query, Req } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiQuery, ApiTags } from '@nestjs/swagger';
import { may } from '@urbild/core';
import type { Request } from 'express';
import { askerOf } from '../platform/access/asker';
import { May } from '../platform/access/may';
import { AnswerDto, ChangeCommentDto, CommentDto, InboxDto, NewCommentDto, ReadDto, ThingDto } from './comment.dto';
import { CommentsService } from './comments.service';
import { InboxService } from './inbox.service';

/** What people say about takes, shots, mixes and references. */
@ApiTags('comments')
@Controller('comments')
export class CommentsController {
  constructor(
    private readonly comments: CommentsService,
    private readonly inbox: InboxService,
  ) {}

  /** What is said about one thing, the oldest first; of a mix and of a shot also what is said about their takes. */
  @May('see')
  @Get()
  @ApiOkResponse({ type: [CommentDto] })
  list(@Query() thing: ThingDto): Promise<CommentDto[]> {
    return this.comments.list(thing);
  }

  /** Begins a thread about a take, a shot, a mix or a reference. People are named by @ and their name. */
  @May('comment')
  @Post()
  @ApiCreatedResponse({ type: CommentDto })
  write(@Body() fields: NewCommentDto): Promise<CommentDto> {
    return this.comments.write(fields);
  }

  /** The newest comments of others: those for whoever asks, or all. */
  @May('see')
  @Get('inbox')
  @ApiQuery({ name: 'all', required: false, type: Boolean })
  @ApiOkResponse({ type: InboxDto })
  incoming(@Query('all') all?: string): Promise<InboxDto> {
    return this.inbox.of(all === 'true');
  }

  /** Comments were read, with those before them in their threads. */
  @May('see')
  @Post('read')
  @HttpCode(204)
  read(@Body() { ids }: ReadDto): Promise<void> {
    return this.inbox.read(ids);
  }

  /** Everything for whoever asks was read. */
  @May('see')
  @Post('read-all')
  @HttpCode(204)
  readAll(): Promise<void> {
    return this.inbox.readAll();
  }

  /** Answers in the thread of a comment; what was resolved is open again. */
  @May('comment')
  @Post(':id/answers')
  @ApiCreatedResponse({ type: CommentDto })
  answer(@Param('id') id: string, @Body() { text }: AnswerDto): Promise<CommentDto> {
    return this.comments.answer(id, text);
  }

  @May('comment')
  @Patch(':id')
  @ApiOkResponse({ type: CommentDto })
  change(@Param('id') id: string, @Body() change: ChangeCommentDto): Promise<CommentDto> {
    return this.comments.change(id, change);
  }

  /** Deletes a comment of one's own; owners delete any. */
  @May('comment')
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string, @Req() request: Request): Promise<void> {
    return this.comments.remove(id, mayManage(request));
  }

  @May('comment')
  @Post(':id/restore')
  @HttpCode(200)
  @ApiOkResponse({ type: CommentDto })
  restore(@Param('id') id: string, @Req() request: Request): Promise<CommentDto> {
    return this.comments.restore(id, mayManage(request));
  }
}

function mayManage(request: Request): boolean {
  const asker = askerOf(request);
  return !!asker && may(asker, 'manage');
}
