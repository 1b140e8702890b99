import { Module } from '@nestjs/common';
import { LibraryModule } from '../library/library.module';
import { CastController } from './cast.controller';
import { CastService } from './cast.service';

/** The cast: characters and their sheets. */
@Module({
  imports: [LibraryModule],
  controllers: [CastController],
  providers: [CastService],
  exports: [CastService],
})
export class CastModule {}
