import { Module } from '@nestjs/common';
import { PeopleModule } from '../people/people.module';
import { TakesModule } from '../takes/takes.module';
import { CommentsController } from './comments.controller';
import { CommentsService } from './comments.service';
import { InboxService } from './inbox.service';

/** Talking about pictures: threads of comments, and what is new for somebody. */
@Module({
  imports: [PeopleModule, TakesModule],
  controllers: [CommentsController],
  providers: [CommentsService, InboxService],
})
export class CommentsModule {}
