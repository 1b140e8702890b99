import { Module } from '@nestjs/common';
import { LooksController } from './looks.controller';
import { LooksService } from './looks.service';

/** Looks: pictures that draw one way. */
@Module({
  controllers: [LooksController],
  providers: [LooksService],
  exports: [LooksService],
})
export class LooksModule {}
