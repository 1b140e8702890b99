import { Module } from '@nestjs/common';
import { MixesModule } from '../mixes/mixes.module';
import { TakesModule } from '../takes/takes.module';
import { TrialsController } from './trials.controller';
import { SolvesService } from './solves.service';
import { StripsService } from './strips.service';
import { TrialShotsService } from './trialShots.service';

/** Trials: test strips and searches for weights. */
@Module({
  imports: [MixesModule, TakesModule],
  controllers: [TrialsController],
  providers: [SolvesService, StripsService, TrialShotsService],
})
export class TrialsModule {}
