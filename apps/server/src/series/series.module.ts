import { Module } from '@nestjs/common';
import { MixesModule } from '../mixes/mixes.module';
import { TakesModule } from '../takes/takes.module';
import { SequencesController } from './sequences/sequences.controller';
import { SeriesController } from './series.controller';
import { ShotsController } from './shots.controller';
import { ConsistencyService } from './consistency.service';
import { SequenceExportService } from './sequences/sequenceExport.service';
import { SequencesService } from './sequences/sequences.service';
import { SeriesExportService } from './seriesExport.service';
import { SeriesPlanService } from './seriesPlan.service';
import { SeriesRunService } from './seriesRun.service';
import { SeriesService } from './series.service';
import { ShotsService } from './shots.service';
import { TrialTakesService } from './trialTakes.service';

/** Series: shots over one mix, compared, exported; sequences of frames. */
@Module({
  imports: [MixesModule, TakesModule],
  controllers: [SequencesController, SeriesController, ShotsController],
  providers: [
    ConsistencyService,
    SequenceExportService,
    SequencesService,
    SeriesExportService,
    SeriesPlanService,
    SeriesRunService,
    SeriesService,
    ShotsService,
    TrialTakesService,
  ],
  exports: [SeriesRunService, SeriesService],
})
export class SeriesModule {}
