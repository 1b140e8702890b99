import { Module } from '@nestjs/common';
import { ImportsController } from './imports/imports.controller';
import { LibraryController } from './library.controller';
import { CollectionsController } from './collections/collections.controller';
import { CollectionsService } from './collections/collections.service';
import { ShelfController } from './shelf/shelf.controller';
import { CatalogueService } from './catalogue/catalogue.service';
import { ImportsService } from './imports/imports.service';
import { LibraryService } from './library.service';
import { LookAtService } from './lookAt.service';
import { PreparationService } from './preparation/preparation.service';
import { ReplaceFileService } from './preparation/replaceFile.service';
import { SplitService } from './preparation/split.service';

/** References: bringing in, describing, finding, preparing. */
@Module({
  controllers: [ImportsController, LibraryController, CollectionsController, ShelfController],
  providers: [
    CatalogueService,
    CollectionsService,
    ImportsService,
    LibraryService,
    LookAtService,
    PreparationService,
    ReplaceFileService,
    SplitService,
  ],
  exports: [ImportsService, LibraryService],
})
export class LibraryModule {}
