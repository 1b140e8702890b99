/** npm run bench: ratios against a named floor, both measured in this run. */
import 'reflect-metadata';
import { benchCancel } from './cancel';
import { benchDrags } from './drags';
import { benchEngine } from './engine';
import { benchIdentity } from './identity';
import { benchImport, benchSearch } from './library';
import { benchScroll } from './scroll';
import { benchSequences } from './sequences';
import { benchSeries } from './series';
import { benchSeriesPage } from './seriesPage';
import { benchServer } from './server';
import { benchSolve } from './solve';
import { benchStudioMemory } from './studioMemory';
import { benchTraits } from './traits';
import { benchViews } from './views';
import { benchVisionMemory } from './visionMemory';

async function main(): Promise<void> {
  await benchEngine();
  await benchCancel();
  await benchServer();
  await benchStudioMemory();
  await benchVisionMemory();
  await benchImport();
  await benchSearch();
  await benchScroll();
  await benchViews();
  await benchDrags();
  await benchTraits();
  await benchIdentity();
  await benchSolve();
  await benchSeriesPage();
  await benchSeries();
  await benchSequences();
}
void main();
