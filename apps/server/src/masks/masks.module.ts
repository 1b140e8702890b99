import { Module } from '@nestjs/common';
import { MasksController } from './masks.controller';

/** Painted masks, kept by their content. */
@Module({
  controllers: [MasksController],
})
export class MasksModule {}
