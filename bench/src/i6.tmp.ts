import 'reflect-metadata';
import { benchDrags } from './drags';
import { benchSolve } from './solve';
(async () => { await benchDrags(); await benchSolve(); })();
